"use client";
// One enquiry in the side sheet: what is asked, what it would do, the decision, the facts to complete, and what became of it.
import { useState } from "react";
import { type Redacted, withoutHidden } from "../../client/seen.ts";
import { usePlan } from "../../client/session.tsx";
import type { EnquiryRow } from "../../core/answers/enquiries.ts";
import { formatDay } from "../../core/calendar/day.ts";
import { minorOf } from "../../core/plan/moneySides.ts";
import type { Enquiry } from "../../core/plan/schema.ts";
import { Button } from "../../ui/button.tsx";
import { readDate, writeDate } from "../../ui/dateText.ts";
import { dateTimeText, longDay, moneyText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { Unfold } from "../../ui/unfold.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { Decide } from "./decide.tsx";
import { Effect } from "./effect.tsx";
import { type EnquiryFields, factsOf } from "./enquiryFields.ts";
import { EnquiryForm } from "./enquiryForm.tsx";
import { stateWords, wishedText } from "./enquiryTable.tsx";
import { texts } from "./words.ts";

export function EnquirySheet({ row, onClose }: { row: Redacted<EnquiryRow>; onClose: () => void }) {
  const session = usePlan();
  const { today } = usePlanFacts();
  const { projectStart } = row;
  const enquiry = withoutHidden<Enquiry>(row.enquiry);
  const { id, name, contact, state } = enquiry;
  const [start, setStart] = useState(writeDate(projectStart ?? enquiry.wishedStart ?? formatDay(today)));
  const save = async (fields: EnquiryFields) => (await session.edit({ kind: "changeEnquiry", id, set: factsOf(fields) })).length === 0;
  const asIf = { enquiryId: id, today: formatDay(today), ...(state === "received" && { start: readDate(start) ?? undefined }) };
  return (
    <Sheet title={name} subtitle={[contact.name, contact.organisation].filter(Boolean).join(", ")} onClose={onClose}>
      <Said row={row} />
      {state !== "declined" && <Effect query={asIf} onStart={(day) => setStart(longDay(day))} />}
      <Decide enquiry={enquiry} start={start} onStart={setStart} />
      <SheetSection>
        <Unfold title={texts.editDetails} look="action">
          <EnquiryForm enquiry={enquiry} saveText="Save" onSave={save} />
        </Unfold>
      </SheetSection>
      <SoFar row={row} />
      {state === "declined" && (
        <SheetSection>
          <Button look="danger" onClick={() => void session.edit({ kind: "deleteEnquiry", id }).then(onClose)}>
            {texts.deleteEnquiry}
          </Button>
        </SheetSection>
      )}
    </Sheet>
  );
}

function Said({ row: { enquiry, projectName } }: { row: Redacted<EnquiryRow> }) {
  const { currency } = usePlanFacts();
  const linkTo = useLinkTo();
  const { purpose, contact, value, state, projectId } = enquiry;
  const requested = wishedText(enquiry);
  return (
    <SheetSection>
      {purpose && <p className="whitespace-pre-wrap pb-1">{purpose}</p>}
      <p className="text-side">
        {requested === "" ? texts.noDateRequested : `Requested ${requested}`}
        {value !== undefined && `, worth ${currency} ${moneyText(minorOf(value), 0)}`}
        {contact.email && (
          <>
            <br />
            {contact.email}
          </>
        )}
      </p>
      {projectName !== null && state !== "declined" && (
        <p className="pt-1">
          {state === "approved" ? "Approved as " : "Accepted as "}
          <Link href={linkTo(`/work/${encodeURIComponent(projectId ?? "")}`)} className="text-link">
            {projectName}
          </Link>
          {state === "accepted" && (
            <>
              {" · "}
              <Link href={linkTo("/horizon")} className="text-link">
                {texts.showOnHorizon}
              </Link>
            </>
          )}
        </p>
      )}
    </SheetSection>
  );
}

const stepWords = {
  received: "sent the enquiry",
  accepted: "accepted it into the pipeline",
  approved: "approved it",
  declined: "declined it",
  reopened: "reopened it",
} as const;

function SoFar({ row: { enquiry } }: { row: Redacted<EnquiryRow> }) {
  return (
    <SheetSection title={`Status: ${stateWords[enquiry.state]}`}>
      <ol>
        {enquiry.history.map(({ at, by, step, text }) => (
          <li key={`${at} ${step}`} className="py-1">
            <span className="font-medium">{by}</span> {stepWords[step]}{" "}
            <time dateTime={at} suppressHydrationWarning className="text-side">
              {dateTimeText(at)}
            </time>
            {text && <p className="whitespace-pre-wrap text-ink-2">{text}</p>}
          </li>
        ))}
      </ol>
    </SheetSection>
  );
}
