import { Rates } from "../../views/rates/rates.tsx";
import { currentAnswer } from "../host.ts";

export default async function RatesPage() {
  return <Rates initial={await currentAnswer("rateTables", {})} />;
}
