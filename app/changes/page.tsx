import { Changes } from "../../views/changes/changes.tsx";

export default function ChangesPage() {
  return <Changes />;
}
