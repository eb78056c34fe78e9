// The situations that screens show on opening: overloads, idle people, gaps and clashes, put into the staffed plan.
import type { Assignment, Comment, Plan, Task, WorkRequest } from "../core/plan/schema.ts";

/** Passed over while work of these weeks is given out, so that they have room next to their busy colleagues. */
export const idlePeople: ReadonlySet<string> = new Set(["kaspar", "rui"]);

const extraTasks: Task[] = [
  {
    id: "tidepool-rockpools",
    projectId: "tidepool",
    parentId: "tidepool-fabrication",
    name: "Rock pool trial casts",
    sizing: "dates",
    start: "2027-02-08",
    finish: "2027-02-26",
    roleId: "fabricator",
  },
  {
    id: "slowlight-neon",
    projectId: "slowlight",
    parentId: "slowlight-fabrication",
    name: "Neon sample wall",
    sizing: "dates",
    start: "2027-02-15",
    finish: "2027-03-05",
    effortHours: 60,
    roleId: "lighting",
    skills: [{ skillId: "neon", level: 4 }],
  },
  {
    id: "slowlight-demo",
    projectId: "slowlight",
    parentId: "slowlight-design",
    name: "Light demonstration for the board",
    sizing: "dates",
    start: "2027-02-08",
    finish: "2027-02-12",
    roleId: "lighting",
  },
  {
    id: "orchard-courier",
    projectId: "orchard",
    parentId: "orchard-install",
    name: "Courier visit",
    sizing: "dates",
    start: "2027-03-01",
    finish: "2027-03-02",
    roleId: "conservator",
  },
  {
    id: "rivers-handover",
    projectId: "rivers",
    parentId: "rivers-install",
    name: "Handover on site",
    sizing: "dates",
    start: "2027-03-08",
    finish: "2027-03-12",
    roleId: "installer",
  },
  {
    id: "ravenholt-survey",
    projectId: "ravenholt",
    parentId: "ravenholt-prepare",
    name: "Survey of the vaults",
    sizing: "effort",
    effortHours: 34,
    notBefore: "2027-02-01",
    roleId: "installer",
  },
  {
    id: "tidepool-braille",
    projectId: "tidepool",
    parentId: "tidepool-fabrication",
    name: "Braille labels",
    roleId: "writer",
    effortHours: 30,
  },
  { id: "slowlight-guide", projectId: "slowlight", parentId: "slowlight-install", name: "Family guide", roleId: "writer" },
  {
    id: "thunder-press",
    projectId: "thunder",
    parentId: "thunder-install",
    name: "Press morning",
    sizing: "dates",
    start: "2027-05-20",
    finish: "2027-05-20",
  },
  {
    id: "seedvault-rig",
    projectId: "seedvault",
    parentId: "seedvault-make",
    name: "Vault lighting rig",
    sizing: "dates",
    start: "2027-05-03",
    finish: "2027-05-28",
    roleId: "lighting",
    skills: [{ skillId: "rigging", level: 3 }],
  },
];

const extraWork: Assignment[] = [
  { id: "rockpools-mara", taskId: "tidepool-rockpools", personId: "mara", hours: 60 },
  { id: "rockpools-jonas", taskId: "tidepool-rockpools", personId: "jonas", hours: 54 },
  { id: "rockpools-yara", taskId: "tidepool-rockpools", personId: "yara", roleId: "designer", hours: 16, to: "2027-02-19" },
  { id: "rockpools-clara", taskId: "tidepool-rockpools", personId: "clara", roleId: "designer", hours: 10, from: "2027-02-22" },
  { id: "neon-ines", taskId: "slowlight-neon", personId: "ines", hours: 24 },
  { id: "demo-ines", taskId: "slowlight-demo", personId: "ines", custom: [{ from: "2027-02-08", to: "2027-02-11", hours: 14 }] },
  {
    id: "demo-amadou",
    taskId: "slowlight-demo",
    personId: "amadou",
    roleId: "designer",
    custom: [{ from: "2027-02-11", to: "2027-02-11", hours: 7 }],
  },
  { id: "courier-marta", taskId: "orchard-courier", personId: "marta", hoursPerDay: 6 },
  { id: "handover-bo", taskId: "rivers-handover", personId: "bo", hours: 30 },
  { id: "survey-bo", taskId: "ravenholt-survey", personId: "bo", hours: 20, percent: 60 },
  { id: "survey-nuno", taskId: "ravenholt-survey", personId: "nuno", hours: 14 },
  { id: "rig-open", taskId: "seedvault-rig", roleId: "lighting", hours: 320, shape: "early" },
  { id: "rig-teo", taskId: "seedvault-rig", personId: "teo", percent: 40, firmness: "pencilled" },
  { id: "tank-open", taskId: "tidepool-cases", roleId: "fabricator", hours: 40, shape: "late" },
  { id: "crew-tidepool", taskId: "tidepool-transport", teamId: "tidepool-crew", hours: 32 },
];

const materialUse: Assignment[] = [
  { id: "m-tank", taskId: "tidepool-cases", materialId: "acrylic", quantity: 14, wastePercent: 10, accrual: "even" },
  { id: "m-tube", taskId: "tidepool-cases", materialId: "tube", quantity: 36 },
  { id: "m-birch", taskId: "tidepool-scenic", materialId: "birch", quantity: 48, wastePercent: 12 },
  { id: "m-paint", taskId: "tidepool-scenic", materialId: "paint", quantityPerDay: 1.5, accrual: "even" },
  { id: "m-led", taskId: "slowlight-fixtures", materialId: "led", quantity: 180, wastePercent: 5 },
  { id: "m-board", taskId: "rivers-mounts", materialId: "board", quantity: 22, wastePercent: 8, accrual: "end" },
];

/** Adds the situations to a staffed plan, in place. */
export function addSituations(plan: Plan): void {
  for (const task of extraTasks) {
    const siblings = plan.tasks.findLastIndex(({ parentId }) => parentId === task.parentId);
    plan.tasks.splice(siblings + 1, 0, task);
  }
  plan.assignments.push(...extraWork, ...materialUse);
  plan.links.push({ id: "ready-fs-courier", from: "orchard-ready", to: "orchard-courier", kind: "FS" });
  // The board wants to see the light before it is drawn: a pinned task that breaks a link.
  plan.links.push({ id: "drawings-fs-demo", from: "slowlight-drawings", to: "slowlight-demo", kind: "FS" });
  plan.links.push({ id: "rockpools-fs-transport", from: "tidepool-rockpools", to: "tidepool-transport", kind: "FS" });
  plan.links.push({ id: "fixtures-ff-neon", from: "slowlight-fixtures", to: "slowlight-showcontrol", kind: "FF", lagDays: 2 });
  plan.links.push({ id: "drawings-sf-objects", from: "well-drawings", to: "well-objects", kind: "SF", lagDays: 14 });
  setTask(plan, "tidepool-opening", { deadline: "2027-06-04" });
  setTask(plan, "rivers-opening", { deadline: "2027-03-05" });
  setTask(plan, "tidepool-transport", { fixedCost: 1250, fixedCostAccrual: "start", notBefore: "2027-04-12" });
  setTask(plan, "slowlight-film", { fixedCost: 3200, fixedCostAccrual: "even", atRisk: true });
  for (const task of plan.tasks) markProgress(plan, task);
  setTask(plan, "tidepool-scenic", {
    notes:
      "# What the scenery must do\n\nChildren **climb** on it, so every edge is rounded.\n\n- rock in three parts that pass a 90 cm door\n- two spare skins\n- *no* glitter paint",
  });
  setTask(plan, "slowlight-drawings", {
    state: "underWay",
    percentComplete: 90,
    review: { state: "sentBack", reason: "The switch plan for the dark corridor is missing." },
  });
  plan.comments.push(...comments);
  plan.requests.push(...requests);
}

const requests: WorkRequest[] = [
  {
    id: "request-courier",
    taskId: "orchard-courier",
    assignmentId: "courier-marta",
    roleId: "conservator",
    hours: 12,
    state: "confirmed",
    note: "Someone has to be there when the courier unpacks.",
    history: [
      {
        at: "2027-01-25T10:12:00.000Z",
        by: "Dario Penwick",
        to: "Nora Okafor",
        step: "asked",
        text: "Someone has to be there when the courier unpacks.",
      },
      { at: "2027-01-26T08:30:00.000Z", by: "Nora Okafor", to: "Dario Penwick", step: "confirmed", text: "Marta has both days." },
    ],
  },
  {
    id: "request-film",
    taskId: "slowlight-film",
    personId: "ines",
    hours: 24,
    state: "declined",
    history: [
      { at: "2027-01-27T15:02:00.000Z", by: "Bruno Castelar", to: "Nora Okafor", step: "asked", text: "Ines knows the old rig." },
      {
        at: "2027-01-28T09:15:00.000Z",
        by: "Nora Okafor",
        to: "Bruno Castelar",
        step: "declined",
        text: "She is over in three weeks of February already. Ask again for March.",
      },
    ],
  },
];

const comments: Comment[] = [
  {
    id: "comment-casts",
    taskId: "tidepool-rockpools",
    author: "Nora Okafor",
    at: "2027-01-28T14:05:00.000Z",
    text: "@Mara Ellingsen, the museum wants to touch a cast before we order resin. Can @tidepool take one along on Thursday?",
    mentions: [{ personId: "mara" }, { teamId: "tidepool-crew" }],
  },
  {
    id: "comment-casts-2",
    taskId: "tidepool-rockpools",
    author: "Mara Ellingsen",
    at: "2027-01-29T09:40:00.000Z",
    text: "One is dry on Wednesday. I need the loading bay from two.",
  },
];

function markProgress(plan: Plan, task: Task): void {
  const project = plan.projects.find(({ id }) => id === task.projectId);
  if (project?.stage !== "active" || project.id === "standing") return;
  const early = ["concept", "drawings", "brief", "objects", "approved"];
  if (early.some((key) => task.id.endsWith(`-${key}`)) && project.start < "2027-01-01")
    Object.assign(task, { percentComplete: 100, state: "done" });
}

function setTask(plan: Plan, id: string, set: Partial<Task>): void {
  const task = plan.tasks.find((row) => row.id === id);
  if (!task) throw new Error(`The demo plan has no task ${id}.`);
  Object.assign(task, set);
}
