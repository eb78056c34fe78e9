// The plans of tasks that Fernhollow's projects follow.
import type { Link, Task } from "../core/plan/schema.ts";

/** Hours that a task asks for, of a role and for how many people. */
export type Need = [roleId: string, hours: number, people: number];

export interface TemplateTask {
  key: string;
  name: string;
  phase: string;
  /** Working days; 0 is a milestone. */
  days: number;
  needs: Need[];
  /** The predecessors: task key, kind, lag in days, elapsed. */
  after: [key: string, kind: Link["kind"], lagDays?: number, elapsed?: true][];
  skills?: Task["skills"];
}

const task = (
  phase: string,
  key: string,
  name: string,
  days: number,
  needs: Need[],
  after: TemplateTask["after"],
  skills?: Task["skills"],
): TemplateTask => ({
  key,
  name,
  phase,
  days,
  needs,
  after,
  skills,
});

/** A permanent gallery: five to seven months from the first sketch to the opening. */
export const gallery: TemplateTask[] = [
  task(
    "Design",
    "concept",
    "Concept and story",
    15,
    [
      ["designer", 174, 2],
      ["writer", 116, 1],
    ],
    [],
  ),
  task("Design", "drawings", "Gallery drawings", 20, [["designer", 320, 2]], [["concept", "FS"]], [{ skillId: "drawing", level: 3 }]),
  task("Design", "labels", "Label texts", 22, [["writer", 218, 2]], [["drawings", "SS", 5]], [{ skillId: "labels", level: 3 }]),
  task("Design", "objects", "Object list and conditions", 12, [["conservator", 102, 1]], [["concept", "FS"]]),
  task(
    "Design",
    "approved",
    "Design approved",
    0,
    [],
    [
      ["drawings", "FS"],
      ["labels", "FS"],
    ],
  ),
  task("Fabrication", "order", "Order materials", 3, [["lead", 14, 1]], [["approved", "FS"]]),
  task(
    "Fabrication",
    "cases",
    "Cases and plinths",
    30,
    [["fabricator", 492, 3]],
    [
      ["approved", "FS"],
      ["order", "FS", 5, true],
    ],
    [{ skillId: "cnc", level: 3 }],
  ),
  task("Fabrication", "scenic", "Scenic surfaces", 25, [["fabricator", 174, 2]], [["cases", "SS", 10]]),
  task(
    "Fabrication",
    "details",
    "Detail drawings and supervision",
    30,
    [["designer", 276, 2]],
    [["approved", "FS", -8]],
    [{ skillId: "drawing", level: 4 }],
  ),
  task(
    "Fabrication",
    "mounts",
    "Object mounts",
    24,
    [["conservator", 188, 2]],
    [["objects", "FS", 10]],
    [{ skillId: "mounting", level: 3 }],
  ),
  task("Fabrication", "lightplan", "Lighting plan", 14, [["lighting", 122, 1]], [["drawings", "FS"]]),
  task(
    "Fabrication",
    "fixtures",
    "Fixture build and dimmer tests",
    16,
    [["lighting", 174, 2]],
    [
      ["lightplan", "FS"],
      ["cases", "SS", 8],
    ],
  ),
  task("Fabrication", "film", "Films and soundscape", 28, [["media", 218, 2]], [["labels", "FS", -5]], [{ skillId: "editing", level: 3 }]),
  task("Fabrication", "showcontrol", "Show control", 14, [["media", 92, 1]], [["film", "FF", 4]]),
  task(
    "Fabrication",
    "built",
    "Fabrication complete",
    0,
    [],
    [
      ["cases", "FS"],
      ["scenic", "FS"],
      ["fixtures", "FS"],
    ],
  ),
  task("Install", "transport", "Transport and placing", 8, [["installer", 174, 2]], [["built", "FS"]], [{ skillId: "rigging", level: 3 }]),
  task(
    "Install",
    "objectsin",
    "Object installation",
    9,
    [
      ["conservator", 102, 1],
      ["installer", 92, 1],
    ],
    [
      ["transport", "FS"],
      ["mounts", "FS"],
    ],
  ),
  task("Install", "focus", "Lighting focus", 8, [["lighting", 128, 2]], [["transport", "FS"]], [{ skillId: "focus", level: 3 }]),
  task(
    "Install",
    "mediain",
    "Media and sound on site",
    8,
    [["media", 104, 1]],
    [
      ["transport", "SS", 3],
      ["showcontrol", "FS"],
    ],
  ),
  task(
    "Install",
    "snagging",
    "Snagging",
    5,
    [
      ["installer", 58, 1],
      ["fabricator", 58, 1],
    ],
    [
      ["objectsin", "FS"],
      ["focus", "FS"],
      ["mediain", "FS"],
    ],
  ),
  task("Install", "opening", "Opening", 0, [], [["snagging", "FS"]]),
];

/** A smaller or touring display: three to four months. */
export const display: TemplateTask[] = [
  task("Prepare", "brief", "Brief and sketch", 8, [["designer", 82, 1]], []),
  task(
    "Prepare",
    "texts",
    "Texts and graphics",
    14,
    [
      ["writer", 116, 1],
      ["designer", 88, 1],
    ],
    [["brief", "FS"]],
  ),
  task("Prepare", "objects", "Object conditions", 8, [["conservator", 58, 1]], [["brief", "SS", 4]]),
  task("Make", "build", "Build", 22, [["fabricator", 218, 2]], [["texts", "FS", -6]]),
  task("Make", "graphics", "Graphic panels", 18, [["designer", 160, 1]], [["texts", "FS", -3]]),
  task("Make", "light", "Lighting build", 14, [["lighting", 92, 1]], [["build", "SS", 6]]),
  task("Make", "media", "Media build", 16, [["media", 110, 1]], [["texts", "FS"]]),
  task(
    "Make",
    "ready",
    "Ready to ship",
    0,
    [],
    [
      ["build", "FS"],
      ["light", "FS"],
    ],
  ),
  task("Install", "installing", "Installation", 8, [["installer", 122, 2]], [["ready", "FS", 2]]),
  task(
    "Install",
    "check",
    "Object and light check",
    4,
    [
      ["conservator", 34, 1],
      ["lighting", 28, 1],
    ],
    [
      ["installing", "FS"],
      ["media", "FS"],
    ],
  ),
  task("Install", "opening", "Opening", 0, [], [["check", "FS"]]),
];
