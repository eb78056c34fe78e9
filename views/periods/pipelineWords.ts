// The countings of pipeline projects, in words for screens and files.
import type { Counting } from "../../core/load/counting.ts";

export const pipelineWords: Record<Counting["pipeline"], string> = {
  none: "Pipeline not counted",
  weighted: "Pipeline weighted",
  full: "Pipeline in full",
};
