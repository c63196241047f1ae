import { firedLength } from '../clay/shrinkage.ts';
import { once } from '../numbers.ts';
import type { Outline } from '../outline/outline.ts';
import { kindOf } from './kinds/kinds.ts';
import type { Reach } from './standing.ts';
import type { SizeState, Target } from './target.ts';

/** The piece seen from the side, standing on y = 0 about x = 0 (mm). */
export interface Elevation {
  readonly outer: Outline;
  /** The hollow inside, as a section would show it. */
  readonly hollow: Outline;
  /** Widest reach to the left and right of the middle, the left one negative. */
  readonly left: number;
  readonly right: number;
  readonly width: number;
  readonly height: number;
  /** Left and right end of the rim. */
  readonly rim: readonly [number, number];
  /** Height of the rim's outer edge. */
  readonly rimHeight: number;
}

/** Side elevation of a target in the wet or the fired state; the same scale for both, so they can be laid over one another. */
export function elevation(target: Target, state: SizeState): Elevation {
  return (state === 'wet' ? wetElevation : firedElevation)(target);
}

const wetElevation = once((target: Target) => drawn(target, 'wet'));
const firedElevation = once((target: Target) => drawn(target, 'fired'));

function drawn(target: Target, state: SizeState): Elevation {
  const standing = kindOf(target).standing(target);
  const size = (wet: number) => (state === 'wet' ? wet : firedLength(wet, target.clay.shrinkage));
  const around = (reaches: readonly Reach[]): Outline => [
    ...reaches.map(([z, , right]) => [size(right), size(z), 0] as const),
    ...[...reaches].reverse().map(([z, left]) => [size(left), size(z), 0] as const),
  ];
  const left = size(Math.min(...standing.outer.map((reach) => reach[1])));
  const right = size(Math.max(...standing.outer.map((reach) => reach[2])));
  const [rimHeight, rimLeft, rimRight] = standing.rim;
  return {
    outer: around(standing.outer),
    hollow: around(standing.hollow),
    left,
    right,
    width: right - left,
    height: size(standing.height),
    rim: [size(rimLeft), size(rimRight)],
    rimHeight: size(rimHeight),
  };
}
