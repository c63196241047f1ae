import { tracedEdge } from '../../forms/kind/tracedSteps.ts';
import { edgeAt } from '../../geometry/outline/outline.ts';
import type { Part } from '../../parts/part/part.ts';
import { checkTarget } from '../../forms/checkTarget.ts';
import { develop } from '../../piece/develop.ts';
import { newTarget, type Base, type Target } from '../../target/target.ts';
import { randomTarget, targetWith } from '../../piece/targets.test.helper.ts';
import { seeded } from '../../seeded.ts';
import { pieceFromArc, readRuledArc, type LongArc } from './arcTemplate.ts';
import { targetOf } from './reversed.test.helper.ts';
import { slideArc } from './slideArc.ts';
import { tracingMarks, tracingsOf, tracingSteps, tracingWay } from '../../parts/part/tracing.ts';
import type { ArcTemplate } from '../../target/arcTemplate.ts';

/** The traced arcs of a taper's wall: what a potter would keep as her template. */
function tracedTemplate(target: Target): ArcTemplate {
  const [wall] = develop(target).parts;
  if (!wall) throw new Error('no wall');
  const radii = [tracedEdge(wall, 'foot').radius, tracedEdge(wall, 'rim').radius];
  const { sweep = NaN } = develop(target).numbers;
  return { inner: Math.min(...radii), outer: Math.max(...radii), sweep: sweep / target.seam.panels };
}

describe('an arc template', () => {
  const random = seeded(77);
  const bases: readonly Base[] = [
    { join: 'under', trim: 0 },
    { join: 'inside', trim: 0 },
    { join: 'mitre', trim: 0 },
    { join: 'skirt', overlap: 4, trim: 0 },
    { join: 'none', trim: 0 },
  ];

  it('of any taper gives that taper back: every base, rim, face and state', () => {
    for (let index = 0; index < 200; index += 1) {
      const { clay, slab, size } = randomTarget(random);
      const rim = 60 + 140 * random();
      const flares = random() < 0.5;
      const form = { kind: 'taper', rim, foot: flares ? rim * 0.7 : rim * 1.4, height: 50 + 150 * random() } as const;
      const thin = { ...slab, wall: 3 + 3 * random(), base: 3 + 3 * random() };
      const target: Target = {
        ...newTarget('Cup'),
        clay,
        slab: thin,
        size,
        form,
        seam: { kind: 'bevel', angle: 45, panels: 1 + (index % 2) },
        base: bases[index % bases.length] as Base,
        rim: index % 3 === 0 ? 'level' : 'square',
      };
      const back = targetOf(pieceFromArc(tracedTemplate(target), flares ? 'rim' : 'foot', target)).form;
      if (back.kind !== 'taper') throw new Error(back.kind);
      for (const key of ['rim', 'foot', 'height'] as const) expect(Math.abs(back[key] - form[key])).toBeLessThan(1e-6);
    }
  });

  it('with a lap or spare gives its taper back, measured over its long arc, whichever face is up', () => {
    for (const seam of [
      { kind: 'lap', overlap: 14, panels: 1 },
      { kind: 'half-lap', overlap: 9, panels: 2 },
      { kind: 'cut-in-place', margin: 12, panels: 1 },
    ] as const) {
      for (const faceUp of ['inside', 'outside'] as const) {
        const form = { kind: 'taper', rim: 120, foot: 80, height: 90 } as const;
        const target: Target = { ...newTarget('Cup'), form, seam, slab: { ...newTarget('Cup').slab, faceUp } };
        const [wall] = develop(target).parts;
        if (!wall) throw new Error('no wall');
        const [foot, rim] = [tracedEdge(wall, 'foot'), tracedEdge(wall, 'rim')];
        // The sweep as it is ruled: by the length of the whole long arc.
        const template = { inner: foot.radius, outer: rim.radius, sweep: ((rim.length / rim.radius) * 180) / Math.PI };
        const back = targetOf(pieceFromArc(template, 'rim', target)).form;
        if (back.kind !== 'taper') throw new Error(back.kind);
        for (const key of ['rim', 'foot', 'height'] as const) expect(back[key]).toBeCloseTo(form[key], 6);
      }
    }
  });

  it('measured with a ruler by chord, rise and length is the one with those radii', () => {
    for (const [outer, sweep] of [
      [300.136, 78.095],
      [180, 200],
      [120, 30],
    ] as const) {
      const half = (sweep / 2) * (Math.PI / 180);
      const found = readRuledArc({
        chord: 2 * outer * Math.sin(half),
        rise: outer * (1 - Math.cos(half)),
        length: 98.6212,
      });
      if (found.kind !== 'template') throw new Error(found.rule);
      expect(found.template.outer).toBeCloseTo(outer, 9);
      expect(found.template.inner).toBeCloseTo(outer - 98.6212, 9);
      expect(found.template.sweep).toBeCloseTo(sweep, 9);
    }
  });

  it('loses its lap: the same arc lapped makes a narrower piece', () => {
    const template = { inner: 200, outer: 290, sweep: 80 };
    const butt = targetOf(pieceFromArc(template, 'rim', targetWith({ seam: { kind: 'butt', panels: 1 } })));
    const lap = targetOf(pieceFromArc(template, 'rim', targetWith({ seam: { kind: 'lap', overlap: 12, panels: 1 } })));
    if (butt.form.kind !== 'taper' || lap.form.kind !== 'taper') throw new Error('no tapers');
    expect(butt.form.rim - lap.form.rim).toBeCloseTo((0.88 * 12) / Math.PI, 1);
  });

  it.each([
    ['arcs the wrong way round', { inner: 300, outer: 200, sweep: 80 }, /inner radius/],
    ['a whole turn', { inner: 100, outer: 200, sweep: 360 }, /flat/],
    ['no sweep', { inner: 100, outer: 200, sweep: 0 }, /sweep must be more/],
    ['a wall too thick for it', { inner: 5, outer: 100, sweep: 20 }, /nothing inside|thick|greater/],
  ] as const)('says why %s makes nothing', (_, template, rule) => {
    const reversed = pieceFromArc(template, 'rim', newTarget('x'));
    expect(reversed.kind === 'impossible' && reversed.rule).toMatch(rule);
  });

  it.each([
    [{ chord: 0, rise: 10, length: 50 }, /more than 0/],
    [{ chord: 100, rise: 50, length: 60 }, /length must be less/],
  ])('refuses ruler measures that no arc has: %j', (ruled, rule) => {
    const found = readRuledArc(ruled);
    expect(found.kind === 'impossible' && found.rule).toMatch(rule);
  });
});

describe('sliding a template', () => {
  it.each<[LongArc, number]>([
    ['rim', 90],
    ['rim', 140],
    ['foot', 120],
    ['rim', 30 + 2 * 90],
  ])('to a %s of %d mm keeps both radii', (long, wanted) => {
    const owned = { inner: 201.5, outer: 300.1, sweep: 78 };
    const slid = slideArc(owned, wanted, { long, making: targetWith() });
    if (slid.kind !== 'slid') throw new Error(slid.rule);
    expect(slid.target.form.kind === 'taper' && slid.target.form[long]).toBeCloseTo(wanted, 6);
    const again = tracedTemplate(slid.target);
    expect(again.inner).toBeCloseTo(owned.inner, 6);
    expect(again.outer).toBeCloseTo(owned.outer, 6);
    expect(again.sweep).toBeCloseTo(slid.template.sweep, 6);
    expect(slid.tracings.at(-1)?.to).toBeCloseTo(slid.template.sweep, 9);
  });

  it.each([
    [
      78,
      60,
      [
        [0, 78],
        [-18, 60],
      ],
    ],
    [78, 78, [[0, 78]]],
    [
      78,
      100,
      [
        [0, 78],
        [22, 100],
      ],
    ],
    [
      40,
      100,
      [
        [0, 40],
        [40, 80],
        [60, 100],
      ],
    ],
  ])('of %d degrees to %d is traced without a gap, both cuts by the template’s own ends', (owned, wanted, spans) => {
    const all = tracingsOf(owned, wanted);
    expect(all.map(({ from, to }) => [from, to])).toEqual(spans);
    expect([all[0]?.from, all.at(-1)?.to]).toEqual([0, wanted]);
  });

  it.each([60, 78, 100, 200])(
    'to %d degrees is told along both arcs, kept with the piece, and drawn on its wall',
    (sweep) => {
      const owned: ArcTemplate = { inner: 201.5, outer: 300.1, sweep: 78 };
      const steps = tracingSteps(owned, sweep);
      const slid = steps.reduce((sum, { slide }) => sum + slide.outer, 0);
      expect(slid).toBeCloseTo((owned.outer * (sweep - 78) * Math.PI) / 180, 9);
      for (const { slide } of steps) expect(slide.inner * owned.outer).toBeCloseTo(slide.outer * owned.inner, 9);
      const found = pieceFromArc({ ...owned, sweep }, 'rim', targetWith());
      if (found.kind !== 'made') throw new Error(found.rule);
      const kept: Target = { ...found.target, owned };
      expect(checkTarget(kept)).toEqual([]);
      const { parts, checks } = develop(kept);
      const way = tracingWay(kept, parts);
      if (way?.kind !== 'traced') throw new Error('it is not traced');
      expect(way.sweep).toBeCloseTo(sweep, 4);
      expect(way.steps.length).toBe(steps.length);
      expect(checks.map(({ code }) => code)).not.toContain('template-off');
      // Each line across the wall is on the radius: it points to the arcs' centre.
      const wall = parts[0] as Part;
      const { centre } = edgeAt(wall.outline, 0);
      const lines = tracingMarks(wall, way).flatMap((mark) => (mark.kind === 'line' ? [mark] : []));
      expect(lines.length).toBe(sweep === 78 ? 0 : sweep === 200 ? 4 : sweep < 78 ? 0 : 2);
      for (const { from, to } of lines) {
        const [cx, cy] = centre ?? [0, 0];
        expect((from[0] - cx) * (to[1] - cy) - (from[1] - cy) * (to[0] - cx)).toBeCloseTo(0, 4);
      }
    },
  );

  it('is told to be off once the piece has changed, and is refused for another form', () => {
    const found = pieceFromArc({ inner: 201.5, outer: 300.1, sweep: 78 }, 'rim', targetWith());
    if (found.kind !== 'made' || found.target.form.kind !== 'taper') throw new Error('no piece');
    const kept: Target = { ...found.target, owned: { inner: 201.5, outer: 300.1, sweep: 78 } };
    const taller: Target = { ...kept, form: { ...found.target.form, height: found.target.form.height + 5 } };
    expect(develop(taller).checks.map(({ code }) => code)).toContain('template-off');
    const paths = (target: Target) => checkTarget(target).map(({ path }) => path);
    expect(paths({ ...kept, form: { kind: 'cylinder', diameter: 80, height: 90 } })).toEqual(['owned']);
    expect(paths({ ...kept, owned: { inner: 300, outer: 200, sweep: 60 } })).toEqual(['owned.inner']);
    expect(paths({ ...kept, owned: { inner: 100, outer: 200, sweep: 400 } })).toEqual(['owned.sweep']);
  });

  it('says when no sweep does it', () => {
    expect(slideArc({ inner: 100, outer: 150, sweep: 60 }, 2000, { long: 'rim', making: targetWith() }).kind).toBe(
      'impossible',
    );
  });
});
