"use client";
// Hours that wait for approval: everything usual at once, single lines, or returned with a reason.
import { useState } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import type { ApprovalLine } from "../../core/answers/approvals.ts";
import { Button } from "../../ui/button.tsx";
import { Field, FormFault, TextArea } from "../../ui/field.tsx";
import { countText, hoursText, rangeText } from "../../ui/format.ts";
import { Sheet, SheetSection, SumLine } from "../../ui/sheet.tsx";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { approvalColumns } from "./approvalColumns.tsx";
import { WeekTabs } from "./tabs.tsx";
import { unusualWords } from "./weekWords.ts";
import { texts } from "./words.ts";

export function Approval({ initial }: { initial: Initial<AnswerOf<"approvals">> }) {
  const session = usePlan();
  const lines = useAnswer("approvals", {}, initial);
  const [openKey, setOpenKey] = useState<string | null>(null);
  const open = lines.find(({ key }) => key === openKey);
  const usual = lines.filter(({ unusual }) => unusual.length === 0);
  const approve = (chosen: readonly ApprovalLine[]) =>
    void session.edit({ kind: "decideHours", ids: chosen.flatMap(({ ids }) => ids), state: "approved" });
  return (
    <Screen
      isTwoLined
      title={texts.approval}
      figures={
        <>
          <WeekTabs />
          <Figure value={String(lines.length)} says={lines.length === 1 ? "line waits" : "lines wait"} isOver={lines.length > 0} />
        </>
      }
      actions={
        <Button look="main" disabled={usual.length === 0} onClick={() => approve(usual)}>
          {texts.approveUsual}
        </Button>
      }
      sheet={open && <LineSheet key={open.key} line={open} onApprove={() => approve([open])} onClose={() => setOpenKey(null)} />}
    >
      {lines.length === 0 ? (
        <Empty title={texts.nothingWaits}>{texts.submittedWeeksAppearHere}</Empty>
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
          onOpen={({ key }) => setOpenKey(key)}
        />
      )}
    </Screen>
  );
}

function LineSheet({ line, onApprove, onClose }: { line: ApprovalLine; onApprove: () => void; onClose: () => void }) {
  const session = usePlan();
  const [reason, setReason] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const giveBack = async () => {
    const faults = await session.edit({ kind: "decideHours", ids: line.ids, state: "returned", reason: reason.trim() });
    setFault(faults[0]?.message ?? null);
  };
  return (
    <Sheet title={line.person} subtitle={`${line.name}, ${rangeText({ start: line.week, stop: line.week + 7 })}`} onClose={onClose}>
      <SheetSection>
        <SumLine figure={`${hoursText(line.planned)} h`}>{texts.planned}</SumLine>
        <SumLine figure={`${hoursText(line.recorded)} h`} isTotal>
          {texts.submitted}
        </SumLine>
        {line.unusual.length > 0 && (
          <p className="pt-1 text-ochre-ink">
            {countText(line.unusual.length, "reason")} to check: {line.unusual.map((own) => unusualWords[own]).join(", ")}
          </p>
        )}
        <div className="pt-2">
          <Button look="main" onClick={onApprove}>
            {texts.approve}
          </Button>
        </div>
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
    </Sheet>
  );
}
