import { Requests } from "../../../views/openings/requests/requests.tsx";
import { currentAnswer } from "../../host.ts";

export default async function RequestsPage() {
  return <Requests initial={await currentAnswer("requests", {})} />;
}
