import { Skills } from "../../../views/people/skills/skills.tsx";
import { initialAnswer, type SearchParams, windowOfPage } from "../../initial.ts";

export default async function SkillsPage({ searchParams }: { searchParams: SearchParams }) {
  return <Skills initial={await initialAnswer("skills", await windowOfPage(searchParams))} />;
}
