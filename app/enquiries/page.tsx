import { Enquiries } from "../../views/enquiries/enquiries.tsx";
import { currentAnswer } from "../host.ts";

export default async function EnquiriesPage() {
  return <Enquiries initial={await currentAnswer("enquiries", {})} />;
}
