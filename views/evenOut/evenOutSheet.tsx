"use client";
// The limits of evening out: whose work, which kinds of moves, how far, and which rows are locked.
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import { evenOutKinds, MOST_OVERTIME } from "../../core/balancing/kinds.ts";
import { objectKeys } from "../../core/values/objectKeys.ts";
import { readAmount } from "../../ui/amount.ts";
import { Button, TextButton } from "../../ui/button.tsx";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { DraftInput } from "../../ui/draftInput.tsx";
import { Field } from "../../ui/field.tsx";
import { countText, hoursText, rangeText, wholeText } from "../../ui/format.ts";
import { kindOf, kindOptions, namedOptions, none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { ProgressLine } from "../../ui/progressLine.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { lockEdit } from "../planFields/lockTick.tsx";
import { kindWords } from "../remedies/remedyWords.ts";
import { useNames } from "../scope/facts.ts";
import type { EvenOutHook } from "./useEvenOut.ts";
import { texts } from "./words.ts";

export function EvenOutSheet({ even }: { even: EvenOutHook }) {
  const { choices, choose, isRunning, window } = even;
  const toggle = (kind: (typeof evenOutKinds)[number]) =>
    choose({ kinds: evenOutKinds.filter((own) => (own === kind ? !choices.kinds.includes(own) : choices.kinds.includes(own))) });
  return (
    <Sheet title={texts.evenOut} subtitle={`${rangeText(window)}, by single day`} onClose={() => even.setScope(null)}>
      <SheetSection>
        <WhoseWork even={even} />
      </SheetSection>
      <SheetSection title={texts.allowedMoves}>
        {evenOutKinds.map((kind) => (
          <CheckboxField key={kind} checked={choices.kinds.includes(kind)} onChange={() => toggle(kind)} disabled={isRunning}>
            {kindWords[kind]}
          </CheckboxField>
        ))}
        <p className="text-side">
          Longer tasks stay within their slack. Overtime is used only where no work can move, up to {MOST_OVERTIME} h a day.
        </p>
        <CheckboxField checked={choices.isPencilledOnly} onChange={(isPencilledOnly) => choose({ isPencilledOnly })} disabled={isRunning}>
          {texts.pencilledWorkOnly}
        </CheckboxField>
      </SheetSection>
      <HowFar even={even} />
      <Locks />
      <div className="py-3">
        {isRunning ? (
          <Searching even={even} />
        ) : (
          <Button look="main" disabled={choices.kinds.length === 0} onClick={even.start}>
            {even.news ? texts.evenOutAgain : texts.evenOut}
          </Button>
        )}
      </div>
      <p className="pb-4 text-side">{texts.nothingChangesUntilYouApply}</p>
    </Sheet>
  );
}

/** The progress of the search; the board stays visible until it has a result. */
function Searching({ even: { news, choices, stop } }: { even: EvenOutHook }) {
  return (
    <div className="space-y-2">
      <ProgressLine part={Math.min(1, (news?.seconds ?? 0) / Math.max(1, choices.seconds))}>{texts.lookingForMoves}</ProgressLine>
      <p className="text-side">
        {(news?.steps ?? 0) === 0 && "Comparing assignments. "}
        {wholeText(news?.steps ?? 0)} moves tried, {countText(news?.lines ?? 0, "move")} found.{" "}
        {news && `${hoursText(news.now)} of ${hoursText(news.before)} h are still over on single days.`}
      </p>
      <Button onClick={stop}>{texts.stopAndShowTheResult}</Button>
    </div>
  );
}

function HowFar({ even: { choices, choose } }: { even: EvenOutHook }) {
  return (
    <SheetSection title={texts.limits}>
      <Amount
        label={texts.finishLaterByAtMost}
        value={choices.mostDelayDays}
        most={250}
        onSave={(mostDelayDays) => choose({ mostDelayDays })}
      />
      <Amount label={texts.ignoreChangesUnderHours} value={choices.leastHours} most={100} onSave={(leastHours) => choose({ leastHours })} />
      <Amount label={texts.searchForSeconds} value={choices.seconds} most={120} onSave={(seconds) => choose({ seconds })} />
    </SheetSection>
  );
}

function WhoseWork({ even }: { even: EvenOutHook }) {
  const { roles, teams, projects } = useNames();
  return (
    <>
      <Field label={texts.scope}>
        <Picker
          value={even.scope === "all" ? "" : even.scope}
          options={[
            none("All people"),
            ...kindOptions("People of a role", "role", roles),
            ...kindOptions("People of a team", "team", teams),
            ...kindOptions("Work of certain projects", "project", projects),
          ]}
          onChange={(scope) => even.setScope(scope === "" ? "all" : scope)}
          disabled={even.isRunning}
        />
      </Field>
      <MoreProjects even={even} />
    </>
  );
}

/** Projects next to the one that is chosen, each to be left out again. */
function MoreProjects({ even: { scope, more, setScope, isRunning } }: { even: EvenOutHook }) {
  const { projects } = useNames();
  const { kind, id: first } = kindOf(scope);
  if (kind !== "project") return null;
  const chosen = more.flatMap((id) => projects.find((own) => own.id === id) ?? []);
  const others = projects.filter(({ id }) => id !== first && !more.includes(id));
  return (
    <>
      {chosen.map(({ id, name }) => (
        <p key={id} className="flex items-baseline gap-2">
          <span className="min-w-0 flex-1 truncate">and {name}</span>
          <TextButton
            onClick={() =>
              setScope(
                scope,
                more.filter((own) => own !== id),
              )
            }
            disabled={isRunning}
            aria-label={`Leave out ${name}`}
          >
            {texts.leaveOut}
          </TextButton>
        </p>
      ))}
      {others.length > 0 && (
        <Field label={texts.includeTheWorkOf}>
          <Picker
            value=""
            options={[none("Another project"), ...namedOptions(others)]}
            onChange={(id) => id && setScope(scope, [...more, id])}
            disabled={isRunning}
          />
        </Field>
      )}
    </>
  );
}

function Amount({ label, value, most, onSave }: { label: string; value: number; most: number; onSave: (value: number) => void }) {
  return (
    <div className="flex items-center justify-between gap-3 py-0.5">
      <span>{label}</span>
      <DraftInput
        value={value}
        write={String}
        read={(text) => readAmount(text, 0, most)}
        onSave={onSave}
        says={`A figure from 0 to ${most}`}
        aria-label={label}
        inputMode="decimal"
        width={58}
        isSmall
        isFigure
      />
    </div>
  );
}

/** The locked rows, each with the way to unlock it. */
function Locks() {
  const session = usePlan();
  const locks = useMaybeAnswer("locks", {}, null);
  const all = locks ? objectKeys(locks).flatMap((list) => locks[list].map((own) => ({ ...own, list }))) : [];
  return (
    <SheetSection title={texts.locked}>
      {all.length === 0 && <p className="text-side">{texts.nothingIsLockedLock}</p>}
      {all.map(({ list, id, name }) => (
        <p key={`${list} ${id}`} className="flex items-baseline gap-2">
          <span className="min-w-0 flex-1 truncate">{name}</span>
          <TextButton onClick={() => void session.edit(lockEdit(list, id, false))} aria-label={`Unlock ${name}`}>
            unlock
          </TextButton>
        </p>
      ))}
    </SheetSection>
  );
}
