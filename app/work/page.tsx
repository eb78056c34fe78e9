import { Portfolio } from "../../views/work/portfolio.tsx";
import { initialAnswer } from "../initial.ts";

export default async function WorkPage() {
  return <Portfolio initial={await initialAnswer("portfolio", {})} />;
}
