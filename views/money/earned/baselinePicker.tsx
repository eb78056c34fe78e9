// The choice of the baseline that a screen compares with.
import { shortDay } from "../../../ui/format.ts";
import { Picker } from "../../../ui/picker.tsx";
import { texts } from "./words.ts";

interface Props {
  baselines: readonly { id: string; name: string; takenOn: number }[];
  value: string;
  onChange: (id: string) => void;
}

export function BaselinePicker({ baselines, value, onChange }: Props) {
  const options = baselines.map(({ id, name, takenOn }) => ({ value: id, text: `${name} (${shortDay(takenOn)})` }));
  return (
    <span className="w-[230px]">
      <Picker value={value} label={texts.baseline} onChange={onChange} options={options} />
    </span>
  );
}
