import { Approval } from "../../../views/week/approval.tsx";
import { currentAnswer } from "../../host.ts";

export default async function ApprovalPage() {
  return <Approval initial={await currentAnswer("approvals", { state: "submitted" })} />;
}
