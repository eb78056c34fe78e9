"use client";
// The signals that are shown, and their thresholds.
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import { type AttentionKind, attentionKinds, leastOf } from "../../core/signals/kinds.ts";
import { objectKeys } from "../../core/values/objectKeys.ts";
import { readAmount } from "../../ui/amount.ts";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { DraftInput } from "../../ui/draftInput.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { groupWords, kindNames } from "./attentionWords.ts";
import { texts } from "./words.ts";

type Rules = readonly { kind: string; isOff?: true; least?: number }[];

export function KindsSheet({ onClose }: { onClose: () => void }) {
  const session = usePlan();
  const settings = useMaybeAnswer("settings", {}, null);
  const rules: Rules = settings?.attention ?? [];
  const save = (kind: AttentionKind, rule: { isOff?: true; least?: number }) => {
    const others = rules.filter((own) => own.kind !== kind);
    const isUsual = !rule.isOff && (rule.least === undefined || rule.least === leastOf(kind));
    const next = isUsual ? others : [...others, { kind, ...rule }];
    void session.edit({ kind: "changeSettings", set: { attention: next.length > 0 ? next : null } });
  };
  const kinds = objectKeys(attentionKinds);
  return (
    <Sheet title={texts.chooseSignals} subtitle="Signals shown in Today, and their thresholds" onClose={onClose}>
      {settings &&
        [...new Set(kinds.map((kind) => attentionKinds[kind].about))].map((group) => (
          <SheetSection key={group} title={groupWords[group]}>
            <ul className="space-y-1.5">
              {kinds
                .filter((kind) => attentionKinds[kind].about === group)
                .map((kind) => (
                  <KindLine
                    key={kind}
                    kind={kind}
                    rule={rules.find((own) => own.kind === kind) ?? {}}
                    onSave={(rule) => save(kind, rule)}
                  />
                ))}
            </ul>
          </SheetSection>
        ))}
    </Sheet>
  );
}

interface KindLineProps {
  kind: AttentionKind;
  rule: { isOff?: true; least?: number };
  onSave: (rule: { isOff?: true; least?: number }) => void;
}

function KindLine({ kind, rule, onSave }: KindLineProps) {
  const { unit } = attentionKinds[kind];
  const least = rule.least ?? leastOf(kind);
  return (
    <li>
      <CheckboxField
        checked={!rule.isOff}
        onChange={(isOn) => onSave({ ...(rule.least !== undefined && { least: rule.least }), ...(!isOn && { isOff: true }) })}
      >
        {kindNames[kind]}
      </CheckboxField>
      {unit !== null && !rule.isOff && (
        <span className="flex items-center gap-2 pl-6 text-side">
          from
          <DraftInput
            value={least}
            write={String}
            read={(text) => readAmount(text, 0, 100_000)}
            onSave={(next) => onSave({ least: next })}
            says={texts.aFigureFrom0}
            aria-label={`${kindNames[kind]}, threshold in ${unit === "hours" ? "hours" : "points"}`}
            inputMode="decimal"
            width={58}
            isSmall
            isFigure
          />
          {unit === "hours" ? texts.hOrMore : texts.pointsUnderTheGoal}
        </span>
      )}
    </li>
  );
}
