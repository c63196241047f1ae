import { DEFAULT_HANDLE } from '../target/handle.ts';
import { DEFAULT_LID } from '../target/lid.ts';
import { rectangle } from '../geometry/outline/shapes.ts';
import { develop } from '../piece/develop.ts';
import { targetsOfEveryKind } from '../piece/everyKind.test.helper.ts';
import { DEFAULT_FEET } from '../target/feet.ts';
import type { Form, Target } from '../target/target.ts';
import { level, targetWith } from '../piece/targets.test.helper.ts';
import { cutToFit } from '../bench/slab/panelsFor.ts';
import { DEFAULT_BENCH, type Bench } from './bench.ts';

const check = (target: Target, code: string, bench: Bench = DEFAULT_BENCH) =>
  develop(target, bench).checks.find((found) => found.code === code);
const TAPER: Form = { kind: 'taper', rim: 120, foot: 80, height: 90 };
const flat = (form: Form): Target => level(form, { base: { join: 'none', trim: 0 } });

describe('advice on a piece', () => {
  it.each<[string, Target, string, string | undefined, RegExp]>([
    ['bends at the edge of soft', targetWith(), 'bend', 'care', /stretches by 6\.7 %/],
    ['bends more easily when it is soft', targetWith({ clay: { stiffness: 'soft' } }), 'bend', 'note', /6\.7 %/],
    ['bends hardly when it is stiff', targetWith({ clay: { stiffness: 'stiff' } }), 'bend', 'care', /6\.7 %/],
    [
      'is too tight when it is stiff and thick',
      targetWith({ clay: { stiffness: 'stiff' }, slab: { wall: 8 } }),
      'bend',
      'stop',
      /softer/,
    ],
    [
      'turns on less than the neutral surface is deep',
      level({
        kind: 'loft',
        rim: { kind: 'polygon', sides: 5, acrossFlats: 120, corner: 1 },
        foot: { kind: 'polygon', sides: 5, acrossFlats: 120, corner: 1 },
        height: 60,
      }),
      'sharp-corner',
      'care',
      /lies 3\.0 mm inside/,
    ],
    ['takes no hand', targetWith(), 'hand', 'care', /83\.5 mm wet, your hand needs 84\.0/],
    ['takes a hand', targetWith({ form: { kind: 'cylinder', diameter: 90, height: 100 } }), 'hand', 'note', /90\.3 mm/],
    [
      'takes a hand turned, through an oval',
      level({ kind: 'oval', length: 150, width: 60, height: 50 }),
      'hand',
      'note',
      /158/,
    ],
    [
      'has a neck too narrow for a hand',
      level({
        kind: 'stack',
        profile: [
          [0, 90],
          [60, 120],
          [140, 50],
        ],
      }),
      'hand',
      'care',
      /stick/,
    ],
    [
      'has a neck nearly closed',
      level({
        kind: 'stack',
        profile: [
          [0, 60],
          [60, 80],
          [140, 28],
        ],
      }),
      'opening-closed',
      'care',
      /finger/,
    ],
    ['clears a rack hole', targetWith({ fit: { hole: 86, clearance: 1 } }), 'rack-hole', 'note', /by 2\.0 mm/],
    ['is too wide for a hole', targetWith({ fit: { hole: 84.5, clearance: 1 } }), 'rack-hole', 'stop', /takes 83\.5/],
    ['hangs in a hole', { ...level(TAPER), fit: { hole: 100, clearance: 1 } }, 'rack-hole', 'note', /stops 45\.0 mm/],
    [
      'is square and turns in no hole of its own width',
      { ...level({ kind: 'box', length: 84, width: 84, height: 60 }), fit: { hole: 90, clearance: 1 } },
      'rack-hole',
      'stop',
      /a circle of 118\.8 mm/,
    ],
    [
      'is an oval longer than the hole',
      { ...level({ kind: 'oval', length: 84, width: 120, height: 60 }), fit: { hole: 90, clearance: 1 } },
      'rack-hole',
      'stop',
      /a circle of 120\.0 mm/,
    ],
    [
      'is an octagon, wider over its corners',
      {
        ...level({ kind: 'facet', sides: 8, rim: 84, foot: 84, height: 60, fold: 'separate' }),
        fit: { hole: 88, clearance: 1 },
      },
      'rack-hole',
      'stop',
      /a circle of 90\.9 mm/,
    ],
    [
      'is a rounded square that does not enter',
      {
        ...level({
          kind: 'loft',
          rim: { kind: 'circle', diameter: 120 },
          foot: { kind: 'rounded', length: 84, width: 84, corner: 6 },
          height: 60,
        }),
        fit: { hole: 100, clearance: 1 },
      },
      'rack-hole',
      'stop',
      /takes 99\.0/,
    ],
    [
      'hangs by its belly',
      targetWith({ belly: { diameter: 96, at: 60 }, fit: { hole: 90, clearance: 1 } }),
      'rack-hole',
      'note',
      /It stops 2\d\.\d mm above its foot/,
    ],
    [
      'catches by its handle',
      { ...targetWith({ fit: { hole: 92, clearance: 1 } }), handle: DEFAULT_HANDLE },
      'rack-hole',
      'care',
      /handle stops it \d\d\.\d mm/,
    ],
    [
      'catches by its lid',
      { ...targetWith({ fit: { hole: 88, clearance: 1 } }), lid: { ...DEFAULT_LID, overhang: 4 } },
      'rack-hole',
      'care',
      /lid stops it 110\.0 mm/,
    ],
    [
      'is too high with its lid',
      { ...targetWith({ fit: { shelf: 112, clearance: 1 } }), lid: DEFAULT_LID },
      'shelf',
      'stop',
      /115\.3 mm high with its lid/,
    ],
    [
      'is pushed out most below its middle',
      targetWith({ slab: { wall: 4, base: 4 }, form: { kind: 'taper', rim: 76, foot: 46, height: 90 }, belly: 86 }),
      'belly',
      'stop',
      /grows by 4\d\.\d %/,
    ],
    [
      'is pushed out at its own height',
      targetWith({ belly: { diameter: 90, at: 60 } }),
      'belly',
      'note',
      /60\.\d mm over the table/,
    ],
    ['stands under a shelf', targetWith({ fit: { shelf: 115, clearance: 2 } }), 'shelf', 'note', /5\.0 mm stays free/],
    ['is too high for a shelf', targetWith({ fit: { shelf: 111, clearance: 2 } }), 'shelf', 'stop', /takes 109/],
    ['has wall and base apart', targetWith({ slab: { base: 9 } }), 'thickness-apart', 'care', /9\.0 mm thick/],
    [
      'is tall and thin',
      targetWith({ form: { kind: 'cylinder', diameter: 84, height: 180 } }),
      'tall-wall',
      'care',
      /34 times/,
    ],
    [
      'is tall but stiff enough',
      targetWith({ clay: { stiffness: 'stiff' }, form: { kind: 'cylinder', diameter: 84, height: 180 } }),
      'tall-wall',
      undefined,
      /x/,
    ],
    [
      'runs into itself flat',
      { ...flat({ kind: 'taper', rim: 500, foot: 300, height: 20 }), seam: { kind: 'lap', overlap: 20, panels: 1 } },
      'sweep-over',
      'stop',
      /2 pieces/,
    ],
    [
      'is a strip with a lap, which it does not have',
      {
        ...level({ kind: 'facet', sides: 6, rim: 80, foot: 64, height: 90, fold: 'strip' }),
        seam: { kind: 'lap', overlap: 10, panels: 3 },
      },
      'seam-unused',
      'care',
      /a lap seam, and a wall in 3 pieces/,
    ],
    [
      'has odd sides, whose width lets no hand through',
      level({ kind: 'facet', sides: 3, rim: 84, foot: 84, height: 60, fold: 'separate' }),
      'hand',
      'care',
      /83\.5|84\.0/,
    ],
    ['is pushed out', targetWith({ belly: 90 }), 'belly', 'note', /55\.0 mm over the table, its girth grows by 7\.1 %/],
    ['is pushed far', targetWith({ belly: 98 }), 'belly', 'care', /5\.1 mm thick/],
    ['is pushed too far', targetWith({ belly: 120 }), 'belly', 'stop', /two tapers/],
    ['has nothing to push', targetWith({ belly: 80 }), 'belly', 'note', /nothing is pushed/],
    [
      'has a belly that only a round piece has',
      { ...level({ kind: 'box', length: 90, width: 80, height: 60 }), belly: 100 },
      'belly',
      'care',
      /left out/,
    ],
  ])('%s', (_, target, code, wanted, words) => {
    const found = check(target, code);
    expect(found?.level).toBe(wanted);
    if (found) expect(found.text).toMatch(words);
  });

  it('has a figure in every place that is kept for one', () => {
    const sheet: Form = { kind: 'sheet', outline: rectangle(180, 120), bend: { diameter: 160, angle: 90 } };
    const pieces: Target[] = [
      ...targetsOfEveryKind(77, 40),
      ...(['flat', 'cap'] as const).map((kind) => ({ ...targetWith(), lid: { ...DEFAULT_LID, kind, clearance: 0.4 } })),
      { ...targetWith(), handle: DEFAULT_HANDLE, feet: DEFAULT_FEET },
      level(sheet),
      level({ ...sheet, feet: { count: 3, height: 6, diameter: 12 } } as Form),
    ];
    const seen = new Set<string>();
    for (const target of pieces) {
      for (const { code, phrase } of develop(target).checks) {
        seen.add(code);
        for (const part of phrase)
          if (typeof part !== 'string') expect(Object.values(part)).toEqual([expect.any(Number)]);
      }
    }
    expect([...seen]).toEqual(expect.arrayContaining(['lid', 'bend', 'feet', 'sheet-rocks']));
  });

  it('says when a part is larger than the slab, and the fewest pieces that fit', () => {
    const bench = { hand: 84, slab: { length: 160, width: 130 } };
    const target = targetWith();
    expect(check(target, 'slab-size')).toBeUndefined();
    expect(check(target, 'slab-size', bench)?.text).toMatch(
      /287\.0 × 119\.0 mm, your slab is 160\.0 × 130\.0 mm. Cut the wall in 2 pieces/,
    );
    const cut = cutToFit(target, develop(target).parts, bench.slab);
    expect(cut?.seam.panels).toBe(2);
    expect(cut && check(cut, 'slab-size', bench)).toBeUndefined();
    const narrow = { hand: 84, slab: { length: 160, width: 100 } };
    expect(check(target, 'slab-size', narrow)?.text).toMatch(/join two slabs/);
  });

  it('makes separate panels of a strip that is too long', () => {
    const strip = level({ kind: 'facet', sides: 6, rim: 80, foot: 64, height: 90, fold: 'strip' });
    const cut = cutToFit(strip, develop(strip).parts, { length: 150, width: 150 });
    expect(cut?.form.kind === 'facet' && cut.form.fold).toBe('separate');
    const box = level({ kind: 'box', length: 200, width: 80, height: 60 });
    expect(cutToFit(box, develop(box).parts, { length: 150, width: 150 })).toBeNull();
  });
});
