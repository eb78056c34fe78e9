// The options of a list: values with their texts, and a detail next to each.
import { objectKeys } from "../core/values/objectKeys.ts";

export interface Option<V extends string = string> {
  value: V;
  text: string;
  /** On the right, smaller: a role, hours of room. */
  side?: string;
  /** The heading it is under; options of one group follow each other. */
  group?: string;
  /** Levels below the first. */
  depth?: number;
}

/** The option of no choice. */
export const none = (text: string): Option<""> => ({ value: "", text });

/** Words by value, in their order. */
export function wordOptions<V extends string>(words: Readonly<Record<V, string>>): Option<V>[] {
  return objectKeys(words).map((value) => ({ value, text: words[value] }));
}

/** Texts that represent themselves. */
export const textOptions = <V extends string>(texts: readonly V[]): Option<V>[] => texts.map((text) => ({ value: text, text }));

/** The rows of a list, by id and name. */
export function namedOptions(list: readonly { id: string; name: string; side?: string }[]): Option[] {
  return list.map(({ id, name, side }) => ({ value: id, text: name, ...(side !== undefined && { side }) }));
}

/** Rows of one kind under a heading; the value is `kind:id`. */
export function kindOptions(group: string, kind: string, list: readonly { id: string; name: string; side?: string }[]): Option[] {
  return namedOptions(list).map((option) => ({ ...option, value: `${kind}:${option.value}`, group }));
}

/** The two parts of such a value. */
export function kindOf(value: string): { kind: string; id: string } {
  return { kind: value.slice(0, value.indexOf(":")), id: value.slice(value.indexOf(":") + 1) };
}

/** Options under their headings, in order. */
export function optionGroups<V extends string>(options: readonly Option<V>[]): { group: string; options: Option<V>[] }[] {
  const groups: { group: string; options: Option<V>[] }[] = [];
  for (const option of options) {
    const last = groups.at(-1);
    if (last && last.group === (option.group ?? "")) last.options.push(option);
    else groups.push({ group: option.group ?? "", options: [option] });
  }
  return groups;
}

/** The options that hold every typed word in their text or next to it. */
export function optionsFound<V extends string>(options: readonly Option<V>[], typed: string): Option<V>[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return options.filter(({ text, side = "" }) => words.every((word) => `${text} ${side}`.toLowerCase().includes(word)));
}
