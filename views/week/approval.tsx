"use client";
// Hours that wait for approval: everything usual at once, single lines, or returned with a reason.
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { type ReactNode, useState } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import type { ApprovalLine } from "../../core/answers/approvals.ts";
import { Button } from "../../ui/button.tsx";
import { Field, FormFault, TextArea } from "../../ui/field.tsx";
import { countText, hoursText, rangeText } from "../../ui/format.ts";
import { wordOptions } from "../../ui/options.ts";
import { Segmented } from "../../ui/segmented.tsx";
import { Sheet, SheetSection, SumLine } from "../../ui/sheet.tsx";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { approvalColumns } from "./approvalColumns.tsx";
import { ClosingSheet } from "./closingSheet.tsx";
import { WeekTabs } from "./tabs.tsx";
import { unusualWords } from "./weekWords.ts";
import { texts } from "./words.ts";

const stateWords = { submitted: texts.waiting, approved: texts.approved } as const;

function useApproval(initial: Initial<AnswerOf<"approvals">>) {
  const session = usePlan();
  const [state, setState] = useQueryState(
    "state",
    parseAsStringLiteral(["submitted", "approved"]).withDefault("submitted").withOptions({ shallow: true }),
  );
  const lines = useAnswer("approvals", { state }, initial);
  const [openKey, setOpenKey] = useState<string | null>(null);
  const [isClosing, setClosing] = useState(false);
  const usual = lines.filter(({ unusual }) => unusual.length === 0);
  const approve = (chosen: readonly ApprovalLine[]) =>
    void session.edit({ kind: "decideHours", ids: chosen.flatMap(({ ids }) => ids), state: "approved" });
  return {
    state,
    setState,
    lines,
    open: lines.find(({ key }) => key === openKey),
    openKey,
    setOpenKey,
    isClosing,
    setClosing,
    usual,
    approve,
  };
}

type Hook = ReturnType<typeof useApproval>;

export function Approval({ initial }: { initial: Initial<AnswerOf<"approvals">> }) {
  const hook = useApproval(initial);
  const { state, lines, openKey, setOpenKey, setClosing } = hook;
  const isWaiting = state === "submitted";
  return (
    <Screen
      isTwoLined
      title={texts.approval}
      figures={
        <>
          <WeekTabs />
          {isWaiting && (
            <Figure value={String(lines.length)} says={lines.length === 1 ? "line waits" : "lines wait"} isOver={lines.length > 0} />
          )}
        </>
      }
      actions={<Actions hook={hook} />}
      sheet={<OpenedSheet hook={hook} />}
    >
      {lines.length === 0 ? (
        <Empty title={isWaiting ? texts.nothingWaits : texts.nothingApproved}>
          {isWaiting ? texts.submittedWeeksAppearHere : texts.approvedHoursAppearHere}
        </Empty>
      ) : (
        <DataTable
          name="approval"
          label={texts.lines}
          columns={approvalColumns}
          rows={lines}
          idOf={({ key }) => key}
          nameOf={({ person, name }) => `${person}, ${name}`}
          rowHeight={44}
          selectedId={openKey}
          onOpen={({ key }) => {
            setClosing(false);
            setOpenKey(key);
          }}
        />
      )}
    </Screen>
  );
}

function Actions({ hook: { state, setState, setOpenKey, setClosing, usual, approve } }: { hook: Hook }) {
  return (
    <>
      <Segmented
        label={texts.stateShown}
        value={state}
        options={wordOptions(stateWords)}
        onChange={(next) => {
          setOpenKey(null);
          void setState(next);
        }}
      />
      <Button onClick={() => setClosing(true)}>{texts.closedMonths}</Button>
      {state === "submitted" && (
        <Button look="main" disabled={usual.length === 0} onClick={() => approve(usual)}>
          {texts.approveUsual}
        </Button>
      )}
    </>
  );
}

function OpenedSheet({ hook: { state, open, setOpenKey, isClosing, setClosing, approve } }: { hook: Hook }) {
  if (isClosing) return <ClosingSheet onClose={() => setClosing(false)} />;
  if (!open) return null;
  const close = () => setOpenKey(null);
  return state === "submitted" ? (
    <SubmittedSheet key={open.key} line={open} onApprove={() => approve([open])} onClose={close} />
  ) : (
    <ApprovedSheet key={open.key} line={open} onClose={close} />
  );
}

/** An approved line: its approval can be withdrawn. */
function ApprovedSheet({ line, onClose }: { line: ApprovalLine; onClose: () => void }) {
  const session = usePlan();
  const [fault, setFault] = useState<string | null>(null);
  const withdraw = async () => {
    const faults = await session.edit({ kind: "decideHours", ids: line.ids, state: "submitted" });
    if (faults.length > 0) setFault(faults[0].message);
    else onClose();
  };
  return (
    <LineSheet line={line} recorded={texts.approved} onClose={onClose}>
      <SheetSection>
        <FormFault>{fault}</FormFault>
        <Button onClick={() => void withdraw()}>{texts.withdrawTheApproval}</Button>
      </SheetSection>
    </LineSheet>
  );
}

/** A submitted line: approved, or returned with a reason. */
function SubmittedSheet({ line, onApprove, onClose }: { line: ApprovalLine; onApprove: () => void; onClose: () => void }) {
  const session = usePlan();
  const [reason, setReason] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const giveBack = async () => {
    const faults = await session.edit({ kind: "decideHours", ids: line.ids, state: "returned", reason: reason.trim() });
    setFault(faults[0]?.message ?? null);
  };
  return (
    <LineSheet line={line} recorded={texts.submitted} onClose={onClose}>
      <SheetSection>
        {line.unusual.length > 0 && (
          <p className="pb-2 text-ochre-ink">
            {countText(line.unusual.length, "reason")} to check: {line.unusual.map((own) => unusualWords[own]).join(", ")}
          </p>
        )}
        <Button look="main" onClick={onApprove}>
          {texts.approve}
        </Button>
      </SheetSection>
      <SheetSection>
        <Field label={texts.reason} hint={texts.theReasonIsSent}>
          <TextArea value={reason} onChange={(event) => setReason(event.target.value)} />
        </Field>
        <FormFault>{fault}</FormFault>
        <div className="pt-2">
          <Button onClick={() => void giveBack()}>{texts.returnHours}</Button>
        </div>
      </SheetSection>
    </LineSheet>
  );
}

interface LineProps {
  line: ApprovalLine;
  /** The name of the recorded hours. */
  recorded: string;
  onClose: () => void;
  children: ReactNode;
}

/** A line with its hours and notes, and what can be done with it. */
function LineSheet({ line, recorded, onClose, children }: LineProps) {
  return (
    <Sheet title={line.person} subtitle={`${line.name}, ${rangeText({ start: line.week, stop: line.week + 7 })}`} onClose={onClose}>
      <SheetSection>
        <SumLine figure={`${hoursText(line.planned)} h`}>{texts.planned}</SumLine>
        <SumLine figure={`${hoursText(line.recorded)} h`} isTotal>
          {recorded}
        </SumLine>
        {line.notes.map((note) => (
          <p key={note} className="whitespace-pre-wrap pt-1 text-ink-2">
            {note}
          </p>
        ))}
      </SheetSection>
      {children}
    </Sheet>
  );
}
