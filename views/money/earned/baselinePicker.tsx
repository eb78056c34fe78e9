// The choice of the baseline that a screen compares with.
import { shortDay } from "../../../ui/format.ts";
import { none } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { texts } from "./words.ts";

interface Props {
  label?: string;
  /** Offered before them, for the plan as it is. */
  now?: string;
  baselines: readonly { id: string; name: string; takenOn: number }[];
  value: string;
  onChange: (id: string) => void;
}

export function BaselinePicker({ label = texts.baseline, now, baselines, value, onChange }: Props) {
  const options = baselines.map(({ id, name, takenOn }) => ({ value: id, text: `${name} (${shortDay(takenOn)})` }));
  return (
    <span className="w-[190px]">
      <Picker value={value} label={label} onChange={onChange} options={now === undefined ? options : [none(now), ...options]} />
    </span>
  );
}
