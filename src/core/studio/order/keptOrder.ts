import { type Air, AIR_LIMITS } from '../drying/air.ts';
import { briefly } from '../../briefly.ts';
import { isDay } from '../../day.ts';
import type { Fault } from '../../errors.ts';
import { LIMITS } from '../../target/target.ts';
import { rangeFaults, textFaults } from '../../ranges.ts';
import type { DoneBlock, HeldBlock, LaidOrder, OrderLine, OrderTask } from './order.ts';
import type { DayHours } from './weekHours.ts';

/** A line of an order that is kept: the design, the revision that its work was drawn up for, and how many. */
export interface KeptOrderLine extends OrderLine {
  readonly design: string;
  readonly revision: number;
  readonly name: string;
}

/** An order as it is kept. Days are YYYY-MM-DD in local time; hours of the kiln count from the switch to the opened kiln. */
export interface KeptOrder {
  readonly name: string;
  readonly start: string;
  readonly ready: string;
  readonly week: readonly DayHours[];
  readonly once: boolean;
  readonly bisque: number;
  readonly glaze: number;
  /** Minutes of glazing a piece, and of loading a kiln. */
  readonly glazing: number;
  readonly load: number;
  readonly pace: number;
  readonly air: Air;
  readonly lines: readonly KeptOrderLine[];
  readonly held: readonly HeldBlock[];
  /** The makings that it was begun with, one for each clay; none before that. */
  readonly makings?: readonly string[];
  /** What was done in them when they were last looked at. */
  readonly done?: readonly DoneBlock[];
  /** The last plan, and a text of what it was made for: when that differs, the order has to be planned again. */
  readonly laid: (LaidOrder & { readonly of: string }) | null;
}

/** Limits of an order. */
export const ORDER_LIMITS = {
  lines: 40,
  blocks: 60,
  count: { least: 1, greatest: 200 },
  pieces: { least: 0, greatest: 300 },
  week: 42,
  kiln: { least: 1, greatest: 240 },
  minutes: { least: 0, greatest: 600 },
  pace: { least: 0.2, greatest: 5 },
  held: 2000,
} as const;

/** How kilns of studios usually run (h), and the potter's own minutes. Rules of the bench. */
export const USUAL_FIRING = { once: false, bisque: 22, glaze: 24, glazing: 6, load: 60 } as const;

/** Every reason why an order cannot be kept; empty when it can. */
export function checkOrder(order: KeptOrder): Fault[] {
  const days = (['start', 'ready'] as const).filter((key) => !isDay(order[key]));
  const hours = order.week.flatMap(({ day, from, to }, index) => [
    ...rangeFaults(`week.${index}.day`, day, { least: 0, greatest: 6 }),
    ...rangeFaults(`week.${index}.from`, from, { least: 0, greatest: 24 * 60 }),
    ...rangeFaults(`week.${index}.to`, to, { above: from, greatest: 24 * 60 }),
  ]);
  return [
    ...textFaults('name', order.name, { most: LIMITS.nameLength.greatest, least: LIMITS.nameLength.least }),
    ...days.map((path): Fault => ({ code: 'wrong-type', path, value: order[path], rule: 'must be a day, YYYY-MM-DD' })),
    ...hours,
    ...rangeFaults('bisque', order.bisque, ORDER_LIMITS.kiln),
    ...rangeFaults('glaze', order.glaze, ORDER_LIMITS.kiln),
    ...rangeFaults('glazing', order.glazing, ORDER_LIMITS.minutes),
    ...rangeFaults('load', order.load, ORDER_LIMITS.minutes),
    ...rangeFaults('pace', order.pace, ORDER_LIMITS.pace),
    ...rangeFaults('air.temperature', order.air.temperature, AIR_LIMITS.temperature),
    ...rangeFaults('air.humidity', order.air.humidity, AIR_LIMITS.humidity),
    ...order.lines.flatMap(({ count }, index) => rangeFaults(`lines.${index}.count`, count, ORDER_LIMITS.count)),
    ...rangeFaults(
      'lines',
      order.lines.reduce((sum, { count }) => sum + count, 0),
      ORDER_LIMITS.pieces,
    ),
  ];
}

/** An earlier state of an order, with what was begun and done since: undo does not take that back. */
export function withItsWork(then: KeptOrder, { makings, done }: KeptOrder): KeptOrder {
  const { makings: earlier, done: before, ...rest } = then;
  void [earlier, before];
  return { ...rest, ...(makings && { makings }), ...(done && { done }) };
}

/** Whether work planned for before now is not done in the makings of an order: then it has to be planned again. */
export const isBehind = ({ done, laid }: KeptOrder, now: number): boolean =>
  done !== undefined && (laid?.blocks.some((block) => !block.done && block.start < now) ?? false);

/** Everything that the plan of an order depends on, as a short text. */
export const laidFor = ({
  start,
  ready,
  week,
  once,
  bisque,
  glaze,
  glazing,
  load,
  pace,
  air,
  lines,
  held,
  done,
}: KeptOrder): string =>
  briefly(
    JSON.stringify([
      start,
      ready,
      week,
      once,
      bisque,
      glaze,
      glazing,
      load,
      pace,
      air,
      lines.map(({ count, blocks, factors }) => [count, blocks, factors]),
      held,
      ...(done ? [done] : []),
    ]),
  );

/** The first minute of a day in local time, and its last (ms since 1970). */
const startOf = (day: string) => new Date(`${day}T00:00`).getTime();
const endOf = (day: string) => new Date(`${day}T23:59`).getTime();

/** Sets of a line as they were laid, while the line has as many pieces as then. */
function setsOf({ laid, lines }: KeptOrder): (readonly number[] | null)[] {
  return lines.map(({ count }, line) => {
    const sets = laid?.sets[line] ?? [];
    return sets.reduce((sum, pieces) => sum + pieces, 0) === count ? sets : null;
  });
}

/**
 * An order as it is to be laid now. What lies behind stays as it was laid, and so does what was put somewhere by hand. Once it
 * was begun its makings tell what is done: whatever is not, and should be by now, is laid anew from now on.
 *
 * @param taken stretches in which other orders need the hands
 */
export function taskOf(order: KeptOrder, now: number, taken: readonly (readonly [number, number])[]): OrderTask {
  const start = startOf(order.start);
  const sets = setsOf(order);
  const { done } = order;
  const behind = done ? [] : (order.laid?.blocks ?? []).filter((block) => block.start < now && sets[block.line]);
  const byHand = done ? order.held.filter((block) => block.start >= now) : order.held;
  const held = new Map(
    [...behind, ...byHand].map(({ line, set, block, start: at }) => [
      `${line} ${set} ${block}`,
      { line, set, block, start: at },
    ]),
  );
  const firing = {
    once: order.once,
    bisque: 60 * order.bisque,
    glaze: 60 * order.glaze,
    load: order.load,
    glazing: order.glazing,
  };
  return {
    lines: order.lines,
    start,
    ready: endOf(order.ready),
    week: order.week,
    taken: now > start ? [...taken, [start, now]] : taken,
    firing,
    pace: order.pace,
    air: order.air,
    held: [...held.values()].filter(({ line }) => sets[line]),
    done: (done ?? []).filter(({ line }) => sets[line]),
    now,
    ...((held.size > 0 || done) && { sets }),
  };
}
