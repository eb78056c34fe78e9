import { Skills } from "../../../views/people/skills/skills.tsx";
import { currentAnswer } from "../../host.ts";
import { type SearchParams, windowOfPage } from "../../initial.ts";

export default async function SkillsPage({ searchParams }: { searchParams: SearchParams }) {
  return <Skills initial={await currentAnswer("skills", await windowOfPage(searchParams))} />;
}
