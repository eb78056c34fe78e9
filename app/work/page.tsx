import { Portfolio } from "../../views/work/portfolio.tsx";
import { currentAnswer } from "../host.ts";

export default async function WorkPage() {
  return <Portfolio initial={await currentAnswer("portfolio", {})} />;
}
