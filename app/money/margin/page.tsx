import { Margin } from "../../../views/money/margin.tsx";
import { currentAnswer } from "../../host.ts";

export default async function MarginPage() {
  return <Margin initial={await currentAnswer("margins", {})} />;
}
