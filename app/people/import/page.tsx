import { BringIn } from "../../../views/people/bringIn/bringIn.tsx";

export default function ImportPage() {
  return <BringIn />;
}
