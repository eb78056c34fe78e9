// The table of exchange rates: a row for each currency and day from which a rate applies.
import { SETTINGS_ID } from "../plan/lists.ts";
import { schemaFaults } from "../plan/parse.ts";
import { changedSchemas, type Plan } from "../plan/schema.ts";
import { numberCell, numberText } from "./cells.ts";
import { RowReading, rowRead } from "./rowReading.ts";
import { type Draft, type ReadOptions, type RowOutcome, reasonsOf, refused, type TableKind, type TableRecord } from "./table.ts";

type ExchangeRate = Plan["exchangeRates"][number];

export const exchangeRatesTable: TableKind = {
  name: "exchangeRates",
  title: "Exchange rates",
  columns: [
    { key: "currency", name: "Currency", isNeeded: true, aliases: ["currencycode", "waehrung", "wahrung", "moeda", "valuuta", "devise"] },
    { key: "from", name: "From", isNeeded: true, aliases: ["date", "day", "validfrom", "datum", "ab", "data", "kuupaev"] },
    {
      key: "rate",
      name: "Exchange rate",
      isNeeded: true,
      aliases: ["rate", "exchange", "kurs", "wechselkurs", "cambio", "vahetuskurss", "cours"],
    },
  ],
  rows: (plan) => plan.exchangeRates.map(({ currency, from, rate }) => [currency, from, numberText(rate)]),
  take: takeExchangeRate,
};

/** A rate of the same currency and day takes the place of the one before. */
function takeExchangeRate(record: TableRecord, draft: Draft, options: ReadOptions, line: number): RowOutcome {
  const currency = record.currency?.trim().toUpperCase() ?? "";
  const about = currency || `line ${line}`;
  const reading = new RowReading(record, options);
  const [from, rate] = [reading.take(reading.date(record.from ?? "")), reading.take(numberCell(record.rate ?? ""))];
  const own = draft.plan.settings.currency;
  if (currency === own) reading.reasons.push(`The plan is in ${own}: it needs no exchange rate.`);
  if (reading.reasons.length > 0) return refused(about, ...reading.reasons);
  const after = rowRead<ExchangeRate>({ currency }, { from, rate });
  const checked = changedSchemas.exchange.shape.rates.element.safeParse(after, { reportInput: true });
  if (!checked.success) return refused(about, ...reasonsOf(schemaFaults(checked.error.issues, after)));
  const rates = draft.all("exchange")[0]?.rates ?? [];
  const at = rates.findIndex((known) => known.currency === currency && known.from === after.from);
  if (at >= 0 && rates[at].rate === after.rate) return { outcome: "leaves", about, says: [] };
  draft.put("exchange", { id: SETTINGS_ID, rates: at >= 0 ? rates.with(at, after) : [...rates, after] });
  const text = `1 ${currency} = ${after.rate} ${own} from ${after.from}`;
  return at >= 0
    ? { outcome: "changes", about, says: [`${rates[at].rate} → ${after.rate}`, text] }
    : { outcome: "adds", about, says: [text] };
}
