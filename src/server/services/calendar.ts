import { createHash } from 'node:crypto';
import ical, { ICalAlarmType } from 'ical-generator';
import type { MakingNow } from '../../contract/makings.ts';
import { agendaOf, type AgendaLine } from '../../core/making/agenda.ts';
import { factorFor, withAir, type FoundMark } from '../../core/making/waitWindow.ts';

/** An alarm sounds so long before a window opens (s). */
const ALARM = 10 * 60;

/** A wait that ends without a window stands in the calendar for so long (ms). */
const LOOK = 30 * 60_000;

const named = ({ name, numbers }: AgendaLine) => (numbers.length > 1 ? `${name}, ${numbers.length}` : name);

/**
 * What is in work as a calendar (RFC 5545): each window with an alarm, each due day; forecasts, so that it is fetched again.
 *
 * @param found what hands found of its clay in other makings, by the making
 */
export function calendarOf(
  makings: readonly MakingNow[],
  found: ReadonlyMap<string, readonly FoundMark[]>,
  now: number,
): string {
  const calendar = ical({ name: 'Fawn Table', prodId: { company: 'Fawn Table', product: 'makings', language: 'EN' }, ttl: 900 }); // prettier-ignore
  const works = makings.flatMap(({ id, air, marks, pieces }) =>
    pieces.map(({ name, count, steps }, piece) => ({ making: id, piece, name, count, steps, marks, air })),
  );
  const lines = agendaOf(works, now, (work, { part }) =>
    factorFor(part.cover, [...(found.get(work.making) ?? []), ...withAir(work.marks, work.air)]),
  );
  for (const line of lines) {
    const { window, state, step, then, making, piece, numbers } = line;
    if (!window?.opens || state === 'missed') continue;
    const start = new Date(window.opens.usual);
    const end = new Date(window.closes?.usual ?? window.opens.usual + LOOK);
    calendar.createEvent({
      // The same entry when it is fetched again.
      id: createHash('sha256').update([making, piece, step.id, numbers[0]].join(' ')).digest('hex').slice(0, 32),
      start,
      end,
      stamp: new Date(now),
      summary: `${window.closes ? then.title : step.title}: ${named(line)}`,
      description: `About, by the model. Check by hand: ${step.until}`,
      alarms: [{ type: ICalAlarmType.display, trigger: ALARM, description: `${then.title}: ${named(line)}` }],
    });
  }
  for (const { id, name, dueAt } of makings) {
    if (dueAt !== null) calendar.createEvent({ id: `due ${id}`.replaceAll(' ', '-'), start: new Date(dueAt), allDay: true, stamp: new Date(now), summary: `Due: ${name}` }); // prettier-ignore
  }
  return calendar.toString();
}
