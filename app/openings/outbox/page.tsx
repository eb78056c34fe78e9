import { Outbox } from "../../../views/openings/requests/outbox.tsx";
import { initialAnswer } from "../../initial.ts";

export default async function OutboxPage() {
  return <Outbox initial={await initialAnswer("outbox", {})} />;
}
