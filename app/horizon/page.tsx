import { createLoader } from "nuqs/server";
import { currentDay } from "../../client/clock.ts";
import { horizonOf, todayOf } from "../../core/calendar/horizon.ts";
import { Horizon } from "../../views/horizon/horizon.tsx";
import { horizonParams, horizonQueryOf } from "../../views/horizon/horizonParams.ts";
import { type SearchParams, windowOfPage } from "../address.ts";
import { currentAnswer, shownPlan } from "../host.ts";

const loadParams = createLoader(horizonParams);

export default async function HorizonPage({ searchParams }: { searchParams: SearchParams }) {
  const plan = await shownPlan();
  const window = await windowOfPage(searchParams);
  const query = horizonQueryOf(loadParams(await searchParams), window, horizonOf(plan), todayOf(plan, currentDay()));
  return <Horizon initial={await currentAnswer("horizon", query)} />;
}
