import { seeded } from '../../seeded.ts';
import type { LearnJob, LearnPiece, LengthPair } from './learn.ts';

/** What is true of a made-up clay and its kiln. */
export interface Truth {
  readonly shrinkage: number;
  readonly neutral: number;
}

/** Spreads of a made-up studio: firings, pieces, the caliper (mm), and slabs' neutral fraction. */
export const STUDIO = { firing: 0.002, piece: 0.001, measuring: 0.3, neutral: 0.02, slip: 0.05 } as const;

/**
 * One clay of a made-up studio: 20 pieces in six firings and four bars, with known truth. One reading in twenty is off by 4 to
 * 12 mm; without slips everything else is the same.
 */
export function madeUpClay(seed: number, slips: boolean): { job: LearnJob; truth: Truth } {
  const random = seeded(seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const truth = { shrinkage: 0.1 + 0.05 * random(), neutral: 0.42 + 0.16 * random() };
  const firings = Array.from({ length: 6 }, () => STUDIO.firing * normal());
  const read = (length: number) => length + STUDIO.measuring * normal();
  const slip = () => {
    const [isSlip, off] = [random() < STUDIO.slip, (random() < 0.5 ? -1 : 1) * (4 + 8 * random())];
    return slips && isSlip ? off : 0;
  };
  const pieces = Array.from({ length: 20 }, (_, index): LearnPiece => {
    const firing = index % firings.length;
    const shrinkage = truth.shrinkage + (firings[firing] as number) + STUDIO.piece * normal();
    const lines = [96, 110, 130].map((about): LengthPair => {
      const wet = about * (0.7 + 0.6 * random());
      return { wet: read(wet), fired: read(wet * (1 - shrinkage)) + slip() };
    });
    const thickness = [5, 6, 7][index % 3] as number;
    const outside = 85 + 30 * random();
    const neutral = truth.neutral + STUDIO.neutral * normal();
    const length = Math.PI * (outside - 2 * (1 - neutral) * thickness);
    return { firing: `firing ${firing}`, lines, wrap: { length, thickness, outside: read(outside) + slip() } };
  });
  const ofBars = truth.shrinkage + STUDIO.firing * normal();
  const bars = Array.from({ length: 4 }, () => ({
    wet: 100,
    fired: 100 * (1 - ofBars - STUDIO.piece * normal()) + STUDIO.measuring * normal(),
  }));
  return { job: { bars, pieces }, truth };
}
