// An option for a shortage, as one sentence without a full stop.
import type { Help, HelpTarget } from "../../core/forecast/help.ts";
import type { HelpNames } from "../../core/forecast/helpNames.ts";
import { countText, longDay, lowerFirst } from "../../ui/format.ts";

export function helpText({ help, name, what }: HelpNames & { help: Help }, { by, level }: HelpTarget): string {
  switch (help.kind) {
    case "later":
      return `Start ${name} ${countText(help.days / 7, "week")} later`;
    case "lend":
      return `Assign ${what} (unassigned) to ${name}, who also has the role`;
    case "train":
      return `Train ${name} in ${lowerFirst(what)}${level > 1 ? ` to level ${level}` : ""}: ${countText(help.weeks, "week")} from ${longDay(help.from)}, ${help.hoursPerDay} h a day`;
    case "hire": {
      const here = by === "team" ? " for the team" : by === "place" ? " here" : by === "skill" ? " with the skill" : "";
      const as = `as ${lowerFirst(name)}${here}`;
      const learning = help.learningWeeks > 0 ? `, half their time to learn for ${countText(help.learningWeeks, "week")}` : "";
      return help.to === null
        ? `Hire ${countText(help.people, "more person", "more people")} ${as} from ${longDay(help.from)}${learning}`
        : `Take on ${countText(help.people, "contractor")} ${as}, ${longDay(help.from)} – ${longDay(help.to)}${learning}`;
    }
  }
}
