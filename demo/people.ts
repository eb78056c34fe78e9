// Fernhollow's people, skills and teams: who does what, when they work, when they are away.
import type { Person, Role, Skill, Team } from "../core/plan/schema.ts";

export const roles: Role[] = [
  { id: "lead", name: "Project lead" },
  { id: "designer", name: "Exhibit designer" },
  { id: "writer", name: "Interpretive writer" },
  { id: "fabricator", name: "Fabricator" },
  { id: "lighting", name: "Lighting technician" },
  { id: "media", name: "Media engineer" },
  { id: "conservator", name: "Conservator" },
  { id: "installer", name: "Installer" },
];

export const skills: Skill[] = [
  { id: "cnc", name: "CNC routing", group: "Workshop" },
  { id: "acrylic", name: "Acrylic bonding", group: "Workshop" },
  { id: "welding", name: "Welding", group: "Workshop" },
  { id: "scenic", name: "Scenic painting", group: "Workshop" },
  { id: "neon", name: "Neon bending", group: "Light and media" },
  { id: "focus", name: "Gallery focusing", group: "Light and media" },
  { id: "showcontrol", name: "Show control", group: "Light and media" },
  { id: "editing", name: "Film editing", group: "Light and media" },
  { id: "sound", name: "Sound design", group: "Light and media" },
  { id: "labels", name: "Label writing", group: "Content" },
  { id: "plain", name: "Plain language", group: "Content" },
  { id: "drawing", name: "Technical drawing", group: "Content" },
  { id: "mounting", name: "Object mounting", group: "Objects" },
  { id: "condition", name: "Condition reports", group: "Objects" },
  { id: "rigging", name: "Rigging", group: "Objects" },
];

type Level = [skillId: string, level: number];

const person = (id: string, name: string, roleIds: string[], calendarId: string, levels: Level[], more: Partial<Person> = {}): Person => ({
  id,
  name,
  email: `${id}@fernhollow.example`,
  roleIds,
  skills: levels.map(([skillId, level]) => ({ skillId, level })),
  calendarId,
  employedFrom: "2021-03-01",
  location: calendarId === "porto" ? "Porto" : "Tartu",
  kind: "employee",
  ...more,
});

const off = (id: string, from: string, to: string, state: "requested" | "approved" | "declined", more: object = {}) => ({
  id,
  from,
  to,
  kind: "holiday" as const,
  state,
  ...more,
});

export const people: Person[] = [
  person("ilka", "Ilka Sandmere", ["lead"], "porto", [["plain", 3]]),
  person("bruno", "Bruno Castelar", ["lead"], "porto", [["drawing", 2]]),
  person("mette", "Mette Oravik", ["lead", "designer"], "tartu", [["drawing", 4]]),
  person("dario", "Dario Penwick", ["lead"], "porto", [["rigging", 2]]),

  person("amadou", "Amadou Sissoko", ["designer"], "porto", [
    ["drawing", 5],
    ["acrylic", 2],
  ]),
  person("clara", "Clara Vasconcelos", ["designer"], "porto", [["drawing", 4]], {
    timeOff: [off("clara-1", "2027-02-22", "2027-02-26", "approved", { note: "Carnival week" })],
  }),
  person("hendrik", "Hendrik Tamm", ["designer"], "tartu", [
    ["drawing", 4],
    ["cnc", 3],
  ]),
  person(
    "noor",
    "Noor Bakshi",
    ["designer", "writer"],
    "porto",
    [
      ["drawing", 3],
      ["labels", 3],
    ],
    {
      patterns: [{ from: "2026-09-01", week: [8, 8, 6, 8, 0, 0, 0] }],
    },
  ),
  person("yara", "Yara Lindqvist", ["designer"], "tartu", [["drawing", 3]], { employedFrom: "2027-03-01" }),

  person("lena", "Lena Hofmeister", ["writer"], "porto", [
    ["labels", 5],
    ["plain", 4],
  ]),
  person(
    "tomas",
    "Tomas Reyes",
    ["writer"],
    "porto",
    [
      ["labels", 4],
      ["plain", 5],
    ],
    {
      patterns: [{ from: "2027-03-01", week: [8, 8, 8, 0, 0, 0, 0] }],
      timeOff: [off("tomas-1", "2026-12-28", "2027-01-05", "approved")],
    },
  ),
  person("oona", "Oona Rebane", ["writer"], "tartu", [
    ["labels", 3],
    ["plain", 3],
  ]),

  person(
    "mara",
    "Mara Ellingsen",
    ["fabricator"],
    "porto",
    [
      ["cnc", 5],
      ["acrylic", 4],
      ["welding", 4],
    ],
    {
      overtime: [{ id: "mara-1", from: "2027-05-17", to: "2027-05-28", hoursPerDay: 2 }],
    },
  ),
  person(
    "jonas",
    "Jonas Adeyemi",
    ["fabricator"],
    "porto",
    [
      ["cnc", 3],
      ["welding", 5],
    ],
    {
      overtime: [{ id: "jonas-1", from: "2027-05-17", to: "2027-05-28", hoursPerDay: 1.5 }],
    },
  ),
  person(
    "pia",
    "Pia Lund",
    ["fabricator"],
    "porto",
    [
      ["acrylic", 5],
      ["scenic", 4],
    ],
    {
      patterns: [{ from: "2026-01-01", week: [8, 8, 0, 0, 6, 0, 0] }],
      timeOff: [off("pia-1", "2027-03-01", "2027-03-05", "approved")],
    },
  ),
  person("kaspar", "Kaspar Ilves", ["fabricator"], "tartu", [
    ["cnc", 4],
    ["scenic", 2],
  ]),
  person("rui", "Rui Monteverde", ["fabricator", "installer"], "porto", [
    ["welding", 3],
    ["rigging", 3],
  ]),
  person(
    "sade",
    "Sade Okonjo",
    ["fabricator"],
    "porto",
    [
      ["scenic", 5],
      ["acrylic", 3],
    ],
    { employedTo: "2027-06-11" },
  ),

  person(
    "ines",
    "Ines Valtonen",
    ["lighting"],
    "porto",
    [
      ["neon", 5],
      ["focus", 5],
      ["showcontrol", 3],
    ],
    {
      patterns: [{ from: "2026-01-01", week: [8, 8, 8, 8, 0, 0, 0] }],
      timeOff: [off("ines-1", "2027-02-09", "2027-02-09", "approved", { kind: "training", note: "Dimmer certificate" })],
    },
  ),
  person("teo", "Teo Brandt", ["lighting"], "porto", [
    ["focus", 3],
    ["rigging", 3],
  ]),
  person(
    "liis",
    "Liis Maran",
    ["lighting"],
    "tartu",
    [
      ["focus", 4],
      ["showcontrol", 2],
    ],
    {
      timeOff: [off("liis-1", "2027-02-15", "2027-02-19", "declined"), off("liis-2", "2027-07-05", "2027-07-23", "approved")],
    },
  ),

  person(
    "ruta",
    "Ruta Kalnina",
    ["media"],
    "tartu",
    [
      ["showcontrol", 5],
      ["sound", 4],
    ],
    {
      timeOff: [off("ruta-1", "2027-02-18", "2027-02-19", "approved", { hoursPerDay: 4, note: "Mornings" })],
    },
  ),
  person("felix", "Felix Aranda", ["media"], "porto", [
    ["editing", 5],
    ["sound", 3],
  ]),
  person(
    "gwen",
    "Gwen Tolliver",
    ["media"],
    "porto",
    [
      ["editing", 4],
      ["showcontrol", 3],
    ],
    {
      kind: "contractor",
      location: "Leeds",
      employedFrom: "2026-10-05",
      employedTo: "2027-12-17",
    },
  ),

  person("marta", "Marta Quiroga", ["conservator"], "porto", [
    ["mounting", 5],
    ["condition", 5],
  ]),
  person(
    "eha",
    "Eha Sild",
    ["conservator"],
    "tartu",
    [
      ["mounting", 4],
      ["condition", 4],
    ],
    {
      patterns: [{ from: "2026-01-01", week: [8, 8, 8, 4, 4, 0, 0] }],
      timeOff: [off("eha-1", "2027-02-24", "2027-03-02", "requested", { note: "Sister's wedding" })],
    },
  ),

  person(
    "bo",
    "Bo Hallberg",
    ["installer"],
    "porto",
    [
      ["rigging", 5],
      ["mounting", 3],
    ],
    {
      timeOff: [off("bo-1", "2027-03-08", "2027-03-12", "requested", { note: "Skiing" })],
    },
  ),
  person("nuno", "Nuno Farrapo", ["installer"], "porto", [["rigging", 4]]),
  person(
    "silvi",
    "Silvi Raud",
    ["installer"],
    "tartu",
    [
      ["rigging", 3],
      ["mounting", 2],
    ],
    {
      kind: "contractor",
      employedFrom: "2026-11-02",
    },
  ),
];

export const teams: Team[] = [
  {
    id: "workshop",
    name: "Workshop",
    handle: "workshop",
    memberIds: ["mara", "jonas", "pia", "rui", "sade"],
    description: "Makes cases, plinths and scenery in Porto.",
  },
  { id: "workshop-tartu", name: "Workshop Tartu", handle: "workshop-tartu", parentId: "workshop", memberIds: ["kaspar"] },
  { id: "light", name: "Light and media", handle: "light", memberIds: ["ines", "teo", "liis", "ruta", "felix", "gwen"] },
  {
    id: "tidepool-crew",
    name: "Tidepool crew",
    handle: "tidepool",
    projectId: "tidepool",
    memberIds: ["bo", "nuno", "teo", "marta"],
    description: "On site at the Saltmarsh museum.",
  },
];
