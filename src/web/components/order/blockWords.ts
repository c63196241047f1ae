import type { KeptOrder } from '../../../core/studio/order/keptOrder.ts';
import type { BlockSpot, LaidBlock } from '../../../core/studio/order/order.ts';

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const longDay = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });

/** The time of day, such as 14:30. */
export const clockText = (ms: number): string => clock.format(ms);
/** A day in short, such as Mon 3 May. */
export const dayWord = (ms: number): string => day.format(ms);
/** A day in full. */
export const longDayWord = (ms: number): string => longDay.format(ms);

const blockOf = (order: KeptOrder, { line, block }: Pick<BlockSpot, 'line' | 'block'>) =>
  order.lines[line]?.blocks.find(({ id }) => id === block);

/** The acts of a block: "Weigh and wedge … Cut the base". */
export const blockTitle = (order: KeptOrder, spot: Pick<BlockSpot, 'line' | 'block'>): string =>
  blockOf(order, spot)?.title ?? spot.block;

/** The first act of a block: "Wrap the wall". */
export const blockAct = (order: KeptOrder, block: LaidBlock): string => blockTitle(order, block).split(' … ')[0] ?? '';

/** How many pieces a block is for: "4 × soup cup". */
export const blockMany = (order: KeptOrder, { pieces, line }: LaidBlock): string =>
  `${pieces}\u00a0× ${order.lines[line]?.name ?? ''}`;

/** A block in a few words: "4 × soup cup: wrap the wall". */
export function blockName(order: KeptOrder, block: LaidBlock): string {
  const act = blockAct(order, block);
  return `${blockMany(order, block)}: ${act.charAt(0).toLowerCase()}${act.slice(1)}`;
}

/** When a block is worked on, and whether it is done or held: "09:00 to 10:30, held". */
export function blockHours({ start, end, done }: LaidBlock, held: boolean): string {
  return `${clockText(start)} to ${clockText(end)}${done ? ', done' : held ? ', held' : ''}`;
}

/** So many of each line, as a list: "12 × soup cup and 18 × rack tumbler". */
export function manyText(order: KeptOrder, counts: readonly number[]): string {
  const parts = counts.flatMap((count, line) =>
    count > 0 ? [`${count}\u00a0× ${order.lines[line]?.name ?? ''}`] : [],
  );
  return parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;
}
