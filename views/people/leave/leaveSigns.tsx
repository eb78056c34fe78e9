// The legend of the leave calendar.

import type { LegendSign } from "../../../ui/signLegend.tsx";
import { texts } from "../words.ts";

export const leaveSigns: readonly LegendSign[] = [
  { sign: <span className="sign-leave block h-3 w-[48px]" />, text: texts.approved },
  { sign: <span className="sign-leave-asked block h-3 w-[48px] bg-ochre-wash" />, text: texts.requestedNotAnsweredYet },
  { sign: <span className="sign-leave-declined block h-3 w-[48px]" />, text: texts.declined },
  { sign: <span className="away-count static! w-[48px]">3</span>, text: texts.numberOfTeamMembersAway },
];
