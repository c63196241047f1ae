import { edgeAt } from '../../geometry/outline/outline.ts';
import { Stretch } from '../../geometry/outline/stretch.ts';
import type { Mark, Part } from '../../parts/part/part.ts';
import { develop } from '../../piece/develop.ts';
import type { Form, Target, WallMarks } from '../../target/target.ts';
import { level } from '../../piece/targets.test.helper.ts';
import { panelCount } from './marking.ts';
import type { Point } from '../../geometry/point.ts';

const TAPER: Form = { kind: 'taper', rim: 120, foot: 80, height: 90 };
const STACK: Form = {
  kind: 'stack',
  profile: [
    [0, 60],
    [70, 95],
    [150, 45],
  ],
};
const LOFT: Form = {
  kind: 'loft',
  rim: { kind: 'ellipse', length: 150, width: 100 },
  foot: { kind: 'circle', diameter: 80 },
  height: 70,
};
const OVAL: Form = { kind: 'oval', length: 150, width: 100, height: 60 };
const CYLINDER: Form = { kind: 'cylinder', diameter: 84, height: 110 };

type Line = Extract<Mark, { kind: 'line' }>;
const marked = (form: Form, marks: WallMarks, more: Parameters<typeof level>[1] = {}): Target => ({
  ...level(form, more),
  marks,
});
const corners = ({ outline, leans }: Part): Point[] =>
  ['left', 'right'].flatMap((edge) =>
    leans
      .filter((lean) => lean.edge === edge)
      .flatMap(({ from, to }) =>
        [outline[from], outline[to % outline.length]].map((at): Point => [at?.[0] ?? 0, at?.[1] ?? 0]),
      ),
  );

/** How far round the rim from the first seam, anticlockwise from above, the place is that is marked on one of some pieces (mm). */
function alongRim(parts: readonly Part[], panels: number): number {
  const lengths = (part: Part) => {
    const rim = part.leans.find(({ edge }) => edge === 'rim');
    const stretch = new Stretch(part.outline, rim?.from ?? 0, rim?.to ?? 0);
    return { stretch, length: stretch.length };
  };
  const all = parts.length === 1 ? Array.from({ length: panels }, () => parts[0] as Part) : parts;
  const found = parts.find((part) => part.marks.some((mark) => mark.kind === 'line' && mark.name === 'place')) as Part;
  const text = words(found)[0] ?? '';
  const piece = parts.length === 1 ? Number(/piece (\d+)/.exec(text)?.[1] ?? 1) - 1 : parts.indexOf(found);
  const { stretch, length } = lengths(found);
  const [place] = lines(found, 'place');
  let [best, off] = [0, Infinity];
  for (let step = 0; step <= 8000; step += 1) {
    const far = span(stretch.pointAt((length * step) / 8000), place?.to ?? [0, 0]);
    if (far < off) [best, off] = [(length * step) / 8000, far];
  }
  // The rim runs back along the outline: to the left with the outside up.
  const along = found.faceUp === 'outside' ? length - best : best;
  return all.slice(0, piece).reduce((sum, part) => sum + lengths(part).length, 0) + along;
}

const walls = (target: Target): Part[] => develop(target).parts.filter(({ id }) => id !== 'base');
const lines = (part: Part | undefined, name: Line['name']) =>
  (part?.marks ?? []).filter((mark): mark is Line => mark.kind === 'line' && mark.name === name);
const words = (part: Part | undefined) =>
  (part?.marks ?? []).flatMap((mark) => (mark.kind === 'words' ? [mark.text] : []));
const span = ([x, y]: readonly [number, number], [u, v]: readonly [number, number]) => Math.hypot(x - u, y - v);

describe.each(['inside', 'outside'] as const)('marks with the %s up', (faceUp) => {
  const slab = { faceUp };

  it('divide a taper into equal panels by lines to its true centre', () => {
    const [wall] = walls(marked(TAPER, { panels: { count: 6 } }, { slab }));
    const found = lines(wall, 'panel');
    expect(found).toHaveLength(5);
    const arc = wall && edgeAt(wall.outline, wall.leans.find(({ edge }) => edge === 'foot')?.from ?? 0);
    const [cx = NaN, cy = NaN] = arc?.centre ?? [];
    for (const { from, to } of found) {
      const cross = (from[0] - cx) * (to[1] - cy) - (from[1] - cy) * (to[0] - cx);
      expect(Math.abs(cross)).toBeLessThan(1e-6 * span(from, to) * 300);
    }
    const chords = found.slice(1).map(({ to }, index) => span(to, found[index]?.to ?? [0, 0]));
    for (const chord of chords) expect(chord).toBeCloseTo(chords[0] ?? NaN, 6);
  });

  it.each([CYLINDER, TAPER, OVAL, LOFT])('set a handle opposite the seam on the middle line of %j', (form) => {
    const [wall] = walls(marked(form, { places: [{ kind: 'handle', at: 180 }] }, { slab }));
    const [place] = lines(wall, 'place');
    const [centre] = lines(walls(level(form, { slab }))[0], 'centre');
    expect(span(place?.to ?? [0, 0], centre?.to ?? [9, 9])).toBeLessThan(0.02);
    // One line is drawn where two would lie over one another.
    expect(lines(wall, 'centre')).toEqual([]);
    expect(words(wall)).toEqual(['handle']);
  });

  it.each([CYLINDER, OVAL, LOFT])('set a pair of handles just across, on %j', (form) => {
    const [wall] = walls(
      marked(
        form,
        {
          places: [
            { kind: 'handle', at: 90 },
            { kind: 'handle', at: 270 },
          ],
        },
        { slab },
      ),
    );
    const [one, other] = lines(wall, 'place');
    const [centre] = lines(wall, 'centre');
    const middle = centre?.to ?? [0, 0];
    expect(span(one?.to ?? [0, 0], middle)).toBeCloseTo(span(other?.to ?? [9, 9], middle), 1);
    // Anticlockwise from above runs to the right with the outside up, to the left with the inside up.
    expect((one?.to[0] ?? 0) < (other?.to[0] ?? 0)).toBe(faceUp === 'outside');
  });

  it.each([TAPER, OVAL, LOFT, { ...LOFT, rim: { kind: 'rounded', length: 150, width: 90, corner: 30 } } as Form])(
    'keep the middle line in the middle with spare at both ends, of %j',
    (form) => {
      const seam = { kind: 'cut-in-place', margin: 15, panels: 1 } as const;
      const [wall, plain] = [seam, { kind: 'butt', panels: 1 } as const].map(
        (one) => walls(level(form, { slab, seam: one as never }))[0],
      );
      const [spare] = lines(wall, 'centre');
      const [bare] = lines(plain, 'centre');
      const middle = (part: Part | undefined) => corners(part as Part).reduce((sum, [x]) => sum + x / 4, 0);
      expect(Math.abs((spare?.from[0] ?? 0) - middle(wall) - ((bare?.from[0] ?? 0) - middle(plain)))).toBeLessThan(0.3);
    },
  );

  it.each<[string, Form, number]>([
    ['oval', OVAL, 3],
    ['oval', OVAL, 5],
    ['loft', LOFT, 3],
    ['loft off its middle', { ...LOFT, rim: { kind: 'circle', diameter: 120, at: [14, 9] } }, 3],
  ])('stand as far round from the seam on an %s in pieces as on a whole one', (_, form, panels) => {
    for (const at of [20, 75, 130, 205, 250, 340]) {
      const marks: WallMarks = { places: [{ kind: 'handle', at }] };
      const pieces = walls(marked(form, marks, { slab, seam: { kind: 'butt', panels } as never }));
      const whole = walls(marked(form, marks, { slab, seam: { kind: 'butt', panels: 1 } as never }));
      expect(Math.abs(alongRim(pieces, panels) - alongRim(whole, 1))).toBeLessThan(0.1);
    }
  });

  it('keep clear of what a seam adds', () => {
    for (const seam of [
      { kind: 'lap', overlap: 20, panels: 1 },
      { kind: 'cut-in-place', margin: 15, panels: 1 },
    ] as const) {
      const [wall] = walls(marked(CYLINDER, { panels: { count: 4 } }, { slab, seam }));
      const xs = lines(wall, 'panel')
        .map(({ from }) => from[0])
        .sort((a, b) => a - b);
      const start = seam.kind === 'cut-in-place' ? 15 : faceUp === 'inside' ? 20 : 0;
      xs.forEach((x, index) => expect(x).toBeCloseTo(start + ((index + 1) * 281.0297) / 4, 3));
    }
  });
});

describe('marks', () => {
  it('count texture repeats at rim and foot apart, with what each must give', () => {
    const developed = develop(marked(TAPER, { repeat: 18 }));
    const [rim, foot] = developed.repeats ?? [];
    expect(rim?.edge).toBe('rim');
    for (const found of [rim, foot]) {
      if (!found) throw new Error('no repeat');
      expect(found.count * (18 + found.give)).toBeCloseTo(found.length, 9);
      expect(Math.abs(found.give)).toBeLessThanOrEqual(found.length / found.count / 2);
    }
    expect(rim?.count).toBeGreaterThan(foot?.count ?? 99);
    const ticks = lines(developed.parts[0], 'repeat');
    expect(ticks).toHaveLength((rim?.count ?? 0) + (foot?.count ?? 0) + 2);
  });

  it.each([
    [{ count: 6 }, 281, 1, 6],
    [{ width: 45 }, 281, 1, 6],
    [{ count: 7 }, 281, 2, 8],
    [{ width: 1000 }, 281, 3, 3],
  ])('take %j of a girth of %d in %d pieces as %d panels', (panels, girth, pieces, expected) => {
    expect(panelCount(panels, girth, pieces)).toBe(expected);
  });

  it('turn the seams of a stack away from one another, and say where a band stands', () => {
    const [low, high] = walls(marked(STACK, { places: [{ kind: 'handle', at: 180 }], text: 'car four' }));
    expect(words(low)).toEqual(['handle', 'car four']);
    expect(words(high)).toEqual(['stands on seam A', 'handle']);
    // Opposite the lowest seam is the middle of the lower band, and the seam of the upper one.
    const plain = walls(level(STACK));
    const middleOf = (part: Part | undefined) =>
      lines(
        plain.find(({ id }) => id === part?.id),
        'centre',
      )[0]?.to ?? [NaN, NaN];
    expect(span(lines(low, 'place')[0]?.to ?? [0, 0], middleOf(low))).toBeLessThan(1e-6);
    expect(span(lines(high, 'place')[0]?.to ?? [0, 0], middleOf(high))).toBeGreaterThan(50);
  });

  it('go on the right piece of a wall in pieces', () => {
    const seam = { kind: 'bevel', angle: 45, panels: 2 } as const;
    const places = [{ kind: 'spout', at: 270 }] as const;
    expect(words(walls(marked(TAPER, { places }, { seam }))[0])).toEqual(['spout, on piece 2']);
    expect(walls(marked(LOFT, { places }, { seam })).map(words)).toEqual([[], ['spout']]);
  });

  it('write the lean at stations where it varies along a lofted edge, as signed as the edge itself', () => {
    for (const faceUp of ['inside', 'outside'] as const) {
      const [wall] = walls(level(LOFT, { slab: { faceUp } }));
      const written = (wall?.marks ?? []).flatMap((mark) => (mark.kind === 'lean' ? [mark] : []));
      expect(written).toHaveLength(12);
      const rim = wall?.leans.find(({ edge }) => edge === 'rim');
      const figures = written.slice(6).map(({ text }) => Number(text.replace('−', '-').replace(/[+°]/g, '')));
      for (const figure of figures) {
        expect(figure).toBeGreaterThanOrEqual(Math.floor((rim?.least ?? 0) - 0.5));
        expect(figure).toBeLessThanOrEqual(Math.ceil((rim?.greatest ?? 0) + 0.5));
      }
      // Symmetrical about the middle, as the loft is.
      expect(figures[0]).toBe(figures[5]);
      expect(figures[0]).not.toBe(figures[2]);
    }
    // On the flat sides of a square rim the lean is one, whichever way round; the corners differ.
    const square: Form = {
      kind: 'loft',
      rim: { kind: 'rounded', length: 170, width: 170, corner: 36 },
      foot: { kind: 'circle', diameter: 96 },
      height: 74,
    };
    const texts = ['inside', 'outside'].map((faceUp) =>
      (walls(level(square, { slab: { faceUp: faceUp as 'inside' } }))[0]?.marks ?? []).flatMap((mark) =>
        mark.kind === 'lean' ? [mark.text] : [],
      ),
    );
    for (const written of texts)
      for (const edge of [written.slice(0, 6), written.slice(6)]) expect(edge).toEqual([...edge].reverse());
    expect(walls(level(TAPER))[0]?.marks.some(({ kind }) => kind === 'lean')).toBe(false);
  });

  it('letter the seams and draw the middle of lofts and panels too', () => {
    for (const form of [
      LOFT,
      { kind: 'box', length: 120, width: 80, height: 60 },
      { kind: 'facet', sides: 6, rim: 80, foot: 64, height: 90, fold: 'separate' },
    ] satisfies Form[]) {
      for (const wall of walls(level(form))) {
        expect(lines(wall, 'centre')).toHaveLength(1);
        expect(wall.marks.filter(({ kind }) => kind === 'letter')).toHaveLength(2);
      }
    }
  });
});
