// Fernhollow's clients and projects.
import type { Plan, Project } from "../core/plan/schema.ts";

export const clients: Plan["clients"] = [
  { id: "saltmarsh", name: "Saltmarsh Museum of Tides" },
  { id: "lumen", name: "Lumen Hall of Science" },
  { id: "ravenholt", name: "Ravenholt City Museum" },
  { id: "kesteva", name: "Kesteva Folk Gallery" },
  { id: "machines", name: "Museum of Quiet Machines" },
];

/** The task plan of a project, and its size against the usual one. */
export interface DemoProject extends Project {
  template: "gallery" | "display" | "standing";
  scale: number;
}

const timeAndMaterials = { billTableId: "studio-bill", billing: { kind: "timeAndMaterials" as const } };
const fixedFee = (fee: number) => ({ billing: { kind: "fixedFee" as const, fee } });

const project = (
  [id, code, name]: [string, string, string],
  clientId: string,
  stage: Project["stage"],
  start: string,
  template: DemoProject["template"],
  scale: number,
  more: Partial<Project>,
): DemoProject => ({ id, code, name, clientId, stage, start, calendarId: "porto", costTableId: "studio-cost", template, scale, ...more });

export const projects: DemoProject[] = [
  project(["tidepool", "TP", "Tidepool Hall"], "saltmarsh", "active", "2026-11-30", "gallery", 1.15, {
    leadId: "ilka",
    category: "Permanent gallery",
    deadline: "2027-06-04",
    budget: 155000,
    priority: 5,
    marginTarget: 30,
    billTableId: "saltmarsh-bill",
    billing: { kind: "timeAndMaterials" },
    description: "A wave tank, twelve rock pools and the story of the tide.",
  }),
  project(["slowlight", "SL", "Slow Light"], "lumen", "active", "2026-12-28", "gallery", 0.95, {
    leadId: "bruno",
    category: "Permanent gallery",
    deadline: "2027-06-25",
    budget: 128000,
    // Labour goes past its part, though the whole lasts.
    budgetByKind: { labour: 105000, material: 6000 },
    // Missed by a hair, because of who is on it.
    marginTarget: 27,
    ...fixedFee(163000),
  }),
  project(["rivers", "WR", "Woven Rivers"], "kesteva", "active", "2026-10-12", "gallery", 0.9, {
    leadId: "mette",
    calendarId: "tartu",
    category: "Permanent gallery",
    deadline: "2027-03-05",
    budget: 118000,
    ...fixedFee(158000),
  }),
  project(["orchard", "CO", "The Clockwork Orchard"], "machines", "active", "2026-11-16", "display", 1.1, {
    leadId: "dario",
    category: "Display",
    deadline: "2027-03-19",
    budget: 46000,
    ...timeAndMaterials,
  }),
  project(["ravenholt", "UR", "Under Ravenholt"], "ravenholt", "active", "2027-01-18", "display", 1.3, {
    leadId: "dario",
    category: "Display",
    deadline: "2027-05-07",
    budget: 54000,
    ...timeAndMaterials,
  }),
  project(["thunder", "ST", "Small Thunder"], "lumen", "active", "2027-02-15", "display", 1, {
    leadId: "bruno",
    category: "Touring display",
    deadline: "2027-06-18",
    budget: 41000,
    ...fixedFee(64000),
  }),
  project(["moons", "PM", "Paper Moons"], "kesteva", "approved", "2027-03-08", "display", 1.2, {
    leadId: "mette",
    calendarId: "tartu",
    category: "Touring display",
    deadline: "2027-07-30",
    budget: 52000,
    ...fixedFee(81000),
  }),
  project(["well", "LW", "The Listening Well"], "machines", "approved", "2027-04-05", "gallery", 0.7, {
    leadId: "ilka",
    category: "Permanent gallery",
    deadline: "2027-10-29",
    budget: 92000,
    ...timeAndMaterials,
  }),
  project(["seedvault", "SV", "Seed Vault"], "saltmarsh", "pipeline", "2027-03-15", "display", 1.6, {
    leadId: "dario",
    category: "Display",
    probability: 60,
    costTableId: "contract-cost",
    ...fixedFee(118000),
  }),
  project(["lamps", "HL", "Harbour of Lamps"], "ravenholt", "pipeline", "2027-05-31", "display", 1.4, {
    leadId: "bruno",
    category: "Display",
    probability: 30,
    costTableId: "contract-cost",
    ...fixedFee(96000),
  }),
  project(["feather", "FB", "Feather and Bone"], "ravenholt", "pipeline", "2027-04-19", "display", 0.9, {
    leadId: "mette",
    category: "Touring display",
    probability: 80,
    ...timeAndMaterials,
  }),
  project(["standing", "FW", "Studio standing work"], "saltmarsh", "active", "2026-10-05", "standing", 1, {
    leadId: "ilka",
    category: "Studio",
    billing: { kind: "internal" },
  }),
].map((row) => (row.id === "standing" ? { ...row, clientId: undefined } : row));
