import { Requests } from "../../../views/openings/requests/requests.tsx";
import { initialAnswer } from "../../initial.ts";

export default async function RequestsPage() {
  return <Requests initial={await initialAnswer("requests", {})} />;
}
