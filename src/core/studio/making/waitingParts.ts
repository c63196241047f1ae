import type { NamedPart } from '../drying/stress.ts';
import { PAPER_ID } from '../../parts/part/part.ts';
import type { WorkStep } from './workStep.ts';

/** Parts that are cut and shaped after the wall has stiffened. */
const ADDED = ['handle', 'lug', 'foot', 'lid'];

/** The parts of a piece that wait side by side at a step; none where one alone does. */
export function waitingParts<T extends { readonly id: string }>({ id, waits }: WorkStep, parts: readonly T[]): T[] {
  if (!waits || id === 'handle firms' || id === 'holds') return [];
  const clay = parts.filter((part) => part.id !== PAPER_ID);
  return clay.filter((part) => waits.until !== 'opens' || !ADDED.includes(part.id));
}

/** Parts of one thickness dry alike: they are named together, "Wall, base and lid". */
export function dryingAlike(parts: readonly NamedPart[]): NamedPart[] {
  const names = new Map<number, string[]>();
  for (const { name, thickness } of parts) names.set(thickness, [...new Set([...(names.get(thickness) ?? []), name])]);
  return [...names].map(([thickness, [first = '', ...more]]) => {
    const lower = more.map((name) => name.toLowerCase());
    const last = lower.pop();
    return { thickness, name: last === undefined ? first : `${[first, ...lower].join(', ')} and ${last}` };
  });
}
