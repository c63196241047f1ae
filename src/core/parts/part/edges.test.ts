import { crossesItself } from '../../geometry/outline/crossing.ts';
import { alongEdge, bounds, edgeLength, vertexAt, type Outline } from '../../geometry/outline/outline.ts';
import { develop } from '../../piece/develop.ts';
import { targetsOfEveryKind } from '../../piece/everyKind.test.helper.ts';
import type { Form, Target } from '../../target/target.ts';
import { checkTarget } from '../../forms/checkTarget.ts';
import { level } from '../../piece/targets.test.helper.ts';
import { seeded } from '../../seeded.ts';
import type { Part } from './part.ts';

const tan = (degrees: number) => Math.tan((degrees * Math.PI) / 180);
const partsOf = (target: Target): readonly Part[] => develop(target).parts;
const made = (targets: readonly Target[]) => targets.filter((target) => checkTarget(target).length === 0);

/** How far a point is from an outline (mm), its arcs looked at in short chords. */
function away(outline: Outline, [x, y]: readonly [number, number]): number {
  let nearest = Infinity;
  outline.forEach((_, index) => {
    const steps = Math.max(1, Math.ceil(edgeLength(outline, index) / 0.5));
    for (let step = 0; step < steps; step += 1) {
      const [[ax, ay], [bx, by]] = [
        alongEdge(outline, index, step / steps),
        alongEdge(outline, index, (step + 1) / steps),
      ];
      const square = (bx - ax) ** 2 + (by - ay) ** 2;
      const f = square > 0 ? Math.max(0, Math.min(1, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / square)) : 0;
      nearest = Math.min(nearest, Math.hypot(x - ax - f * (bx - ax), y - ay - f * (by - ay)));
    }
  });
  return nearest;
}

describe('what stands around the flat parts', () => {
  it('a skirt reaches its overlap beyond the wall’s foot, and a base’s edge goes on as the wall leans, for 300 pieces', () => {
    const random = seeded(8);
    const between = (low: number, high: number) => low + random() * (high - low);
    for (let round = 0; round < 300; round += 1) {
      const [rim, foot, height] = [between(60, 180), between(60, 180), between(50, 150)];
      const sides = 3 + Math.floor(random() * 8);
      const forms: Form[] = [
        { kind: 'taper', rim, foot, height },
        {
          kind: 'stack',
          profile: [
            [0, foot],
            [height / 2, rim],
            [height, foot],
          ],
        },
        { kind: 'facet', sides, rim, foot, height, fold: 'separate' },
        {
          kind: 'loft',
          rim: { kind: 'polygon', sides: 4, acrossFlats: rim, corner: 0 },
          foot: { kind: 'polygon', sides: 4, acrossFlats: foot, corner: 0 },
          height,
        },
      ];
      const overlap = between(2, 14);
      const form = forms[round % 4] as Form;
      const tb = between(3, 8);
      for (const join of ['skirt', 'under', 'none'] as const) {
        const base = join === 'skirt' ? { join, overlap, trim: 0 } : { join, trim: 0 };
        const target: Target = { ...level(form, { slab: { base: tb, wall: 5 }, size: { state: 'wet' } }), base };
        if (checkTarget(target).length > 0 || join === 'none') continue;
        const part = partsOf(target).find(({ id }) => id === 'base') as Part;
        const top = form.kind === 'stack' ? height / 2 : height;
        const apothem = (z: number) => (foot + ((rim - foot) * z) / top) / 2;
        // Seen along the x axis, where all these outlines have the middle of a flat or of a round side.
        const reach = (outline: Outline) => bounds(outline).maxX;
        const under = join === 'skirt' ? apothem(tb) + overlap : apothem(0);
        expect(reach(part.outline)).toBeCloseTo(apothem(tb), 3);
        expect(reach(part.underside)).toBeCloseTo(under, 3);
        for (const { lean } of part.leans)
          expect(lean).toBeCloseTo((Math.atan((under - apothem(tb)) / tb) * 180) / Math.PI, 2);
      }
    }
  });

  it('each side of a polygon has its own lean, that of its wall, whichever face is up', () => {
    for (const faceUp of ['inside', 'outside'] as const) {
      const rim = { kind: 'polygon', sides: 5, acrossFlats: 150, corner: 0, at: [12, 7] } as const;
      const form: Form = {
        kind: 'loft',
        rim,
        foot: { kind: 'polygon', sides: 5, acrossFlats: 90, corner: 0 },
        height: 80,
      };
      const base = partsOf(level(form, { slab: { faceUp } })).find(({ id }) => id === 'base') as Part;
      expect(base.leans).toHaveLength(5);
      expect(new Set(base.leans.map(({ lean }) => lean.toFixed(2))).size).toBeGreaterThan(3);
      for (const { from, lean } of base.leans) {
        const [x, y] = alongEdge(base.outline, from, 0.5);
        const [[ax, ay], [bx, by]] = [vertexAt(base.outline, from), vertexAt(base.outline, from + 1)];
        const length = Math.hypot(bx - ax, by - ay);
        const by_ = base.thickness * tan(lean);
        expect(away(base.underside, [x + (by_ * (by - ay)) / length, y - (by_ * (bx - ax)) / length])).toBeLessThan(
          1e-3,
        );
      }
    }
    const box = partsOf(
      level({ kind: 'box', length: 140, width: 90, height: 60 }, { base: { join: 'mitre', trim: 0 } as never }),
    );
    expect(box.find(({ id }) => id === 'base')?.leans.map(({ lean }) => Math.abs(lean))).toEqual([45]);
  });

  it('undersides lie square to every edge that is told to lean, for 240 pieces of every kind', () => {
    for (const target of made(targetsOfEveryKind(12, 240))) {
      for (const part of partsOf(target)) {
        for (const { edge, from, to, lean, least = lean, greatest = lean } of part.leans) {
          if (greatest - least > 0.05) continue;
          const count = part.outline.length;
          const edges = edge === 'round' ? count : (to - from + count) % count || count;
          for (let index = from; index < from + edges; index += Math.max(1, Math.floor(edges / 6))) {
            const length = edgeLength(part.outline, index);
            // A side in many pieces ends where foot and rim lean: its underside may begin further in.
            if (length < 6 || (edges > 6 && (index === from || index === from + edges - 1))) continue;
            const [x, y] = alongEdge(part.outline, index, 0.5);
            const [[ax, ay], [bx, by]] = [
              alongEdge(part.outline, index, 0.5 - 1e-4),
              alongEdge(part.outline, index, 0.5 + 1e-4),
            ];
            const step = Math.hypot(bx - ax, by - ay);
            const out = part.thickness * tan(lean);
            const at = [x + (out * (by - ay)) / step, y - (out * (bx - ax)) / step] as const;
            // Ends of lofts off their middle lie askew by some hundredths of a mm.
            expect(away(part.underside, at)).toBeLessThan(0.06);
          }
        }
      }
    }
  });

  it('the lines that are traced run through themselves on none of 200 lofts', () => {
    for (const target of made(targetsOfEveryKind(17, 200, { kinds: ['loft'] }))) {
      for (const { outline } of partsOf(target)) expect(crossesItself(outline)).toBe(false);
    }
  });
});
