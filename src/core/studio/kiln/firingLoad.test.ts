import type { Outline } from '../../geometry/outline/outline.ts';
import { seeded } from '../../seeded.ts';
import { kindKey, loadJobOf, misplaced, placedOf, type StandingKind } from './firingLoad.ts';
import { leftOver, USUAL_SEGMENTS, type FiringPiece, type KeptFiring } from './keptFiring.ts';
import { packLoad } from './packLoad.ts';

const disc = (across: number): Outline => [
  [-across / 2, 0, 1],
  [across / 2, 0, 1],
];
const KINDS = new Map<string, StandingKind>([
  ['a 0', { outline: disc(90), height: 110 }],
  [
    'b 0',
    {
      outline: [
        [-80, -40, 0],
        [80, -40, 0],
        [80, 40, 0],
        [-80, 40, 0],
      ],
      height: 40,
    },
  ],
]);
const many = (making: string, count: number) =>
  Array.from({ length: count }, (_, index) => ({ making, piece: 0, number: index + 1 }));
const firing = (change: Partial<KeptFiring>): KeptFiring => ({
  name: 'Galley',
  kind: 'once',
  day: '2026-11-02',
  cone: '6',
  segments: USUAL_SEGMENTS.once,
  curve: [],
  witness: [],
  gap: 5,
  shelves: [
    { id: 'top', name: 'Top', width: 400, depth: 300, clear: 120 },
    { id: 'low', name: 'Low', width: 400, depth: 300, clear: 60 },
  ],
  wanted: [...many('a', 8), ...many('b', 6)],
  placed: [],
  opened: null,
  note: '',
  ...change,
});
const pack = (of: KeptFiring) => {
  let tries = 20;
  return placedOf(of, KINDS, packLoad(loadJobOf(of, KINDS), { random: seeded(1), going: () => (tries -= 1) > 0 }));
};

describe('the load of a firing', () => {
  it('places every piece by its number, or leaves it over, and nothing is misplaced', () => {
    const placed = pack(firing({}));
    expect(new Set(placed.map(({ making, number }) => `${making} ${number}`)).size).toBe(placed.length);
    expect(placed.length + leftOver({ ...firing({}), placed }).length).toBe(14);
    expect(placed.filter(({ shelf, making }) => shelf === 'low' && making === 'a')).toEqual([]);
    expect(misplaced(firing({ placed }), KINDS)).toEqual([]);
  });

  it('leaves locked pieces where they stand, with their numbers', () => {
    const locked: FiringPiece[] = [
      { making: 'a', piece: 0, number: 5, shelf: 'top', x: 200, y: 150, turn: 0, locked: true },
      { making: 'b', piece: 0, number: 2, shelf: 'low', x: 100, y: 100, turn: 45, locked: true },
    ];
    const placed = pack(firing({ placed: locked }));
    expect(placed).toEqual(expect.arrayContaining(locked));
    expect(placed.filter(({ number, making }) => number === 5 && making === 'a')).toHaveLength(1);
    expect(misplaced(firing({ placed }), KINDS)).toEqual([]);
  });

  it('leaves out what is not known, and locked pieces that are no longer wanted', () => {
    const of = firing({
      wanted: [...many('a', 2), ...many('c', 3)],
      placed: [{ making: 'b', piece: 0, number: 1, shelf: 'low', x: 100, y: 100, turn: 0, locked: true }],
    });
    expect(loadJobOf(of, KINDS).pieces.map(({ id, count }) => [id, count])).toEqual([['a 0', 2]]);
    expect(loadJobOf(of, KINDS).locked).toEqual({ top: [], low: [] });
  });

  const at = (making: string, number: number, x: number, y: number, shelf = 'top'): FiringPiece => ({
    making,
    piece: 0,
    number,
    shelf,
    x,
    y,
    turn: 0,
  });
  it.each<[string, FiringPiece[], string[]]>([
    ['touching with the gap between', [at('a', 1, 45, 45), at('a', 2, 140.01, 45)], []],
    ['nearer than the gap', [at('a', 1, 45, 45), at('a', 2, 139, 45)], ['too near', 'too near']],
    ['half over the edge', [at('b', 1, 70, 100)], ['over the edge']],
    ['on a shelf that is too low', [at('a', 1, 100, 100, 'low')], ['too high']],
    ['on two shelves, one over the other', [at('b', 1, 100, 100), at('b', 2, 100, 100, 'low')], []],
  ])('%s', (_, placed, faults) => {
    expect(misplaced(firing({ placed }), KINDS).map(({ why }) => why)).toEqual(faults);
  });

  it('knows kinds by making and piece', () => expect(kindKey({ making: 'a', piece: 3 })).toBe('a 3'));
});
