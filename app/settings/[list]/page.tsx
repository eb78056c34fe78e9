import { notFound } from "next/navigation";
import { nameLists } from "../../../core/answers/nameList.ts";
import { Names } from "../../../views/settings/names.tsx";
import { pathOfList } from "../../../views/settings/paths.ts";
import { currentAnswer } from "../../host.ts";

export default async function NamesPage({ params }: { params: Promise<{ list: string }> }) {
  const path = `/settings/${(await params).list}`;
  const list = nameLists.find((own) => pathOfList(own) === path);
  if (!list) notFound();
  return <Names key={list} initial={await currentAnswer("nameList", { list })} />;
}
