"use client";
// The skills matrix: people by skills with their levels, and the gap of each skill against what open work asks for.
import { useVirtualizer } from "@tanstack/react-virtual";
import { Plus } from "lucide-react";
import { parseAsBoolean, parseAsString, useQueryState } from "nuqs";
import { type KeyboardEvent, useRef, useState } from "react";
import type { AnswerOf } from "../../../client/questions.ts";
import { type Initial, useAnswer, usePlan } from "../../../client/session.tsx";
import type { SkillColumn, SkillMatrix } from "../../../core/answers/skillMatrix.ts";
import { Button } from "../../../ui/button.tsx";
import { TextInput } from "../../../ui/field.tsx";
import { focusSoon } from "../../../ui/focusSoon.ts";
import { countText, hoursText } from "../../../ui/format.ts";
import { newId } from "../../../ui/newId.ts";
import { Empty, Figure, Screen } from "../../frame/screen.tsx";
import { usePlanWindow } from "../../frame/windowed.ts";
import { PeopleTabs } from "../tabs.tsx";

export function Skills({ initial }: { initial: Initial<AnswerOf<"skills">> }) {
  const session = usePlan();
  const { range, grain } = usePlanWindow();
  const { columns, rows } = useAnswer("skills", { range, grain }, initial);
  const [search, setSearch] = useQueryState("find", parseAsString.withDefault("").withOptions({ shallow: true }));
  const [isAsked, setAsked] = useQueryState("asked", parseAsBoolean.withDefault(false).withOptions({ shallow: true }));
  const text = search.trim().toLowerCase();
  const people = rows.filter(({ name, roleName }) => `${name} ${roleName}`.toLowerCase().includes(text));
  const shown = isAsked ? columns.filter(({ need }) => need > 0) : columns;
  const missing = columns.filter(hasGap);
  const setLevel = (personId: string, skillId: string, level: number) => {
    const row = rows.find((own) => own.personId === personId);
    if (!row) return;
    const levels = { ...row.levels, [skillId]: level };
    const skills = Object.entries(levels)
      .filter(([, own]) => own > 0)
      .map(([id, own]) => ({ skillId: id, level: own }));
    void session.edit({ kind: "changePerson", id: personId, set: { skills: skills.length > 0 ? skills : null } });
  };
  return (
    <Screen
      title="People"
      figures={
        <>
          <PeopleTabs />
          <Figure value={String(columns.length)} says="skills" />
          <Figure value={String(missing.length)} says="asked for and short" isOver={missing.length > 0} />
        </>
      }
      actions={
        <>
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="accent-pine"
              checked={isAsked}
              onChange={(event) => void setAsked(event.target.checked || null)}
            />
            Only what open work asks for
          </label>
          <TextInput
            aria-label="Search people"
            placeholder="Name or role"
            value={search}
            onChange={(event) => void setSearch(event.target.value)}
            className="w-[150px]!"
          />
          <AddSkill
            onAdd={(name) => void session.edit({ kind: "addSkill", skill: { id: newId("skill"), name } })}
            taken={columns.map(({ skill }) => skill.name.toLowerCase())}
          />
        </>
      }
    >
      {shown.length === 0 ? (
        <Empty title={isAsked ? "Open work asks for no skill in this window" : "No skills yet"}>
          {isAsked ? "Move the window on the ribbon, or show all skills." : "Add the first one at the top right."}
        </Empty>
      ) : (
        <Matrix columns={shown} rows={people} onSet={setLevel} />
      )}
    </Screen>
  );
}

const hasGap = ({ need, room }: SkillColumn) => need > room;

function AddSkill({ onAdd, taken }: { onAdd: (name: string) => void; taken: readonly string[] }) {
  const [name, setName] = useState<string | null>(null);
  if (name === null)
    return (
      <Button look="main" onClick={() => setName("")}>
        <Plus size={15} /> Add skill
      </Button>
    );
  const typed = name.trim();
  const isTaken = taken.includes(typed.toLowerCase());
  return (
    <form
      className="flex gap-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        if (typed === "" || isTaken) return;
        onAdd(typed);
        setName(null);
      }}
    >
      <TextInput
        aria-label="Name of the skill"
        aria-invalid={isTaken}
        title={isTaken ? "There is a skill of this name already" : undefined}
        autoFocus
        value={name}
        onChange={(event) => setName(event.target.value)}
        className="w-[140px]!"
      />
      <Button type="submit" look="main" disabled={typed === "" || isTaken}>
        Add
      </Button>
      <Button onClick={() => setName(null)}>Back</Button>
    </form>
  );
}

function Matrix({
  columns,
  rows,
  onSet,
}: {
  columns: SkillColumn[];
  rows: SkillMatrix["rows"];
  onSet: (personId: string, skillId: string, level: number) => void;
}) {
  const [active, setActive] = useState({ row: 0, column: 0 });
  const frame = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 8,
    initialRect: { width: 1000, height: 640 },
    scrollPaddingStart: HEAD_HEIGHT,
  });
  const shown = virtual.getVirtualItems();
  const press = (event: KeyboardEvent) => {
    const place = /^level-(\d+)-(\d+)$/.exec((event.target as HTMLElement).id);
    if (!place) return;
    const [row, column] = [Number(place[1]), Number(place[2])];
    const step = steps[event.key];
    if (step) {
      const next = {
        row: Math.max(0, Math.min(rows.length - 1, row + step[0])),
        column: Math.max(0, Math.min(columns.length - 1, column + step[1])),
      };
      setActive(next);
      virtual.scrollToIndex(next.row);
      focusSoon(`level-${next.row}-${next.column}`);
    } else if (/^[0-5]$/.test(event.key)) onSet(rows[row].personId, columns[column].skill.id, Number(event.key));
    else if (event.key === "Delete" || event.key === "Backspace") onSet(rows[row].personId, columns[column].skill.id, 0);
    else return;
    event.preventDefault();
  };
  return (
    <div ref={frame} className="min-h-0 flex-1 overflow-auto rounded-t-card border border-line border-b-0 bg-sheet">
      <table aria-rowcount={rows.length + 2} className="border-separate border-spacing-0" onKeyDown={press}>
        <thead className="sticky top-0 z-[2] bg-sheet">
          <tr>
            <th scope="col" className={`${nameCell} h-[128px] border-b align-bottom`}>
              <span className="block pb-2 font-semibold">Person</span>
              <span className="block pb-2 font-normal text-[12.5px] text-ink-2">
                Levels 1 to 5: type a digit, 0 takes one away. Shaded: who can do what open work of the window asks for.
              </span>
            </th>
            {columns.map((column) => (
              <th
                key={column.skill.id}
                scope="col"
                className="h-[128px] w-[52px] min-w-[52px] border-line border-r border-b p-0 align-bottom font-normal"
              >
                <span
                  className="mx-auto block h-[116px] py-1 text-left text-[13px] [writing-mode:vertical-rl] rotate-180"
                  title={column.skill.group}
                >
                  {column.skill.name}
                </span>
              </th>
            ))}
          </tr>
          <tr>
            <th scope="row" className={`${nameCell} border-b font-normal text-[12.5px] text-ink-2`}>
              Needed by open work, h
            </th>
            {columns.map((column) => (
              <NeedCell key={column.skill.id} column={column} />
            ))}
          </tr>
        </thead>
        <tbody>
          <Spacer height={shown[0]?.start ?? 0} />
          {shown
            .map(({ index }) => ({ row: rows[index], at: index }))
            .map(({ row, at }) => (
              <tr key={row.personId} style={{ height: ROW_HEIGHT }}>
                <th scope="row" className={`${nameCell} border-b font-normal`}>
                  <span className="block truncate">
                    {row.name} <span className="text-[12.5px] text-ink-2">{row.roleName}</span>
                  </span>
                </th>
                {columns.map((column, own) => {
                  const level = row.levels[column.skill.id] ?? 0;
                  const isAble = column.need > 0 && level >= column.level;
                  return (
                    <td key={column.skill.id} className={`border-line border-r border-b p-0 ${isAble ? "bg-pine-wash" : ""}`}>
                      <button
                        type="button"
                        id={`level-${at}-${own}`}
                        tabIndex={active.row === at && active.column === own ? 0 : -1}
                        aria-label={`${row.name}, ${column.skill.name}: ${level === 0 ? "none" : `level ${level}`}`}
                        onFocus={() => setActive({ row: at, column: own })}
                        onClick={() => onSet(row.personId, column.skill.id, (level + 1) % 6)}
                        className="flex h-[29px] w-full items-center justify-center gap-1 hover:bg-well"
                      >
                        {level > 0 && (
                          <>
                            <span aria-hidden className="flex items-end gap-px">
                              {[1, 2, 3, 4, 5].map((step) => (
                                <span
                                  key={step}
                                  className={`w-[3px] ${step <= level ? "bg-pine" : "bg-line"}`}
                                  style={{ height: 3 + step * 2 }}
                                />
                              ))}
                            </span>
                            <span>{level}</span>
                          </>
                        )}
                      </button>
                    </td>
                  );
                })}
              </tr>
            ))}
          <Spacer height={virtual.getTotalSize() - (shown.at(-1)?.end ?? 0)} />
        </tbody>
      </table>
      {rows.length === 0 && <p className="p-6 text-ink-2">Nobody matches.</p>}
    </div>
  );
}

const ROW_HEIGHT = 30;
const HEAD_HEIGHT = 164;

/** Stands for the rows that are out of sight. */
function Spacer({ height }: { height: number }) {
  return height > 0 ? <tr style={{ height }} /> : null;
}

const nameCell = "sticky left-0 z-[1] w-[240px] min-w-[240px] max-w-[240px] border-line border-r bg-sheet px-3 py-1 text-left";
const steps: Record<string, [number, number]> = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] };

function NeedCell({ column }: { column: SkillColumn }) {
  const { skill, need, able, room, level, holders } = column;
  const says =
    need === 0
      ? `${skill.name}: nothing asked for; ${countText(holders, "person has it", "people have it")}`
      : `${skill.name}: ${hoursText(need)} h at level ${level} or more; ${countText(able, "person", "people")} with ${hoursText(room)} h of room`;
  return (
    <td
      aria-label={says}
      title={says}
      className={`h-[34px] border-line border-r border-b text-center text-[12.5px] leading-tight ${hasGap(column) ? "bg-over-wash font-bold text-over" : "text-ink-2"}`}
    >
      {need === 0 ? "–" : hoursText(need)}
      {need > 0 && (
        <span className="block font-normal text-[11.5px]">{hasGap(column) ? `short ${hoursText(need - room)}` : `level ${level}`}</span>
      )}
    </td>
  );
}
