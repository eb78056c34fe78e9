import { Hours } from "../../../../views/hours/hours.tsx";
import { type SearchParams, windowOfPage } from "../../../address.ts";
import { currentAnswer } from "../../../host.ts";

interface Props {
  params: Promise<{ projectId: string }>;
  searchParams: SearchParams;
}

export default async function ProjectHoursPage({ params, searchParams }: Props) {
  const of = { projectId: decodeURIComponent((await params).projectId) };
  return <Hours key={of.projectId} of={of} initial={await currentAnswer("hours", { of, ...(await windowOfPage(searchParams)) })} />;
}
