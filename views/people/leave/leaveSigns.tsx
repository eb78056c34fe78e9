// The legend of the leave calendar.
import type { LegendSign } from "../../../ui/signLegend.tsx";

export const leaveSigns: readonly LegendSign[] = [
  { sign: <span className="sign-leave block h-3 w-[48px]" />, text: "Approved" },
  { sign: <span className="sign-leave-asked block h-3 w-[48px] bg-ochre-wash" />, text: "Requested, not answered yet" },
  { sign: <span className="sign-leave-declined block h-3 w-[48px]" />, text: "Declined" },
  { sign: <span className="away-count static! w-[48px]">3</span>, text: "Number of team members away at the same time" },
];
