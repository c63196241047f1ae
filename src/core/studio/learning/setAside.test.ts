import { seeded } from '../../seeded.ts';
import type { Hierarchy, PieceReadings } from './hierarchy.ts';
import { fitWithoutSlips, type ReadingAt } from './setAside.ts';

/** A fit that knows the spreads: the mean of all that is left. */
const SPREAD = { firing: 2, piece: 1, measuring: 0.5 };
function fit(pieces: readonly PieceReadings[]): Hierarchy | null {
  const values = pieces.flatMap(({ readings }) => readings.map(({ value }) => value));
  if (values.length === 0) return null;
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return { mean, low: mean - 1, high: mean + 1, next: { low: mean - 5, high: mean + 5 }, spread: SPREAD };
}

/** Pieces of three firings, each of three readings, scattered by the spreads but within two of each. */
function madeUp(seed: number, count = 18): PieceReadings[] {
  const random = seeded(seed);
  const off = (spread: number) => 3 * spread * (random() - 0.5);
  const firings = [0, 1, 2].map(() => off(SPREAD.firing));
  return Array.from({ length: count }, (_, index) => {
    const piece = 100 + (firings[index % 3] as number) + off(SPREAD.piece);
    const readings = [1, 1, 2].map((scale) => ({ value: piece + off(SPREAD.measuring * scale), scale }));
    return { firing: `${index % 3}`, readings };
  });
}

/** The same with some readings changed. */
const changed = (pieces: readonly PieceReadings[], by: (piece: number, reading: number) => number): PieceReadings[] =>
  pieces.map(({ firing, readings }, piece) => ({
    firing,
    readings: readings.map(({ value, scale }, reading) => ({ value: value + by(piece, reading), scale })),
  }));

const asideOf = (pieces: readonly PieceReadings[]): readonly ReadingAt[] | undefined =>
  fitWithoutSlips(pieces, fit)?.aside;

describe('readings set aside', () => {
  it('are none where nothing is out of line', () => {
    for (let seed = 0; seed < 60; seed += 1) expect(asideOf(madeUp(seed))).toEqual([]);
  });

  it.each([0, 1, 2])('are the one slip, in whichever piece, at reading %i', (reading) => {
    for (let piece = 0; piece < 18; piece += 1) {
      for (const slip of [12, -12, 60, -400]) {
        const pieces = changed(madeUp(piece), (one, other) => (one === piece && other === reading ? slip : 0));
        expect(asideOf(pieces)).toEqual([{ piece, reading }]);
      }
    }
  });

  it('are all of a piece that is out of line as a whole', () => {
    for (const slip of [14, -30, 200]) {
      const pieces = changed(madeUp(4), (piece) => (piece === 7 ? slip : 0));
      expect(asideOf(pieces)).toEqual([0, 1, 2].map((reading) => ({ piece: 7, reading })));
    }
  });

  it('hide no other slip, however large', () => {
    const slips: readonly (readonly [number, number, number])[] = [
      [1, 0, 4000],
      [4, 2, -35],
      [10, 1, 13],
    ];
    const pieces = changed(
      madeUp(9),
      (piece, reading) => slips.find(([one, other]) => one === piece && other === reading)?.[2] ?? 0,
    );
    expect(asideOf(pieces)).toEqual(slips.map(([piece, reading]) => ({ piece, reading })));
  });

  it('do not depend on where the scale begins', () => {
    const pieces = changed(madeUp(5), (piece, reading) => (piece === 3 && reading === 1 ? 15 : 0));
    const moved = changed(pieces, () => -250);
    expect(asideOf(moved)).toEqual(asideOf(pieces));
    expect(fitWithoutSlips(moved, fit)?.fit.mean).toBeCloseTo((fitWithoutSlips(pieces, fit)?.fit.mean ?? NaN) - 250, 9);
  });

  it('do not count in the fit', () => {
    const sound = fitWithoutSlips(madeUp(2), fit)?.fit.mean ?? NaN;
    const slipped = changed(madeUp(2), (piece, reading) => (piece === 0 && reading === 0 ? 900 : 0));
    expect(Math.abs((fitWithoutSlips(slipped, fit)?.fit.mean ?? NaN) - sound)).toBeLessThan(0.2);
  });

  it('leave nothing to fit where nothing was read', () => {
    expect(fitWithoutSlips([], fit)).toBeNull();
    expect(fitWithoutSlips([{ firing: 'a', readings: [] }], fit)).toBeNull();
  });
});
