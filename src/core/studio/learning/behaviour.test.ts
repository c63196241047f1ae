import type { ShrinkBar } from '../clay/bars.ts';
import { seeded } from '../../seeded.ts';
import { behaviourOf } from './behaviour.ts';
import type { MadePiece, MeasuredSize } from './madePiece.ts';
import { CUP } from './madePiece.test.helper.ts';
import { shrinkageBy } from './shrinkageBy.ts';

/** What is true of a made-up clay: the length that is left of the length before, by state, and by how much across it shrinks less. */
const LEFT = { 'leather-hard': 0.975, dry: 0.945, bisque: 0.94 } as const;
const [ALONG, ACROSS] = [0.124, 0.118] as const;

/** Cups of three makings and firings, measured in every state to a tenth of a millimetre or so. */
function cups(count: number, form = 'cylinder'): MadePiece[] {
  const random = seeded(11);
  const read = (length: number) => length + 0.2 * (random() - 0.5);
  return Array.from({ length: count }, (_, index): MadePiece => {
    const measured = (
      [
        ['rim', 95, ALONG],
        ['height', 125, ACROSS],
      ] as const
    ).flatMap(([what, wet, shrinkage]): MeasuredSize[] => [
      { what, state: 'wet', value: read(wet) },
      ...(['leather-hard', 'dry', 'bisque'] as const).map((state): MeasuredSize => ({
        what,
        state,
        value: read(wet * LEFT[state]),
      })),
      { what, state: 'fired', value: read(wet * (1 - shrinkage)) },
    ]);
    const firing = { id: `${index % 3}`, name: `Firing ${index % 3}`, shelf: index % 2 === 0 ? 'Top' : 'Low' };
    return { ...CUP, form, making: `${index % 3}`, number: index + 1, firing, measured };
  });
}

describe('steps of shrinkage', () => {
  const { steps } = behaviourOf(cups(12), []);

  it.each([
    ['wet', 'leather-hard', 1 - LEFT['leather-hard']],
    ['wet', 'dry', 1 - LEFT.dry],
    ['dry', 'bisque', 1 - LEFT.bisque / LEFT.dry],
  ])('from %s to %s', (from, to, wanted) => {
    const found = steps.find((one) => one.from === from && one.to === to);
    expect(found?.count).toBe(24);
    expect(found && wanted >= found.low && wanted <= found.high).toBe(true);
    expect(found?.mean).toBeCloseTo(wanted, 2);
  });

  it('come from bars too, without those that were set aside, and together they are the whole', () => {
    const bars = Array.from({ length: 4 }, (): ShrinkBar => ({
      wet: 100,
      dry: 94,
      bisque: 93.5,
      fired: 88,
      run: 'any',
    }));
    const found = behaviourOf(
      [],
      [...bars, { wet: 100, dry: 50, bisque: 49, fired: 40, run: 'any', aside: true }],
    ).steps;
    expect(found.map(({ to, count }) => [to, count])).toEqual([
      ['dry', 4],
      ['bisque', 4],
      ['fired', 4],
    ]);
    expect(found.reduce((left, { mean }) => left * (1 - mean), 1)).toBeCloseTo(0.88, 3);
  });

  it('are not told of two readings', () => expect(behaviourOf(cups(1), []).steps).toEqual([]));
});

describe('along and across the roll', () => {
  it('a wall tells along by its girths and across by its height', () => {
    const { along, across } = behaviourOf(cups(12), []);
    for (const [found, wanted] of [
      [along, ALONG],
      [across, ACROSS],
    ] as const) {
      expect(found?.count).toBe(12);
      expect(found && found.low <= wanted && wanted <= found.high).toBe(true);
      expect(found?.mean).toBeCloseTo(wanted, 2);
    }
    expect((along?.mean ?? 0) > (across?.mean ?? 1)).toBe(true);
  });

  it('what lay on a mould tells neither', () => {
    expect(behaviourOf(cups(12, 'mould'), [])).toMatchObject({ along: null, across: null });
  });

  it('bars tell the way they lay', () => {
    const bars = (['along', 'across', 'any'] as const).flatMap((run) =>
      Array.from({ length: 3 }, (): ShrinkBar => ({ wet: 100, fired: run === 'along' ? 87 : 88, run })),
    );
    const { along, across } = behaviourOf([], bars);
    expect([along?.count, across?.count]).toEqual([3, 3]);
    expect([along?.mean, across?.mean]).toEqual([expect.closeTo(0.13, 4), expect.closeTo(0.12, 4)]);
  });
});

describe('off the mould, and on the way to round', () => {
  const tray = (length: number, width: number): MadePiece => ({
    ...CUP,
    form: 'mould',
    planned: { ...CUP.planned, sizes: { length: 264, width: 176 } },
    measured: [
      { what: 'length', state: 'wet', value: length },
      { what: 'width', state: 'wet', value: width },
    ],
  });

  it('a tray of a mould 300 x 200 that comes off 303 x 202 has sprung back by 1 %', () => {
    const { springBack } = behaviourOf([tray(303, 202), tray(306, 204)], []);
    expect(springBack).toMatchObject({ count: 2, mean: expect.closeTo(0.015, 9) as number });
    expect(behaviourOf([{ ...tray(303, 202), form: 'oval' }], []).springBack).toBeNull();
  });

  it.each([
    ['wet, as it was drawn', 'wet', 150, 100, 0],
    ['fired, half way to round', 'fired', 137.5, 112.5, 0.5],
    ['round', 'fired', 120, 120, 1],
  ] as const)('an oval of 132 x 88 that came out %s', (_, state, length, width, lost) => {
    const oval: MadePiece = {
      ...CUP,
      form: 'oval',
      planned: { ...CUP.planned, sizes: { length: 132, width: 88 } },
      measured: [
        { what: 'length', state, value: length },
        { what: 'width', state, value: width },
      ],
    };
    expect(behaviourOf([oval], []).relaxing?.mean).toBeCloseTo(lost, 9);
  });
});

describe('shrinkage by firing and by place', () => {
  it('is one figure a piece, and leaves out what was not written down', () => {
    const all = [...cups(12), { ...(cups(1)[0] as MadePiece), firing: null }];
    expect(shrinkageBy(all, 'firing').map(({ value, figure }) => [value, figure.count])).toEqual([
      ['Firing 0', 4],
      ['Firing 1', 4],
      ['Firing 2', 4],
    ]);
    const places = shrinkageBy(all, 'place');
    expect(places.map(({ value, figure }) => [value, figure.count])).toEqual([
      ['Top', 6],
      ['Low', 6],
    ]);
    for (const { figure } of places) expect(figure.mean).toBeCloseTo((ALONG + ACROSS) / 2, 2);
    expect(shrinkageBy([{ ...(cups(1)[0] as MadePiece), measured: [] }], 'firing')).toEqual([]);
  });

  it('rests on the sizes that were measured both wet and fired', () => {
    const [cup] = cups(1) as [MadePiece];
    const once: readonly MeasuredSize[] = [
      { what: 'foot', state: 'wet', value: 95 },
      { what: 'length', state: 'fired', value: 70 },
    ];
    expect(shrinkageBy([{ ...cup, measured: [...cup.measured, ...once] }], 'firing')).toEqual(
      shrinkageBy([cup], 'firing'),
    );
    expect(shrinkageBy([{ ...cup, measured: once }], 'firing')).toEqual([]);
  });
});
