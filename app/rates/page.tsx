import { Rates } from "../../views/rates/rates.tsx";
import { initialAnswer } from "../initial.ts";

export default async function RatesPage() {
  return <Rates initial={await initialAnswer("rateTables", {})} />;
}
