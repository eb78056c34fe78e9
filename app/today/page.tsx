import { Today } from "../../views/today/today.tsx";
import { clockDay, currentAnswer } from "../host.ts";

export default async function TodayPage() {
  return <Today initial={await currentAnswer("today", { clock: clockDay() })} />;
}
