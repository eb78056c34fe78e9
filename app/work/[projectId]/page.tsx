import { Project } from "../../../views/work/project.tsx";
import { currentAnswer } from "../../host.ts";

export default async function ProjectPage({ params }: { params: Promise<{ projectId: string }> }) {
  const projectId = decodeURIComponent((await params).projectId);
  return <Project projectId={projectId} initial={await currentAnswer("outline", { projectId })} />;
}
