import { Hours } from "../../../../../views/hours/hours.tsx";
import { currentAnswer } from "../../../../host.ts";
import { type SearchParams, windowOfPage } from "../../../../initial.ts";

interface Props {
  params: Promise<{ id: string }>;
  searchParams: SearchParams;
}

export default async function PersonHoursPage({ params, searchParams }: Props) {
  const of = { personId: decodeURIComponent((await params).id) };
  return <Hours key={of.personId} of={of} initial={await currentAnswer("hours", { of, ...(await windowOfPage(searchParams)) })} />;
}
