"use client";
// The filters of money, each with the way to remove it.
import { X } from "lucide-react";
import type { Redacted } from "../../client/seen.ts";
import type { MoneyAnswer } from "../../core/answers/money.ts";
import { placeText } from "./moneyParams.ts";
import { groupWords, rowName } from "./moneyWords.ts";
import { texts } from "./words.ts";

export function WithinLine({ places, onChange }: { places: Redacted<MoneyAnswer>["places"]; onChange: (of: string[]) => void }) {
  if (places.length === 0) return null;
  return (
    <p className="flex flex-wrap items-center gap-2 pb-2">
      <span className="text-side">{texts.only}</span>
      {places.map(({ by, key, name }) => (
        <button
          key={`${by} ${key}`}
          type="button"
          aria-label={`Remove the filter ${rowName(by, key, name)}`}
          className="name-chip gap-1.5 pr-2"
          onClick={() => onChange(places.filter((own) => own.by !== by || own.key !== key).map(placeText))}
        >
          <span className="text-side">{groupWords[by].toLowerCase()}</span> {rowName(by, key, name)} <X size={12} aria-hidden />
        </button>
      ))}
    </p>
  );
}
