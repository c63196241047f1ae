import type { Kept } from '../../../contract/records.ts';
import { doneBlocks } from '../../../core/studio/order/doneBlocks.ts';
import { KILN_WORDS } from '../../../core/studio/order/kilnDays.ts';
import type { LaidBlock } from '../../../core/studio/order/order.ts';
import type { MakingNow } from '../../../contract/makings.ts';
import { blockName, clockText } from '../order/blockWords.ts';
import { dayRows, momentOn } from '../order/calendarRows.ts';

/** Something that an order has planned: when (ms since 1970), in words, and of which order. */
export interface PlannedThing {
  readonly order: string;
  readonly orderName: string;
  readonly from: number;
  readonly to: number;
  readonly words: string;
  readonly when: string;
}

/** What orders have planned for today, or for the next day on which they have something, and is not done; null when nothing is still to come. */
export function plannedDay(
  orders: readonly Kept<'order'>[],
  makings: readonly MakingNow[],
  now: number,
): { readonly day: Date; readonly today: boolean; readonly things: readonly PlannedThing[] } | null {
  const days = new Map<number, PlannedThing[]>();
  for (const { id, body } of orders) {
    const done = doneBlocks(
      body,
      makings.filter((one) => body.makings?.includes(one.id)),
    );
    const isDone = ({ line, set, block, done: before }: LaidBlock) =>
      before === true || done.some((one) => one.line === line && one.set === set && one.block === block);
    for (const { day, blocks, kiln } of dayRows(body, now)) {
      const at = (minutes: number) => momentOn(day, minutes);
      const all = [
        ...blocks
          .filter(({ block }) => !isDone(block))
          .map(({ from, to, block }) => ({ from: at(from), to: at(to), words: blockName(body, block) })),
        ...kiln.map(({ from, to, kind }) => ({ from: at(from), to: at(to), words: KILN_WORDS[kind] })),
      ].filter(({ to }) => to > now);
      const things = all.map((one) => ({
        ...one,
        order: id,
        orderName: body.name,
        when: `${clockText(one.from)} to ${clockText(one.to)}`,
      }));
      if (things.length > 0) days.set(day.getTime(), [...(days.get(day.getTime()) ?? []), ...things]);
    }
  }
  const first = Math.min(...days.keys());
  if (!Number.isFinite(first)) return null;
  const day = new Date(first);
  const things = (days.get(first) ?? []).sort((one, other) => one.from - other.from);
  return { day, today: day.toDateString() === new Date(now).toDateString(), things };
}
