"use client";
// The people who could take several needs together, the split, the first possible start, and pencilling it in as one step.
import { useState } from "react";
import { usePlan } from "../../client/session.tsx";
import { type Day, formatDay } from "../../core/calendar/day.ts";
import { type FreeTeam, pencilTeam, type TeamNeed, type TeamShare } from "../../core/staffing/freeTeam.ts";
import { Button } from "../../ui/button.tsx";
import { Field, FormFault, TextInput } from "../../ui/field.tsx";
import { countText, hoursText, longDay, shortDay } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { namedOptions, none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { SheetSection } from "../../ui/sheet.tsx";
import { useNames } from "../scope/facts.ts";
import { texts } from "./words.ts";

interface FreeTeamProps {
  team: FreeTeam;
  needs: readonly TeamNeed[];
  from: Day;
  until: Day;
}

export function FreeTeamView({ team, needs, from, until }: FreeTeamProps) {
  const { later } = team;
  const isFree = team.short.every((minutes) => minutes === 0);
  const length = until - from;
  return (
    <>
      <SheetSection title={isFree ? texts.thisTeamHasEnoughRoom : texts.thereIsRoomFor}>
        <Shares shares={team.shares} needs={needs} />
        {!isFree && <Short team={team} needs={needs} />}
      </SheetSection>
      {!isFree && (
        <SheetSection title={later ? `Enough room from ${shortDay(later.from)} to ${shortDay(later.from + length)}` : texts.all}>
          {later ? <Shares shares={later.shares} needs={needs} /> : <p className="text-ink-2">{texts.nobodyHasRoom}</p>}
        </SheetSection>
      )}
      {later && <Pencil key={`${later.from}`} needs={needs} shares={later.shares} start={later.from} finish={later.from + length} />}
    </>
  );
}

function Shares({ shares, needs }: { shares: readonly TeamShare[]; needs: readonly TeamNeed[] }) {
  const { roles } = useNames();
  const roleName = (need: number) => roles.find(({ id }) => id === needs[need].roleId)?.name ?? "Any role";
  return shares.map(({ need, personId, name, minutes }) => (
    <p key={`${need} ${personId}`} className="flex justify-between gap-3 py-0.5">
      <span className="min-w-0 truncate">
        {name} <span className="text-side">{roleName(need)}</span>
      </span>
      <span className="whitespace-nowrap">{hoursText(minutes)} h</span>
    </p>
  ));
}

function Short({ team, needs }: Pick<FreeTeamProps, "team" | "needs">) {
  const { roles } = useNames();
  return team.short.map((minutes, need) =>
    minutes === 0 ? null : (
      <p key={`${needs[need].roleId} ${String(need)}`} className="text-over">
        {hoursText(minutes)} h short: {roles.find(({ id }) => id === needs[need].roleId)?.name ?? "any role"}
      </p>
    ),
  );
}

interface PencilProps {
  needs: readonly TeamNeed[];
  shares: readonly TeamShare[];
  start: Day;
  finish: Day;
}

/** Makes a task of it, with everyone pencilled in. */
function Pencil({ needs, shares, start, finish }: PencilProps) {
  const session = usePlan();
  const { projects } = useNames();
  const [projectId, setProject] = useState("");
  const [name, setName] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const pencil = async () => {
    const query = { projectId, name: name.trim(), start: formatDay(start), finish: formatDay(finish), needs, shares };
    const faults = await session.edit(pencilTeam({ ...query, idStem: newId("pencilled") }));
    setFault(faults[0]?.message ?? null);
    if (faults.length === 0) setName("");
  };
  return (
    <SheetSection title={`Pencil it in, ${shortDay(start)} – ${longDay(finish)}`}>
      <div className="space-y-3">
        <Field label={texts.project}>
          <Picker value={projectId} onChange={setProject} options={[none("Choose a project"), ...namedOptions(projects)]} />
        </Field>
        <Field label={texts.task}>
          <TextInput value={name} onChange={(event) => setName(event.target.value)} placeholder={texts.taskName} />
        </Field>
        <FormFault>{fault}</FormFault>
        <Button look="main" disabled={projectId === "" || name.trim() === ""} onClick={() => void pencil()}>
          Pencil in {countText(new Set(shares.map(({ personId }) => personId)).size, "person", "people")}
        </Button>
      </div>
    </SheetSection>
  );
}
