// iCalendar (RFC 5545): events as a table of days, and work or leave as events.
import ICAL from "ical.js";
import { FILE_LIMITS } from "../core/plan/limits.ts";
import { messageOf } from "../core/values/errors.ts";
import { grouped } from "../core/values/grouped.ts";
import { type TextTable, UnreadableFile } from "./textTable.ts";

// A folded line begins with a space that the library leaves out of its count of 75 octets.
ICAL.foldLength = 74;

/** The events of a calendar as a table: first and last day, hours where it is not whole days, title, e-mail.
 * Repeating events give a row each time, for five years at most.
 * @throws {UnreadableFile} */
export function eventsTable(text: string, name: string): TextTable {
  let calendar: ICAL.Component;
  try {
    calendar = new ICAL.Component(ICAL.parse(text));
  } catch (error) {
    throw new UnreadableFile(`This calendar could not be read: ${messageOf(error)}`);
  }
  const events = calendar.getAllSubcomponents("vevent");
  if (events.length > FILE_LIMITS.events)
    throw new UnreadableFile(`This calendar has more than ${FILE_LIMITS.events.toLocaleString("en-GB")} events. Import it in parts.`);
  // Exceptions of a series, by series: the library would search all of them for each.
  const replaced = grouped(
    events.filter((event) => event.hasProperty("recurrence-id")),
    uidOf,
  );
  const rows: string[][] = [];
  for (const event of events) {
    rows.push(...readableRows(event, replaced.get(uidOf(event)) ?? []));
    if (rows.length > FILE_LIMITS.rows)
      throw new UnreadableFile(
        `The events of this calendar take more than ${FILE_LIMITS.rows.toLocaleString("en-GB")} rows. Import it in parts.`,
      );
  }
  const isOwn = rows.some((row) => row.length > HEADER.length);
  const header = isOwn ? [...HEADER, ...OWN_HEADER] : [...HEADER];
  return { name, rows: [header, ...rows.sort((a, b) => (a[0] < b[0] ? -1 : 1))] };
}

const HEADER = ["From", "To", "Hours", "Title", "E-mail"] as const;
/** Of leave that this application has written: whose it is, and what it is known by. */
const OWN_HEADER = ["Person", "Id", "State"] as const;

/** @throws {UnreadableFile} naming the event: what is in one may be anything. */
function readableRows(event: ICAL.Component, exceptions: ICAL.Component[]): string[][] {
  try {
    return rowsOf(event, exceptions);
  } catch (error) {
    const title = String(event.getFirstPropertyValue("summary") ?? uidOf(event));
    throw new UnreadableFile(
      `The event "${title}" of this calendar could not be read: ${messageOf(error)}. Remove it and import the rest.`,
    );
  }
}

const uidOf = (component: ICAL.Component): string => String(component.getFirstPropertyValue("uid") ?? "");

function rowsOf(component: ICAL.Component, exceptions: ICAL.Component[]): string[][] {
  const event = new ICAL.Event(component, component.hasProperty("recurrence-id") ? undefined : { exceptions });
  // An event that replaces one of a series comes as an event of its own as well.
  if (!component.hasProperty("dtstart")) return [];
  const rows: string[][] = [];
  const iterator = event.isRecurring() ? event.iterator() : null;
  const limit = event.startDate.year + FILE_LIMITS.repeatYears;
  let start: ICAL.Time | null = iterator ? iterator.next() : event.startDate;
  while (start && start.year < limit && rows.length < FILE_LIMITS.repeats) {
    rows.push(rowOf(start, event, component));
    start = iterator ? iterator.next() : null;
  }
  return rows;
}

function rowOf(start: ICAL.Time, event: ICAL.Event, component: ICAL.Component): string[] {
  const seconds = event.duration.toSeconds();
  const days = Math.max(1, Math.round(seconds / 86_400));
  const last = start.clone();
  if (start.isDate) last.adjust(days - 1, 0, 0, 0);
  else last.adjust(0, 0, 0, Math.max(0, seconds - 1));
  const isPart = !start.isDate && seconds < 86_400;
  const email = component.getFirstPropertyValue("attendee") ?? component.getFirstPropertyValue("organizer") ?? "";
  const said = (name: string) => String(component.getFirstPropertyValue(name) ?? "");
  if (said(own.person) !== "")
    return [dateOf(start), dateOf(last), said(own.hours), "", "", said(own.person), said(own.id), said(own.state)];
  return [
    dateOf(start),
    dateOf(last),
    isPart ? String(Math.round((seconds / 3600) * 100) / 100) : "",
    event.summary ?? "",
    String(email).replace(/^mailto:/i, ""),
  ];
}

const dateOf = ({ year, month, day }: ICAL.Time) => `${year}-${String(month).padStart(2, "0")}-${String(day).padStart(2, "0")}`;

/** An event of whole days. */
export interface DayEvent {
  /** Stays the same when the event changes. */
  uid: string;
  from: string;
  /** Last day, included. */
  to: string;
  title: string;
  description?: string;
  leave?: { personId: string; id: string; state: string; hoursPerDay?: number };
}

/** Under which names leave keeps what it is known by (RFC 5545, 3.8.8.2). */
const own = { person: "x-roster-person", id: "x-roster-id", state: "x-roster-state", hours: "x-roster-hours-a-day" } as const;

/** Events as a calendar that others can read or subscribe to.
 * @param stamp When it is written, as `YYYY-MM-DDTHH:MM:SSZ`. */
export function writeCalendar(name: string, events: readonly DayEvent[], stamp: string): string {
  const calendar = new ICAL.Component("vcalendar");
  calendar.updatePropertyWithValue("version", "2.0");
  calendar.updatePropertyWithValue("prodid", "-//Mindful Roster//EN");
  calendar.updatePropertyWithValue("x-wr-calname", name);
  for (const { uid, from, to, title, description, leave } of events) {
    const event = new ICAL.Component("vevent");
    const last = ICAL.Time.fromDateString(to);
    last.adjust(1, 0, 0, 0);
    event.updatePropertyWithValue("uid", uid);
    event.updatePropertyWithValue("dtstamp", ICAL.Time.fromDateTimeString(stamp));
    event.updatePropertyWithValue("dtstart", ICAL.Time.fromDateString(from));
    event.updatePropertyWithValue("dtend", last);
    event.updatePropertyWithValue("summary", title);
    event.updatePropertyWithValue("transp", "TRANSPARENT");
    if (description !== undefined) event.updatePropertyWithValue("description", description);
    if (leave) {
      event.updatePropertyWithValue(own.person, leave.personId);
      event.updatePropertyWithValue(own.id, leave.id);
      event.updatePropertyWithValue(own.state, leave.state);
      if (leave.hoursPerDay !== undefined) event.updatePropertyWithValue(own.hours, String(leave.hoursPerDay));
    }
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}
