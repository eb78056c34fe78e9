"use client";
// Openings: work that has nobody, the most urgent first, and who could take what is looked at.
import { Search } from "lucide-react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { Button } from "../../ui/button.tsx";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { closed } from "../../ui/closed.ts";
import { countText, hoursText } from "../../ui/format.ts";
import { none, textOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { SearchInput } from "../../ui/searchInput.tsx";
import { later, SheetPart } from "../frame/part.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { CandidatePanel } from "./candidatePanel.tsx";
import { OpeningList } from "./openingList.tsx";
import { OpeningTabs } from "./tabs.tsx";
import { type OpeningsHook, useOpenings } from "./useOpenings.ts";
import { texts } from "./words.ts";

const freeSheet = later(() => import("./freeSheet.tsx").then((own) => own.FreeSheet));
const proposalSheet = later(() => import("./proposalSheet.tsx").then((own) => own.ProposalSheet));
const giveSheet = later(() => import("./assignSheet.tsx").then((own) => own.AssignSheet));

/** The other contents of the sheet, besides an assignment to a person. */
const [FREE, PROPOSAL] = ["free", "proposal"];

interface OpeningsProps {
  initial: Initial<AnswerOf<"openings">>;
  candidates: Initial<AnswerOf<"candidates">>;
}

export function Openings({ initial, candidates: first }: OpeningsProps) {
  const hook = useOpenings(initial, first);
  const { openings, view } = hook;
  return (
    <Screen
      isTwoLined
      title={texts.openings}
      figures={
        <>
          <Figure value={String(openings.length)} says={openings.length === 1 ? "opening" : "openings"} isOver={openings.length > 0} />
          <Figure value={`${hoursText(openings.reduce((sum, { minutes }) => sum + minutes, 0))} h`} says="unassigned" />
        </>
      }
      actions={<OpeningTools hook={hook} />}
      sheet={sheetOf(hook)}
    >
      {openings.length === 0 ? (
        <Empty title={texts.noOpenings}>
          Unassigned work that needs a role appears here with its candidates. {view.pipeline ? "" : texts.selectPipelineToIncludeProjects}
        </Empty>
      ) : (
        <div className="grid min-h-0 flex-1 grid-cols-[300px_minmax(0,1fr)] gap-3">
          <OpeningList hook={hook} />
          <Recipients hook={hook} />
        </div>
      )}
    </Screen>
  );
}

/** The content of the side sheet: availability, a proposal for all, or the assignment of an opening to a person. */
function sheetOf(hook: OpeningsHook) {
  const { shown, view, setView, candidates } = hook;
  const close = () => setView(({ sheet }) => ({ sheet: closed(view.sheet)(sheet) }));
  if (view.sheet === FREE) return <SheetPart of={freeSheet} given={{ onClose: close }} />;
  if (view.sheet === PROPOSAL) return <SheetPart of={proposalSheet} given={{ openings: shown, onClose: close }} />;
  const person = [...(candidates?.fitting ?? []), ...(candidates?.near ?? [])].find(({ personId }) => `give:${personId}` === view.sheet);
  if (!candidates || !person) return null;
  const key = `${candidates.opening.id} ${person.personId}`;
  return <SheetPart key={key} of={giveSheet} given={{ candidates, person, hook, onClose: close }} />;
}

function Recipients({ hook }: { hook: OpeningsHook }) {
  const { shown, candidates } = hook;
  if (shown.length === 0) return <p className="p-6 text-ink-2">{texts.noResults}</p>;
  if (candidates) return <CandidatePanel candidates={candidates} hook={hook} />;
  return <p className="p-6 text-ink-2">Finding candidates, {countText(shown.length, "opening")} in the list…</p>;
}

function OpeningTools({ hook: { openings, shown, view, setView } }: { hook: OpeningsHook }) {
  return (
    <>
      <OpeningTabs />
      <CheckboxField checked={view.pipeline} onChange={(isOn) => setView({ pipeline: isOn || null })}>
        {texts.pipeline}
      </CheckboxField>
      <Picker
        label={texts.role}
        value={view.role}
        onChange={(role) => setView({ role: role || null })}
        width={116}
        options={[none("Any role"), ...textOptions([...new Set(openings.map(({ roleName }) => roleName))].sort())]}
      />
      <SearchInput
        label={texts.searchOpenings}
        placeholder={texts.search}
        value={view.find}
        onChange={(text) => setView({ find: text || null })}
        width={104}
      />
      <Button onClick={() => setView({ sheet: FREE })}>
        <Search size={14} /> Availability
      </Button>
      <Button look="main" disabled={shown.length === 0} onClick={() => setView({ sheet: PROPOSAL })}>
        {texts.proposeForAll}
      </Button>
    </>
  );
}
