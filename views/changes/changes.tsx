"use client";
// All changes with author and time, the newest first; the user's own steps can be undone from here.
import { parseAsString, useQueryStates } from "nuqs";
import type { ToldStep } from "../../client/messages.ts";
import { grouped } from "../../core/values/grouped.ts";
import { Button, TextButton } from "../../ui/button.tsx";
import { FormFault } from "../../ui/field.tsx";
import { longDay } from "../../ui/format.ts";
import { SearchInput } from "../../ui/searchInput.tsx";
import { Empty, Screen } from "../frame/screen.tsx";
import { useValueText } from "../notices/valueText.ts";
import { Step, undoneSteps } from "./step.tsx";
import { useTrail } from "./useTrail.ts";
import { texts } from "./words.ts";

export function Changes() {
  const [{ find: search, about }, setView] = useQueryStates(
    { find: parseAsString.withDefault(""), about: parseAsString.withDefault("") },
    { shallow: true },
  );
  const { steps, isAll, fault, more } = useTrail(about);
  const nameOf = useValueText();
  const setSearch = (find: string) => void setView({ find: find || null });
  const shown = (steps ?? []).filter((step) => saysText(step, search.trim().toLowerCase()));
  return (
    <Screen
      title={texts.changes}
      actions={
        <SearchInput label={texts.searchChanges} placeholder={texts.changeRowOrAuthor} value={search} onChange={setSearch} width={220} />
      }
    >
      <FormFault>{fault}</FormFault>
      {about !== "" && (
        <p className="pb-2 text-ink-2">
          Changes of “{nameOf(about)}”. <TextButton onClick={() => void setView({ about: null })}>{texts.showAllChanges}</TextButton>
        </p>
      )}
      {steps?.length === 0 && <Empty title={texts.noChangesYet}>{texts.everyChangeToThePlan}</Empty>}
      {steps === null && !fault && <p className="text-ink-2">{texts.loadingChanges}</p>}
      {steps !== null && steps.length > 0 && (
        <div className="min-h-0 flex-1 overflow-y-auto box-open px-4 py-2">
          <Days steps={shown} undone={undoneSteps(steps)} />
          {shown.length === 0 && <p className="py-3 text-ink-2">No results for “{search}”.</p>}
          {!isAll && (
            <Button className="my-3" onClick={more}>
              {texts.showOlderChanges}
            </Button>
          )}
        </div>
      )}
    </Screen>
  );
}

/** True if a text occurs in a step: its description, author or rows. */
const saysText = ({ words, by, rows }: TrailStep, text: string): boolean =>
  text === "" || [words, by, ...rows.map(({ name }) => name)].some((own) => own.toLowerCase().includes(text));

type TrailStep = NonNullable<ReturnType<typeof useTrail>["steps"]>[number];

/** Steps by the day on which they were made. */
function Days({ steps, undone }: { steps: readonly TrailStep[]; undone: ReadonlySet<number> }) {
  const nameOf = useValueText();
  return [...grouped(steps, dayOf)].map(([day, own]) => (
    <section key={day}>
      <h2 className="heading-soft pt-3 pb-1">{longDay(day)}</h2>
      {own.map((step) => (
        <Step key={step.revision} step={step} isUndone={undone.has(step.revision)} nameOf={nameOf} />
      ))}
    </section>
  ));
}

const DAY_MS = 86_400_000;

/** The day on which a step was made, as this browser counts days. */
function dayOf({ at }: ToldStep): number {
  const made = new Date(at);
  return Math.round(Date.UTC(made.getFullYear(), made.getMonth(), made.getDate()) / DAY_MS);
}
