import { Project } from "../../../views/work/project.tsx";
import { oneParam, type SearchParams } from "../../address.ts";
import { currentAnswer } from "../../host.ts";

interface Props {
  params: Promise<{ projectId: string }>;
  searchParams: SearchParams;
}

export default async function ProjectPage({ params, searchParams }: Props) {
  const projectId = decodeURIComponent((await params).projectId);
  const taskId = await oneParam(searchParams, "task");
  return (
    <Project
      projectId={projectId}
      initial={await currentAnswer("outline", { projectId })}
      initialWhy={taskId === null ? null : await currentAnswer("why", { taskId })}
    />
  );
}
