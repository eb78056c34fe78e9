// A sketch that a person has begun: how the lighting team could get through the spring.
import type { Sketch } from "../core/plan/schema.ts";

export const sketches: Sketch[] = [
  {
    id: "sketch-spring",
    name: "Lighting in spring",
    by: "Nora Okafor",
    at: "2027-01-29T16:10:00Z",
    edits: [
      {
        id: "sketch-spring-1",
        words: "add Ottilie Fane",
        edit: {
          kind: "addPerson",
          person: {
            id: "ottilie",
            name: "Ottilie Fane",
            roleIds: ["lighting"],
            skills: [{ skillId: "focus", level: 3 }],
            calendarId: "porto",
            employedFrom: "2027-02-22",
            employedTo: "2027-05-28",
            kind: "contractor",
          },
        },
      },
      {
        id: "sketch-spring-2",
        words: 'reassign "Rock pool trial casts" to Rui Monteverde',
        edit: { kind: "reassign", id: "rockpools-mara", personId: "rui" },
      },
    ],
  },
];
