import { readdirSync, readFileSync } from 'node:fs';
import { readTargetText } from '../contract/targetSchema.ts';
import { developWhole } from '../core/piece/develop.ts';
import { targetsOfEveryKind } from '../core/piece/everyKind.test.helper.ts';
import { randomTarget } from '../core/piece/targets.test.helper.ts';
import { seeded } from '../core/seeded.ts';
import type { Part } from '../core/parts/part/part.ts';
import type { Primitive } from '../core/studio/printer/drawing.ts';
import { partDrawing } from '../core/files/sheet/partDrawing.ts';
import { entersBox, piecesOf, RoomForWords, wordsBox } from '../core/files/sheet/roomForWords.ts';

const box = { minX: 0, minY: 0, maxX: 10, maxY: 5 };

it.each([
  [
    'through it',
    [
      [-5, 2],
      [15, 3],
    ],
    true,
  ],
  [
    'within it',
    [
      [2, 2],
      [4, 3],
    ],
    true,
  ],
  [
    'over a corner',
    [
      [-1, 4],
      [2, 6],
    ],
    true,
  ],
  [
    'along its edge',
    [
      [0, 0],
      [10, 0],
    ],
    true,
  ],
  [
    'beside it',
    [
      [-5, 7],
      [15, 8],
    ],
    false,
  ],
  [
    'towards it',
    [
      [-5, 2],
      [-1, 2],
    ],
    false,
  ],
  [
    'past a corner',
    [
      [-3, 4],
      [2, 9],
    ],
    false,
  ],
] as [string, [[number, number], [number, number]], boolean][])(
  'a line %s enters a box: or not',
  (_, piece, wanted) => {
    expect(entersBox(piece, box)).toBe(wanted);
    expect(entersBox([piece[1], piece[0]], box)).toBe(wanted);
  },
);

/** Lines that words stand on, and words that stand on others. */
function crossings(part: Part): string[] {
  const drawing = partDrawing(part, { unit: 'mm' });
  const words = drawing.filter((item): item is Primitive & { kind: 'text' } => item.kind === 'text');
  const lines = piecesOf(drawing);
  return words.flatMap((one, index) => {
    const own = wordsBox(one);
    const others = words.slice(index + 1).filter((other) => {
      const theirs = wordsBox(other);
      return own.minX < theirs.maxX && theirs.minX < own.maxX && own.minY < theirs.maxY && theirs.minY < own.maxY;
    });
    const crossed = lines.some((piece) => entersBox(piece, own)) ? [`${part.name}: “${one.text}” on a line`] : [];
    return [...crossed, ...others.map(({ text }) => `${part.name}: “${one.text}” on “${text}”`)];
  });
}

describe('words on a part', () => {
  it('of the demo pieces and of 60 made-up ones of every kind stand on no line and on no other words', () => {
    const random = seeded(77);
    const demo = readdirSync('demo')
      .filter((file) => file.endsWith('.fawn.json'))
      .flatMap((file) => {
        const reading = readTargetText(readFileSync(`demo/${file}`, 'utf8'));
        return reading.kind === 'target' ? [reading.target] : [];
      });
    const targets = [
      ...demo,
      ...targetsOfEveryKind(7, 30),
      ...targetsOfEveryKind(8, 15, { seams: 'all' }),
      ...Array.from({ length: 15 }, () => randomTarget(random)),
    ];
    const found = targets.flatMap((target) =>
      developWhole(target).parts.flatMap((part) => crossings(part).map((one) => `${target.name}, ${one}`)),
    );
    expect(found).toEqual([]);
  });

  it('have no room where there is none', () => {
    const outline = [
      [0, 0, 0],
      [20, 0, 0],
      [20, 4, 0],
      [0, 4, 0],
    ] as const;
    const room = new RoomForWords(outline, [{ kind: 'path', layer: 'cut', outline }], {
      minX: 0,
      minY: 0,
      maxX: 60,
      maxY: 20,
    });
    const words = { minX: 2, minY: 1, maxX: 12, maxY: 6 };
    expect(room.inside(words)).toBeNull();
    const beside = room.anywhere(words);
    expect(beside && (beside.minX > 20 || beside.minY > 4)).toBe(true);
    room.take({ minX: 0, minY: 0, maxX: 60, maxY: 20 });
    expect(room.anywhere(words)).toBeNull();
  });
});
