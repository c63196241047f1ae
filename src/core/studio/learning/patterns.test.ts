import type { MadePiece } from './madePiece.ts';
import { CUP } from './madePiece.test.helper.ts';
import { faultsBy, patternsOf } from './patterns.ts';

const some = (count: number, change: Partial<MadePiece>) =>
  Array.from({ length: count }, () => ({ ...CUP, ...change }));

/** Pieces that missed a window, some of them cracked, and pieces that kept it, some of them cracked. */
const group = (missed: number, cracked: number, kept: number, keptCracked: number) => [
  ...some(missed - cracked, { missed: true }),
  ...some(cracked, { missed: true, faults: ['crack'] }),
  ...some(kept - keptCracked, { missed: false }),
  ...some(keptCracked, { missed: false, faults: ['crack'] }),
];

describe('a pattern', () => {
  it.each([
    ['all that missed, none that kept', group(6, 6, 6, 0), ['crack']],
    ['as many on both sides', group(8, 4, 8, 4), []],
    ['more where the window was kept', group(6, 0, 6, 6), []],
    ['too few that missed', group(2, 2, 20, 0), []],
    ['too few that kept', group(20, 20, 2, 0), []],
    ['a difference that chance would bring', group(6, 3, 6, 2), []],
    ['pieces of which nothing was found by hand', [...some(9, { faults: ['crack'] }), ...some(9, {})], []],
    [
      'the same among many of which nothing is known',
      [...group(6, 6, 6, 0), ...some(40, { faults: ['crack'] }), ...some(40, {})],
      ['crack'],
    ],
  ])('of %s', (_, pieces, faults) => {
    expect(patternsOf(pieces).map(({ fault }) => fault)).toEqual(faults);
  });

  it('counts each side by itself, the clearest first', () => {
    const pieces = [
      ...some(8, { missed: true, faults: ['crack', 'warp'] }),
      ...some(2, { missed: true, faults: ['crack'] }),
      ...some(10, { missed: false }),
    ];
    const [first, second] = patternsOf(pieces);
    expect([first?.fault, first?.missed.count, first?.missed.of, first?.kept.count, first?.kept.of]).toEqual([
      'crack',
      10,
      10,
      0,
      10,
    ]);
    expect([second?.fault, second?.missed.count]).toEqual(['warp', 8]);
  });
});

describe('faults are counted', () => {
  const rows = (
    pieces: readonly MadePiece[],
    by: 'window' | 'drying' | 'thickness' | 'seam',
    fault: string | null = null,
  ) => faultsBy(pieces, by, fault).map(({ value, share }) => [value, share.count, share.of]);

  it('by window, without those of which nothing is known', () => {
    expect(rows([...group(3, 2, 4, 1), ...some(5, { faults: ['crack'] })], 'window')).toEqual([
      ['a window missed', 2, 3],
      ['within its windows', 1, 4],
    ]);
  });

  it.each([
    [23.9, 'under 24 h'],
    [24, 'under 48 h'],
    [95, 'under 96 h'],
    [167.9, 'under 168 h'],
    [168, 'a week and more'],
  ])('by %d hours of drying', (drying, value) => {
    expect(rows([...some(1, { drying }), ...some(1, {})], 'drying')).toEqual([[value, 0, 1]]);
  });

  it('by thickness in the order of their figures, of one fault or any', () => {
    const pieces = [...some(2, { thickness: 10, faults: ['warp'] }), ...some(3, { thickness: 6, faults: ['crack'] })];
    expect(rows(pieces, 'thickness', 'crack')).toEqual([
      ['6 mm', 3, 3],
      ['10 mm', 0, 2],
    ]);
    expect(rows(pieces, 'thickness')).toEqual([
      ['6 mm', 3, 3],
      ['10 mm', 2, 2],
    ]);
  });
});
