// A sketch that somebody has begun: how the lighting team could get through May.
import type { Sketch } from "../core/plan/schema.ts";

export const sketches: Sketch[] = [
  {
    id: "sketch-may",
    name: "Lighting in May",
    by: "Nora Okafor",
    at: "2027-01-29T16:10:00Z",
    edits: [
      {
        id: "sketch-may-1",
        words: "add Ottilie Fane",
        edit: {
          kind: "addPerson",
          person: {
            id: "ottilie",
            name: "Ottilie Fane",
            roleIds: ["lighting"],
            skills: [{ skillId: "focus", level: 3 }],
            calendarId: "porto",
            employedFrom: "2027-04-26",
            employedTo: "2027-06-25",
            kind: "contractor",
          },
        },
      },
      {
        id: "sketch-may-2",
        words: 'give "Rock pool trial casts" to Rui Monteverde',
        edit: { kind: "reassign", id: "rockpools-mara", personId: "rui" },
      },
    ],
  },
];
