import type { KeptPlan } from '../../../core/studio/slabPlan/keptPlan.ts';

const counted = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

/** What a slab plan is, in a few words: its pieces, and the parts that are laid. */
export function planWords({ pieces, slabs }: KeptPlan): string {
  const all = pieces.reduce((sum, { count }) => sum + count, 0);
  const laid = slabs.reduce((sum, { placements }) => sum + placements.length, 0);
  const parts = `${counted(laid, 'part', 'parts')} on ${counted(slabs.length, 'slab', 'slabs')}`;
  return `${counted(all, 'piece', 'pieces')}, ${laid === 0 ? 'not laid out' : parts}`;
}
