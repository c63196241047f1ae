import { STRIPS_LIMITS } from '../target/goresForm.ts';
import { STRAIN_LIMITS } from '../target/mouldForm.ts';
import type { Stiffness } from '../target/target.ts';
import type { DevelopedForm } from '../forms/kind/kind.ts';
import type { Check } from './check.ts';

/** The strips of a wall: how many, what their edges must do, and how stiff the clay is. */
export interface EdgesOf {
  readonly strips: number;
  readonly numbers: DevelopedForm['numbers'];
  readonly stiffness: Stiffness;
}

/** Strips so narrow that their edges gather no more than a limit: what gathers goes with the square of their width. */
function enough(strips: number, gather: number, limit: number): number {
  return Math.ceil(strips * Math.sqrt(gather / (1 - gather) / (limit / (1 - limit))));
}

/** Advice on strips that are bent across: how much their edges gather, and how many strips would gather less. */
export function checkEdges({ strips, numbers, stiffness }: EdgesOf): Check | null {
  const { edgeGather, edgeExcess } = numbers;
  if (edgeGather === undefined || edgeExcess === undefined) return null;
  const limit = STRAIN_LIMITS[stiffness].gather;
  const phrase = [
    'Each edge is ',
    { mm: edgeExcess },
    ' longer flat than on the piece, and gathers by up to ',
    { percent: 100 * edgeGather },
    ` (this clay takes ${(100 * limit).toFixed(0)} %). `,
  ] as const;
  const check = { code: 'edge-gather' };
  if (edgeGather <= limit)
    return {
      ...check,
      level: 'note',
      title: 'Edges gather easily',
      phrase: [...phrase, 'Paddle them in as you bend the strip across.'],
    };
  const more = enough(strips, edgeGather, limit);
  return {
    ...check,
    level: 'care',
    title: 'Edges gather a lot',
    phrase: [
      ...phrase,
      more <= STRIPS_LIMITS.greatest
        ? `Cut ${more} strips, or bend them softer.`
        : `Even ${STRIPS_LIMITS.greatest} strips gather more: make the side less round, or bend them softer.`,
    ],
  };
}
