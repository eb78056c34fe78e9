"use client";
// Sketches: changes tried out on top of the plan. Begun, opened, compared with the plan and with each other, adopted or thrown away.
import { useRouter } from "next/navigation";
import { parseAsArrayOf, parseAsString, useQueryStates } from "nuqs";
import { useState } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import { AddButton } from "../../ui/addButton.tsx";
import { Button, TextButton } from "../../ui/button.tsx";
import { Field, TextInput } from "../../ui/field.tsx";
import { useKeys } from "../../ui/keys.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { toggledList } from "../../ui/toggled.ts";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { useOwnSketch } from "../scope/ownSketch.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { CompareTable } from "./compareTable.tsx";
import { SketchSheet } from "./sketchSheet.tsx";
import { SketchTable } from "./sketchTable.tsx";
import { texts } from "./words.ts";

/** The most sketches in the comparison. */
const MOST_BESIDE = 3;

function useSketches(initial: Initial<AnswerOf<"sketches">>) {
  const rows = useAnswer("sketches", {}, initial);
  const [view, setView] = useQueryStates(
    { open: parseAsString, add: parseAsString, beside: parseAsArrayOf(parseAsString).withDefault([]) },
    { shallow: true },
  );
  const begin = () => void setView({ add: "yes", open: null });
  useKeys({ n: begin });
  const close = () => void setView({ open: null, add: null });
  const selected = rows.find(({ id }) => id === view.open);
  const beside = view.beside.filter((id) => rows.some((row) => row.id === id)).slice(0, MOST_BESIDE);
  const toggle = (id: string) => void setView({ beside: toggledList(beside, id).slice(-MOST_BESIDE) });
  return { rows, view, setView, begin, close, selected, beside, toggle };
}

export function Sketches({ initial }: { initial: Initial<AnswerOf<"sketches">> }) {
  const { rows, view, setView, begin, close, selected, beside, toggle } = useSketches(initial);
  return (
    <Screen
      title={texts.sketches}
      figures={<Figure value={String(rows.length)} says={rows.length === 1 ? "sketch" : "sketches"} />}
      actions={<AddButton onAdd={begin}>{texts.newSketch}</AddButton>}
      sheet={
        view.add !== null ? (
          <NewSketch onClose={close} />
        ) : (
          selected && <SketchSheet key={selected.id} row={selected} onOpen={(id) => void setView({ open: id })} onClose={close} />
        )
      }
    >
      {rows.length === 0 ? (
        <Empty title={texts.noSketchesYet}>
          A sketch holds changes that you try out: every screen shows the plan with them, and the plan itself does not change.{" "}
          <TextButton onClick={begin}>{texts.createOne}</TextButton> or press N.
        </Empty>
      ) : (
        <div className="flex min-h-0 flex-1 flex-col gap-3">
          <SketchTable
            rows={rows}
            beside={beside}
            selectedId={view.open}
            onOpen={(id) => void setView({ open: id, add: null })}
            onBeside={toggle}
          />
          {beside.length > 0 && <CompareTable ids={beside} />}
        </div>
      )}
    </Screen>
  );
}

/** Names a new sketch and opens it. */
function NewSketch({ onClose }: { onClose: () => void }) {
  const session = usePlan();
  const ownSketch = useOwnSketch();
  const router = useRouter();
  const linkTo = useLinkTo();
  const [name, setName] = useState("");
  const add = async () => {
    const sketch = { ...ownSketch(), name: name.trim(), edits: [] };
    if ((await session.edit({ kind: "addSketch", sketch })).length === 0) router.push(linkTo("/balance", { sketch: sketch.id }));
  };
  return (
    <Sheet title={texts.newSketch} subtitle="Changes to try out, outside the plan" onClose={onClose}>
      <SheetSection>
        <form
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault();
            void add();
          }}
        >
          <Field label={texts.name} hint={texts.aTitleSuchAsTwo}>
            <TextInput value={name} onChange={(event) => setName(event.target.value)} maxLength={300} autoFocus />
          </Field>
          <Button type="submit" look="main" disabled={name.trim() === ""}>
            {texts.createSketch}
          </Button>
        </form>
      </SheetSection>
    </Sheet>
  );
}
