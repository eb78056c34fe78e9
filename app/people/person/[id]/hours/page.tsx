import { Hours } from "../../../../../views/hours/hours.tsx";
import { type SearchParams, windowOfPage } from "../../../../address.ts";
import { currentAnswer } from "../../../../host.ts";

interface Props {
  params: Promise<{ id: string }>;
  searchParams: SearchParams;
}

export default async function PersonHoursPage({ params, searchParams }: Props) {
  const of = { personId: decodeURIComponent((await params).id) };
  return <Hours key={of.personId} of={of} initial={await currentAnswer("hours", { of, ...(await windowOfPage(searchParams)) })} />;
}
