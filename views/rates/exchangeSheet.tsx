"use client";
// The value of other currencies in the plan's own, by first day.
import { Plus, X } from "lucide-react";
import { useState } from "react";
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { Plan } from "../../core/plan/schema.ts";
import { readAmount } from "../../ui/amount.ts";
import { Button, IconButton } from "../../ui/button.tsx";
import { DateField } from "../../ui/dateField.tsx";
import { readDate, writeDate } from "../../ui/dateText.ts";
import { DownloadLink } from "../../ui/downloadLink.tsx";
import { DraftInput } from "../../ui/draftInput.tsx";
import { Field, FormFault, TextInput } from "../../ui/field.tsx";
import Link from "../../ui/link.tsx";
import { none, textOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { texts } from "./words.ts";

type Rates = Plan["exchangeRates"];

const readRate = (text: string) => readAmount(text, 1e-6, 1e7);

export function ExchangeSheet({ onClose }: { onClose: () => void }) {
  const session = usePlan();
  const { currency } = usePlanFacts();
  const rates = useMaybeAnswer("exchangeRates", {}, null) ?? [];
  const [fault, setFault] = useState<string | null>(null);
  const save = async (next: Rates) => {
    const message = (await session.edit({ kind: "changeExchange", rates: next }))[0]?.message ?? null;
    setFault(message);
    return message === null;
  };
  const currencies = [...new Set(rates.map((own) => own.currency))].sort();
  return (
    <Sheet title={texts.exchangeRates} subtitle={`Value of one unit of another currency in ${currency}`} onClose={onClose}>
      {currencies.map((own) => (
        <CurrencyRates key={own} currency={own} rates={rates} onSave={(next) => void save(next)} />
      ))}
      {rates.length === 0 && (
        <SheetSection>
          <p className="text-ink-2">{texts.noneYetARateTable}</p>
        </SheetSection>
      )}
      <AddRate known={currencies} own={currency} onAdd={(rate) => save([...rates, rate])} />
      <FormFault>{fault}</FormFault>
      <p className="flex flex-wrap gap-x-3 py-3 text-side">
        Exchange rates as a file:
        {(["csv", "xlsx"] as const).map((format) => (
          <DownloadLink
            key={format}
            className="text-link"
            href={`/api/tables?table=exchangeRates&format=${format}`}
            name={`exchange-rates.${format}`}
            label={`Exchange rates as ${format.toUpperCase()}`}
          >
            {format.toUpperCase()}
          </DownloadLink>
        ))}
        <Link href="/people/import" className="text-link">
          {texts.importAFile}
        </Link>
      </p>
    </Sheet>
  );
}

interface CurrencyProps {
  currency: string;
  /** Of all currencies. */
  rates: Rates;
  onSave: (rates: Rates) => void;
}

function CurrencyRates({ currency, rates, onSave }: CurrencyProps) {
  const own = rates.filter((rate) => rate.currency === currency).toSorted((a, b) => a.from.localeCompare(b.from));
  return (
    <SheetSection title={currency}>
      {own.map((rate) => (
        <div key={rate.from} className="flex items-center gap-2 py-0.5">
          <span className="flex-1">from {writeDate(rate.from)}</span>
          <DraftInput
            value={rate.rate}
            write={String}
            read={readRate}
            onSave={(value) => onSave(rates.map((known) => (known === rate ? { ...known, rate: value } : known)))}
            says={texts.anAmountAbove0}
            aria-label={`${currency} from ${writeDate(rate.from)}`}
            inputMode="decimal"
            width={90}
            isSmall
            isFigure
          />
          <IconButton
            label={`Delete ${currency} from ${writeDate(rate.from)}`}
            onClick={() => onSave(rates.filter((known) => known !== rate))}
          >
            <X size={14} />
          </IconButton>
        </div>
      ))}
    </SheetSection>
  );
}

function AddRate({ known, own, onAdd }: { known: readonly string[]; own: string; onAdd: (rate: Rates[number]) => Promise<boolean> }) {
  const [chosen, setCurrency] = useState("");
  const currency = chosen || (known[0] ?? "");
  const [from, setFrom] = useState("");
  const [rate, setRate] = useState("");
  const [date, amount] = [readDate(from), readRate(rate)];
  const add = async () => {
    if (date === null || !amount || currency === "") return;
    if (!(await onAdd({ currency, from: date, rate: amount.value }))) return;
    setFrom("");
    setRate("");
  };
  return (
    <SheetSection title={texts.addARate}>
      <div className="space-y-2">
        <Field label={texts.currency}>
          <Picker
            value={currency}
            options={[none("Currency"), ...textOptions(Intl.supportedValuesOf("currency").filter((code) => code !== own))]}
            onChange={setCurrency}
          />
        </Field>
        <Field label={texts.fromText}>
          <DateField value={from} onChange={setFrom} />
        </Field>
        <Field label={`Value, ${own}`}>
          <TextInput inputMode="decimal" value={rate} onChange={(event) => setRate(event.target.value)} />
        </Field>
        <Button disabled={date === null || !amount || currency === ""} onClick={() => void add()}>
          <Plus size={14} /> Add
        </Button>
      </div>
    </SheetSection>
  );
}
