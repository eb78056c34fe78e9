import { Skills } from "../../../views/people/skills/skills.tsx";
import { type SearchParams, windowOfPage } from "../../address.ts";
import { currentAnswer } from "../../host.ts";

export default async function SkillsPage({ searchParams }: { searchParams: SearchParams }) {
  return <Skills initial={await currentAnswer("skills", await windowOfPage(searchParams))} />;
}
