import { currentDay } from "../../client/clock.ts";
import { Today } from "../../views/today/today.tsx";
import { currentAnswer } from "../host.ts";

export default async function TodayPage() {
  return <Today initial={await currentAnswer("today", { clock: currentDay() })} />;
}
