import { createHash } from 'node:crypto';
import ical, { ICalAlarmType } from 'ical-generator';
import type { Kept } from '../../contract/records.ts';
import type { MakingNow } from '../../contract/makings.ts';
import { agendaOf, type AgendaLine } from '../../core/studio/making/agenda.ts';
import { KILN_WORDS } from '../../core/studio/order/kilnDays.ts';
import { factorFor, withAir, type FoundMark } from '../../core/studio/making/waitWindow.ts';

/** Time from an alarm to the opening of a window (s). */
const ALARM = 10 * 60;

/** Length in the calendar of a wait that ends without a window (ms). */
const LOOK = 30 * 60_000;

const named = ({ name, numbers }: Pick<AgendaLine, 'name' | 'numbers'>) =>
  numbers.length > 1 ? `${name}, ${numbers.length}` : name;

/** One entry of a calendar, with an alarm where hands are wanted. */
interface Entry {
  readonly id: string;
  readonly start: Date;
  readonly end: Date;
  readonly summary: string;
  readonly description?: string;
  readonly alarm?: string;
}

/** The same name when a calendar is fetched again. */
const named32 = (parts: readonly unknown[]) => createHash('sha256').update(parts.join(' ')).digest('hex').slice(0, 32);

/** The work and firings of an order, as planned. */
function entriesOf({ id, body: { name, lines, laid } }: Kept<'order'>, now: number): Entry[] {
  const toDo = (laid?.blocks ?? []).filter(({ done }) => !done);
  const work = toDo.map(({ line, set, block, pieces, start, end }): Entry => {
    const own = lines[line];
    const title = own?.blocks.find((one) => one.id === block)?.title ?? block;
    const summary = `${title}: ${pieces} × ${own?.name ?? ''}`;
    return {
      id: named32([id, line, set, block]),
      start: new Date(start),
      end: new Date(end),
      summary,
      description: `Planned for ${name}.`,
      alarm: summary,
    };
  });
  const kiln = (laid?.kiln ?? []).map(({ kind, from, to }, index): Entry => {
    const summary = `${KILN_WORDS[kind]}: ${name}`;
    return {
      id: named32([id, kind, index]),
      start: new Date(from),
      end: new Date(to),
      summary,
      ...(kind !== 'bisque' && kind !== 'glaze' && { alarm: summary }),
    };
  });
  return [...work, ...kiln].filter(({ end }) => end.getTime() > now);
}

/**
 * What is in work, and what is planned, as a calendar (RFC 5545): each window with an alarm, each due day, each block of an
 * order. All are forecasts: it is fetched again.
 *
 * @param found what hands found of its clay in other makings, by the making
 */
export function calendarOf(
  { makings, orders }: { makings: readonly MakingNow[]; orders: readonly Kept<'order'>[] },
  found: ReadonlyMap<string, readonly FoundMark[]>,
  now: number,
): string {
  const calendar = ical({
    name: 'Fawn Table',
    prodId: { company: 'Fawn Table', product: 'makings', language: 'EN' },
    ttl: 900,
  });
  const works = makings.flatMap(({ id, air, marks, pieces }) =>
    pieces.map(({ name, count, steps }, piece) => ({ making: id, piece, name, count, steps, marks, air })),
  );
  const lines = agendaOf(works, now, (work, { part }) =>
    factorFor(part.cover, [...(found.get(work.making) ?? []), ...withAir(work.marks, work.air)]),
  );
  const put = ({ alarm, ...entry }: Entry) =>
    calendar.createEvent({
      ...entry,
      stamp: new Date(now),
      alarms: alarm === undefined ? [] : [{ type: ICalAlarmType.display, trigger: ALARM, description: alarm }],
    });
  for (const { window, state, step, then, making, piece, numbers, ...line } of lines) {
    if (!window?.opens || state === 'missed') continue;
    put({
      id: named32([making, piece, step.id, numbers[0]]),
      start: new Date(window.opens.usual),
      end: new Date(window.closes?.usual ?? window.opens.usual + LOOK),
      summary: `${window.closes ? then.title : step.title}: ${named({ ...line, numbers })}`,
      description: `About, by the model. Check by hand: ${step.until}`,
      alarm: `${then.title}: ${named({ ...line, numbers })}`,
    });
  }
  for (const { id, name, dueAt } of makings) {
    if (dueAt !== null)
      calendar.createEvent({
        id: `due ${id}`.replaceAll(' ', '-'),
        start: new Date(dueAt),
        allDay: true,
        stamp: new Date(now),
        summary: `Due: ${name}`,
      });
  }
  for (const order of orders) for (const entry of entriesOf(order, now)) put(entry);
  return calendar.toString();
}
