import type { WorkStep } from './workStep.ts';

/** A step that a potter added to the order of work. */
export interface OwnStep {
  readonly id: string;
  readonly title: string;
  readonly minutes: number;
}

/** How a potter changes the order of work of a kind of piece: its steps in her order, those left out, and her own. */
export interface OwnWork {
  readonly order: readonly string[];
  readonly left: readonly string[];
  readonly added: readonly OwnStep[];
}

/** The order of work without changes. */
export const NO_OWN_WORK: OwnWork = { order: [], left: [], added: [] };

/** Limits of a potter's own steps (letters, steps, minutes). */
export const OWN_LIMITS = { title: 120, added: 20, minutes: { least: 0, greatest: 600 } } as const;

const stepOf = ({ id, title, minutes }: OwnStep): WorkStep => ({
  id,
  act: 'finish',
  title,
  says: [],
  tools: [],
  until: '',
  minutes,
});

/**
 * All steps of a piece in the potter's order, those that she leaves out among them. A step that her order does not know, as
 * a piece with a handle has and one without has not, comes after the one that it follows by itself.
 */
export function inOwnOrder(steps: readonly WorkStep[], { order, added }: OwnWork): WorkStep[] {
  const known = new Map([...steps, ...added.map(stepOf)].map((step) => [step.id, step]));
  const ids = [...new Set(order)].filter((id) => known.has(id));
  const natural = [...known.keys()];
  natural.forEach((id, at) => {
    if (ids.includes(id)) return;
    const before = natural
      .slice(0, at)
      .reverse()
      .find((one) => ids.includes(one));
    ids.splice(before === undefined ? 0 : ids.indexOf(before) + 1, 0, id);
  });
  return ids.flatMap((id) => known.get(id) ?? []);
}

/** The order of work as this potter does it. */
export const withOwnWork = (steps: readonly WorkStep[], own: OwnWork): WorkStep[] =>
  inOwnOrder(steps, own).filter(({ id }) => !own.left.includes(id));

/** A step one place up (-1) or down (1); at the ends nothing moves. */
export function movedStep(steps: readonly WorkStep[], own: OwnWork, { id, by }: { id: string; by: -1 | 1 }): OwnWork {
  const ids = inOwnOrder(steps, own).map((step) => step.id);
  const at = ids.indexOf(id);
  const other = ids[at + by];
  if (at < 0 || other === undefined) return own;
  [ids[at], ids[at + by]] = [other, id];
  return { ...own, order: ids };
}

/** A step of her own at the end of what is done by hand: before the last waits. */
export function addedStep(steps: readonly WorkStep[], own: OwnWork, { title, minutes }: Omit<OwnStep, 'id'>): OwnWork {
  const taken = new Set([...steps.map((step) => step.id), ...own.added.map((step) => step.id)]);
  let number = 1;
  while (taken.has(`own ${number}`)) number += 1;
  const id = `own ${number}`;
  const all = inOwnOrder(steps, own);
  const last = all.findLastIndex((step) => !step.waits);
  const ids = all.map((step) => step.id);
  ids.splice(last + 1, 0, id);
  return { ...own, order: ids, added: [...own.added, { id, title, minutes }] };
}
