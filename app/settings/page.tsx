import { Settings } from "../../views/settings/settings.tsx";
import { currentAnswer } from "../host.ts";

export default async function SettingsPage() {
  return <Settings initial={await currentAnswer("settings", {})} />;
}
