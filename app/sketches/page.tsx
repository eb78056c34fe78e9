import { Sketches } from "../../views/sketches/sketches.tsx";
import { currentAnswer } from "../host.ts";

export default async function SketchesPage() {
  return <Sketches initial={await currentAnswer("sketches", {})} />;
}
