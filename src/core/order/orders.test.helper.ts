import { ROOM } from '../drying/air.ts';
import type { WorkStep } from '../making/workStep.ts';
import type { Firing } from './kilnDays.ts';
import type { OrderTask } from './order.ts';
import { USUAL_WEEK } from './weekHours.ts';
import { blocksOf } from './workBlock.ts';

/** A Monday, 07:00 in local time. */
export const MONDAY = new Date(2027, 1, 1, 7).getTime();
export const day = (days: number, hour = 18) => new Date(2027, 1, 1 + days, hour).getTime();

export const step = (id: string, minutes: number, more: Partial<WorkStep> = {}): WorkStep => ({ id, act: 'cut', title: `Do ${id}`, says: [], tools: [], until: '', minutes, ...more }); // prettier-ignore
export const wait = (id: string, until: 'opens' | 'leatherHard' | 'dry', thickness = 5) => step(id, 1, { act: 'wait', waits: { until, part: { thickness, faces: 'both', cover: until === 'dry' ? 'open' : 'cloth' } } }); // prettier-ignore
export const CUP: readonly WorkStep[] = [step('roll', 12, { act: 'roll' }), step('cut', 6), wait('stiffen', 'opens'), step('wrap', 10), step('base', 12), step('rim', 5), wait('slowly', 'leatherHard'), wait('dry', 'dry')]; // prettier-ignore
export const FIRING: Firing = { once: false, bisque: 22 * 60, glaze: 24 * 60, load: 60, glazing: 6 };
export const order = (change: Partial<OrderTask> = {}): OrderTask => ({
  lines: [{ count: 12, blocks: blocksOf(CUP) }, { count: 18, blocks: blocksOf(CUP) }],
  start: MONDAY, ready: day(18), week: USUAL_WEEK, taken: [], firing: FIRING, pace: 1, air: ROOM, held: [], ...change,
}); // prettier-ignore
