import { offsetsOf, type DrapedTarget } from '../../forms/mould/draped.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { formedSize } from '../../bench/ownMould/neededMould.ts';
import { root } from '../../numbers.ts';
import { impossible, made, type Making } from './reversed.ts';

/** A round of clay and the bowl that it is to become: both across (mm); the round as it is cut, wet. */
export interface RoundAndBowl {
  readonly circle: number;
  readonly bowl: number;
  /** What the bowl's figure is of: the mould across its rim as it measures today, or the fired bowl over its outside. */
  readonly measured: 'mould' | 'fired';
  readonly side: MouldForm['side'];
}

/** How high the bowl comes, and how high a disc comes that keeps its area instead of its reach (fired mm); or why it does not. */
export type BowlFound =
  | { readonly kind: 'made'; readonly target: DrapedTarget; readonly height: number; readonly byArea: number | null }
  | { readonly kind: 'impossible'; readonly rule: string };

/** Shallowest bowl that is tried, as a share of its width: flatter is a plate. */
const FLATTEST = 1e-3;

/** Rounds in which mould and width are brought together, and how near (mm). */
const ROUNDS = 12;
const MET = 1e-5;

/** Radius of the disc that a cap's neutral surface gives: as long as its section, and as large as its face (mm). */
function discOf(rim: number, depth: number, offset: number): { readonly long: number; readonly large: number } {
  const ball = (rim * rim) / (2 * depth) + depth / 2;
  const turn = Math.acos(Math.max(-1, 1 - depth / ball));
  const neutral = ball + offset;
  return { long: neutral * turn, large: 2 * neutral * Math.sin(turn / 2) };
}

/**
 * The bowl that a round of clay becomes, a dome as wide as asked: its depth is where the slab's neutral surface from the middle
 * to the rim is as long as the round's radius (geometry: drape, hump and slump blanks). Pressed so that the clay keeps its
 * area instead, it comes higher.
 */
export function bowlFromRound({ circle, bowl, measured, side }: RoundAndBowl, making: Making): BowlFound {
  if (!(circle > 0) || !(bowl > 0)) return impossibleBowl('both must be more than 0 across');
  const dome = (diameter: number, depth: number): DrapedTarget => ({
    ...making,
    form: { kind: 'mould', rim: { kind: 'circle', diameter }, depth, wall: 'dome', side, margin: 0 },
  });
  const { neutral } = offsetsOf(dome(bowl, 1));
  const flattest = Math.max(FLATTEST * bowl, side === 'slump' ? making.slab.wall * 1.001 : 0);
  const depthFor = (diameter: number, by: 'long' | 'large') =>
    root((depth) => 2 * discOf(diameter / 2, depth, neutral)[by] - circle, flattest, diameter / 2);
  /** The bowl by one of both ways: its mould grows until what comes out of the kiln is as wide as asked. */
  const found = (by: 'long' | 'large'): DrapedTarget | null => {
    let diameter = measured === 'mould' ? bowl : bowl / (1 - making.clay.shrinkage);
    for (let round = 0; round < ROUNDS; round += 1) {
      const depth = depthFor(diameter, by);
      if (depth === null) return null;
      const target = dome(diameter, depth);
      const off = measured === 'mould' ? 0 : (bowl - formedSize(target, 'length')) / (1 - making.clay.shrinkage);
      if (Math.abs(off) < MET) return target;
      diameter += off;
    }
    return null;
  };
  const target = found('long');
  if (!target) {
    const small = 2 * discOf(bowl / 2, flattest, neutral).long > circle;
    return impossibleBowl(
      small
        ? 'the round is too small: laid flat it does not reach the rim of the bowl'
        : 'the round is too large: it would reach past the middle of a ball',
    );
  }
  const checked = made(making, target.form);
  if (checked.kind === 'impossible') return checked;
  const wider = found('large');
  return { kind: 'made', target, height: formedSize(target, 'height'), byArea: wider && formedSize(wider, 'height') };
}

const impossibleBowl = (rule: string) => impossible(rule) as Extract<BowlFound, { kind: 'impossible' }>;
