import { Outbox } from "../../../views/openings/requests/outbox.tsx";
import { currentAnswer } from "../../host.ts";

export default async function OutboxPage() {
  return <Outbox initial={await currentAnswer("outbox", {})} />;
}
