import { Approval } from "../../../views/week/approval.tsx";
import { oneParam, type SearchParams } from "../../address.ts";
import { currentAnswer } from "../../host.ts";

export default async function ApprovalPage({ searchParams }: { searchParams: SearchParams }) {
  const state = (await oneParam(searchParams, "state")) === "approved" ? "approved" : "submitted";
  return <Approval initial={await currentAnswer("approvals", { state })} />;
}
