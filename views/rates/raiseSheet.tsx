"use client";
// All rates of a table raised from a day on, and what that does to projects before it is done.
import { useMemo, useState } from "react";
import { usePlan } from "../../client/session.tsx";
import type { RateSubject } from "../../core/plan/rateSubject.ts";
import { raisedRates } from "../../core/typing/typeRates.ts";
import { objectKeys } from "../../core/values/objectKeys.ts";
import { readAmount } from "../../ui/amount.ts";
import { Button } from "../../ui/button.tsx";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { Choice } from "../../ui/choice.tsx";
import { DateField } from "../../ui/dateField.tsx";
import { DATE_HINT, readDate, writeDate } from "../../ui/dateText.ts";
import { Field, TextInput } from "../../ui/field.tsx";
import { countText } from "../../ui/format.ts";
import { textOptions } from "../../ui/options.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { toggledList } from "../../ui/toggled.ts";
import { MoneyChanges } from "./moneyChanges.tsx";
import type { RatesHook } from "./useRates.ts";
import { texts } from "./words.ts";

const kinds: Record<RateSubject, string> = { role: "Roles", person: "People", default: "Everyone else", material: "Materials" };
const rounds = ["0.01", "0.05", "0.10", "0.50", "1"] as const;

export function RaiseSheet({ rates, onClose }: { rates: RatesHook; onClose: () => void }) {
  const { from, setFrom, isDate, percent, setPercent, isShare, round, setRound, chosen, setChosen, edit, raise } = useRaise(rates, onClose);
  const count = (edit?.cells?.length ?? 0) + (edit?.added?.length ?? 0);
  return (
    <Sheet title={texts.raiseRates} subtitle={rates.table.name} onClose={onClose}>
      <SheetSection>
        <div className="space-y-3">
          <Field label={texts.percent} fault={isShare ? undefined : "A number such as 3 or 2.5; a negative number lowers the rates."}>
            <TextInput inputMode="decimal" value={percent} onChange={(event) => setPercent(event.target.value)} />
          </Field>
          <Field label={texts.fromText} fault={isDate ? undefined : DATE_HINT} hint={texts.raiseLaterRatesToo}>
            <DateField value={from} onChange={setFrom} />
          </Field>
          <Field label={texts.roundTo}>
            <Choice value={round} options={textOptions(rounds)} onChange={setRound} />
          </Field>
          <div>
            {objectKeys(kinds).map((kind) => (
              <CheckboxField key={kind} checked={chosen.includes(kind)} onChange={() => setChosen(toggledList(chosen, kind))}>
                {kinds[kind]}
              </CheckboxField>
            ))}
          </div>
        </div>
      </SheetSection>
      {edit && <MoneyChanges edit={edit} />}
      <div className="py-3">
        <Button look="main" disabled={!edit} onClick={() => void raise()}>
          Raise {countText(count, "rate")}
        </Button>
      </div>
    </Sheet>
  );
}

/** By how much and from when, whose rates, and the edit of them all. */
function useRaise({ table, grid, today }: RatesHook, onClose: () => void) {
  const session = usePlan();
  const [from, setFrom] = useState(writeDate(today));
  const [percent, setPercent] = useState("3");
  const [round, setRound] = useState<string>("0.01");
  const [chosen, setChosen] = useState<readonly RateSubject[]>(["role", "person", "default"]);
  const date = readDate(from);
  const share = readAmount(percent, -90, 1000)?.value ?? null;
  const edit = useMemo(() => {
    if (date === null || share === null) return null;
    const rows = grid.sections.flatMap((section) => section.rows);
    return raisedRates(table.id, rows, { from: date, percent: share, round: Number(round), kinds: chosen });
  }, [table, grid, date, share, round, chosen]);
  const raise = async () => {
    if (!edit) return;
    const words = `raise rates in "${table.name}" by ${percent}%`;
    if ((await session.edit({ kind: "together", words, edits: [edit] })).length === 0) onClose();
  };
  const [isDate, isShare] = [date !== null, share !== null];
  return { from, setFrom, isDate, percent, setPercent, isShare, round, setRound, chosen, setChosen, edit, raise };
}
