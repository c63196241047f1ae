import { seeded } from '../../seeded.ts';
import { findingOf } from './findings.ts';
import type { MadePiece, MeasuredSize } from './madePiece.ts';
import { CUP } from './madePiece.test.helper.ts';
import { faultsBy } from './patterns.ts';

/** Pieces of several firings that shrank by so much, drawn 84 and made 95.45 wet. */
function pieces(shrinkage: number, firings: number, each: number, wetToo = true): MadePiece[] {
  const random = seeded(7);
  return Array.from({ length: firings * each }, (_, index): MadePiece => {
    const wet = 95.4545 + 0.2 * (random() - 0.5);
    const measured: MeasuredSize[] = [
      ...(wetToo ? [{ what: 'rim' as const, state: 'wet' as const, value: wet }] : []),
      { what: 'rim', state: 'fired', value: wet * (1 - shrinkage) + 0.2 * (random() - 0.5) },
    ];
    const firing = { id: `${index % firings}`, name: `firing ${index % firings}`, shelf: null };
    return { ...CUP, number: index + 1, firing, measured };
  });
}

describe('what pieces say of a clay', () => {
  it('is an offer, rounded, where what is worked with lies outside the interval', () => {
    const found = findingOf(pieces(0.14, 3, 4), [], 0.12);
    expect(found).toMatchObject({ kind: 'offer', shrinkage: 0.14, pieces: 12, firings: 3, firedOnly: 0 });
    expect(found.difference).toMatchObject({ name: 'Cup', count: 12, drawn: 84 });
    expect(found.difference?.mean).toBeCloseTo(95.4545 * 0.86 - 84, 0);
  });

  it.each([
    ['nothing was measured', pieces(0.14, 3, 0), 'few', 0],
    ['there are four pieces', pieces(0.14, 2, 2), 'few', 4],
    ['all were in one firing', pieces(0.14, 1, 9), 'few', 9],
    ['nobody measured them wet', pieces(0.14, 3, 4, false), 'few', 0],
    ['they fit what is worked with', pieces(0.12, 3, 4), 'agrees', 12],
  ])('is none where %s', (_, made, kind, count) => {
    expect(findingOf(made, [], 0.12)).toMatchObject({ kind, shrinkage: 0.12, pieces: count });
  });

  it('counts the newest reading of a size, and tells a slip apart', () => {
    const made = pieces(0.12, 3, 4).map((one, index) =>
      index === 5
        ? { ...one, measured: [...one.measured, { what: 'rim' as const, state: 'fired' as const, value: 48 }] }
        : one,
    );
    const { cameOut, difference } = findingOf(made, [], 0.12);
    expect(cameOut.filter(({ aside }) => aside).map(({ fired, piece }) => [fired, piece.number])).toEqual([[48, 6]]);
    expect(difference?.count).toBe(11);
  });
});

describe('faults', () => {
  const made: MadePiece[] = [
    { ...CUP, thickness: 10, faults: ['warped'], drying: 20 },
    { ...CUP, thickness: 6, faults: ['warped', 'leaks'], missed: true, drying: 60 },
    { ...CUP, thickness: 6, missed: false, drying: 200 },
  ];

  it.each([
    [
      'thickness',
      'warped',
      [
        ['6 mm', 1, 2],
        ['10 mm', 1, 1],
      ],
    ],
    [
      'window',
      null,
      [
        ['a window missed', 1, 1],
        ['within its windows', 0, 1],
      ],
    ],
    [
      'drying',
      'leaks',
      [
        ['a week and more', 0, 1],
        ['under 24 h', 0, 1],
        ['under 96 h', 1, 1],
      ],
    ],
    ['seam', 'leaks', [['bevel', 1, 3]]],
  ] as const)('are counted by %s', (by, fault, rows) => {
    expect(faultsBy(made, by, fault).map(({ value, share }) => [value, share.count, share.of])).toEqual(rows);
  });
});
