import { develop, developWhole } from '../piece/develop.ts';
import { validateOutline } from '../outline/outline.ts';
import { baseOf } from './blank.ts';
import { bestDarted, flatDepths, readingOf } from './dartDepth.ts';
import { faceMesh } from './draped.ts';
import type { Dart, MouldForm } from './mouldForm.ts';
import { BLANK_VERTICES, layBlank } from './layBlank.ts';
import { limitsOf, withinLimits } from './limits.ts';
import { circle, ellipse, mould, rounded, TRAY } from './moulds.test.helper.ts';
import { proposeDarts } from './proposeDarts.ts';

/** Darts of one depth (mm), evenly round the rim. */
function evenDarts(count: number, depth: number): Dart[] {
  return Array.from({ length: count }, (_, index) => ({ at: (45 + (360 * index) / count) % 360, depth }));
}

describe('darts', () => {
  it.each([
    ['tray', TRAY],
    ['oval', mould({ rim: ellipse(320, 210), foot: ellipse(230, 135), depth: 30, wall: 'curved' })],
    ['bowl', mould({ rim: circle(220), depth: 60, wall: 'dome' })],
  ])('are proposed for a %s until no place is over its limit, their sides equal', (_, target) => {
    const limit = limitsOf(target).gather;
    expect(layBlank(target, 'fine').strain.most.gather).toBeGreaterThan(limit);
    const proposal = proposeDarts(target);
    expect(proposal.kind).toBe('darts');
    const darts = proposal.kind === 'darts' ? proposal.darts : [];
    const developed = developWhole({ ...target, form: { ...target.form, darts } });
    expect(developed.blank?.gather).toBeLessThanOrEqual(limit);
    expect(developed.blank?.darts).toHaveLength(darts.length);
    for (const [left, right] of developed.blank?.darts ?? []) expect(Math.abs(left - right)).toBeLessThan(0.1);
    expect(validateOutline(developed.parts[0]?.outline ?? [])).toEqual([]);
  });

  it.each([
    ['bowl', [1, 6], mould({ rim: circle(240), depth: 90, wall: 'dome' })],
    ['half a sphere', [1, 12], mould({ rim: circle(180), depth: 88, wall: 'dome' })],
    ['cone', [1, 2, 3], mould({ rim: circle(240), foot: circle(140), depth: 60, wall: 'straight' })],
    ['tray', [1, 6], mould({ rim: rounded(320, 210, 50), foot: rounded(270, 160, 34), depth: 45, wall: 'straight' })],
    ['oval', [1, 6], mould({ rim: ellipse(320, 210), foot: ellipse(240, 140), depth: 50, wall: 'curved' })],
  ])('never read worse on a %s for being deeper', (_, counts, target) => {
    const base = baseOf(faceMesh(target, 'neutral', BLANK_VERTICES.fine));
    const feel = { thickness: target.slab.wall, limits: limitsOf(target) };
    for (const count of counts) {
      let [least, distortion] = [Infinity, Infinity];
      for (const depth of [0, 15, 45, 65, 85, 115]) {
        const darts = evenDarts(depth > 0 ? count : 0, depth);
        const blank = bestDarted(base, darts, feel);
        if (!blank.cutTo) expect(blank.distortion).toBeLessThan(1.01 * distortion);
        distortion = Math.min(distortion, blank.distortion);
        const reading = readingOf(blank, limitsOf(target));
        // Between the depths that are tried about the floor's edge a dart may read worse by so much of what the clay takes.
        expect(reading).toBeLessThan(least + 0.01);
        least = Math.min(least, reading);
      }
    }
  });

  it('are cut no further past the edge of the floor than it helps, and the blank says how far', () => {
    const cone = mould({ rim: circle(240), foot: circle(140), depth: 60, wall: 'straight' });
    const feel = { thickness: cone.slab.wall, limits: limitsOf(cone) };
    const base = baseOf(faceMesh(cone, 'neutral', BLANK_VERTICES.fine));
    const laid = [110, 120, 130].map((depth) => bestDarted(base, evenDarts(2, depth), feel));
    for (const blank of laid) {
      const flat = flatDepths(blank, 2);
      // 78.1 mm of wall, less what the slab's middle lies nearer to the floor, and the flat sides are longer.
      flat.forEach((depth, index) => {
        expect(depth).toBeGreaterThan(85);
        expect(depth).toBeLessThan(100);
        expect(blank.cutTo?.[index]).toBeCloseTo(depth, 9);
      });
    }
    expect(new Set(laid.map((blank) => readingOf(blank, feel.limits))).size).toBe(1);
    const { checks } = developWhole({ ...cone, form: { ...cone.form, darts: evenDarts(2, 120) } });
    expect(checks.find(({ code }) => code === 'dart-shorter')?.text).toMatch(
      /^Darts A and B are cut (8|9)\d\.\d mm deep/,
    );
    expect(bestDarted(base, evenDarts(2, 60), feel).cutTo).toBeUndefined();
  });

  it.each([
    ['bowl', 1, mould({ rim: circle(240), depth: 90, wall: 'dome' })],
    ['half a sphere', 5, mould({ rim: circle(180), depth: 88, wall: 'dome' })],
    ['cone', 3, mould({ rim: circle(240), foot: circle(140), depth: 60, wall: 'straight' })],
    ['oval', 4, mould({ rim: ellipse(320, 210), foot: ellipse(240, 140), depth: 50, wall: 'curved' })],
  ])('are as deep on the flat blank of a %s as was asked for, within a quarter of a millimetre', (_, count, target) => {
    const feel = { thickness: target.slab.wall, limits: limitsOf(target) };
    const base = baseOf(faceMesh(target, 'neutral', BLANK_VERTICES.fine));
    for (const depth of [22.7, 47.3]) {
      const flat = flatDepths(bestDarted(base, evenDarts(count, depth), feel), count);
      for (const found of flat) expect(Math.abs(found - depth)).toBeLessThan(0.25);
    }
  });

  it.each([
    ['bowl', mould({ rim: circle(240), depth: 90, wall: 'dome' })],
    ['shallow bowl', mould({ rim: circle(240), depth: 40, wall: 'dome' })],
    ['shell', mould({ rim: circle(300), depth: 12, wall: 'dome' })],
    ['half a sphere of stiff clay', { ...mould({ rim: circle(180), depth: 88, wall: 'dome' }), clay: { shrinkage: 0.1, wetDensity: 1.9, stiffness: 'stiff' as const } }], // prettier-ignore
    ['cone', mould({ rim: circle(240), foot: circle(140), depth: 60, wall: 'straight' })],
  ])('are advised for a %s just when they are proposed, whatever darts it has', (_, target) => {
    const proposal = proposeDarts(target);
    const own = proposal.kind === 'darts' ? proposal.darts : [];
    for (const darts of [[], [{ at: 45, depth: 40 }], own]) {
      const darted = { ...target, form: { ...target.form, darts } };
      const { checks, blank } = developWhole(darted);
      const drape = checks.find(({ code }) => code === 'drape');
      const within = withinLimits({ stretch: blank?.stretch ?? 1, gather: blank?.gather ?? 1 }, limitsOf(target));
      expect(/^(Lies|Works)/.test(drape?.title ?? '')).toBe(within);
      if (darts.length === 0) expect(within).toBe(proposal.kind === 'none-needed');
      if (!within) {
        const titles = { darts: 'Needs darts', 'none-needed': 'Better without these darts', 'too-deep': 'Make it from sections instead', stopped: '' }; // prettier-ignore
        expect(drape?.title).toBe(titles[proposal.kind]);
        if (darts.length === 1) expect(drape?.text).toMatch(/at the (tips of its|rim between its) darts/);
      }
      if (darts === own && own.length > 0) expect(within).toBe(true);
    }
  });

  it('keep equal sides wherever they are dragged, and say when they cannot be cut', () => {
    const askew = [{ at: 12, depth: 45 }, { at: 71, depth: 62 }, { at: 250, depth: 38 }]; // prettier-ignore
    const { blank } = developWhole(mould({ ...(TRAY.form as MouldForm), darts: askew }));
    expect(blank?.darts).toHaveLength(3);
    for (const [left, right] of blank?.darts ?? []) expect(Math.abs(left - right)).toBeLessThan(0.1);
    const crossed = mould({ ...(TRAY.form as MouldForm), darts: [{ at: 0, depth: 150 }, { at: 90, depth: 150 }] }); // prettier-ignore
    const found = develop(crossed).checks.filter(({ code }) => code === 'dart-missed');
    expect(found.length + (develop(crossed).blank?.darts.length ?? 0)).toBe(2);
  });
});
