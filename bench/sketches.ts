// Opening a sketch of a hundred changes, on the demo plan and on the large one; and what an enquiry would do.
import { enquiryEffect } from "../core/answers/enquiries.ts";
import { buildModel } from "../core/model.ts";
import type { Plan, Sketch } from "../core/plan/schema.ts";
import { sketchedModel } from "../core/sketch/sketch.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { largePlan } from "../demo/large.ts";
import { measure } from "./measure.ts";

const CHANGES = 100;

/** A hundred pieces of work, each given to someone else. */
function hundredChanges({ assignments, people }: Plan): Pick<Sketch, "edits"> {
  const given = assignments.filter(({ personId }) => personId !== undefined).slice(0, CHANGES);
  return {
    edits: given.map(({ id, personId }, at) => {
      const recipient = people.find((person, row) => row >= at % people.length && person.id !== personId) ?? people[0];
      return { id: String(at), words: "reassign", edit: { kind: "reassign", id, personId: recipient.id } };
    }),
  };
}

export function benchSketches(): void {
  for (const [name, plan, aim] of [
    ["demo plan", fernhollow(), 100],
    ["large plan", largePlan(), 500],
  ] as const) {
    const model = buildModel(plan);
    const sketch = hundredChanges(plan);
    const { milliseconds } = measure(() => sketchedModel(model, sketch).placements, 3);
    console.log(`opening a sketch of ${sketch.edits.length} changes, ${name}: ${milliseconds.toFixed(0)} ms (aim: under ${aim})`);
  }
  const demo = buildModel(fernhollow());
  const { milliseconds } = measure(() => enquiryEffect(demo, { enquiryId: "enquiry-tram", today: "2027-02-01" }), 3);
  console.log(`what an enquiry would do, demo plan: ${milliseconds.toFixed(0)} ms`);
}
