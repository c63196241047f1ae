import { develop, developWhole } from '../piece/develop.ts';
import { validateOutline } from '../outline/outline.ts';
import { baseOf, dartedOf, dartLine, type Blank } from './blank.ts';
import { cutMesh } from './cutMesh.ts';
import { bestDarted, readingOf } from './dartDepth.ts';
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
    const base = baseOf(faceMesh(target, 'neutral', 1500));
    const feel = { thickness: target.slab.wall, limits: limitsOf(target) };
    for (const count of counts) {
      let [least, distortion] = [Infinity, Infinity];
      for (const depth of [0, 15, 40, 55, 70, 85, 115]) {
        const darts = evenDarts(depth > 0 ? count : 0, depth);
        const blank = bestDarted(base, darts, feel);
        if (!blank.cutTo) expect(blank.distortion).toBeLessThan(1.01 * distortion);
        distortion = Math.min(distortion, blank.distortion);
        const reading = readingOf(blank, limitsOf(target));
        // What is left is where the mesh's places lie about a tip: with four times the vertices it is under a hundredth.
        expect(reading).toBeLessThan(least + 0.03);
        least = Math.min(least, reading);
      }
    }
  });

  it('are cut no further past the edge of the floor than it helps, and the blank says how far', () => {
    const cone = mould({ rim: circle(240), foot: circle(140), depth: 60, wall: 'straight' });
    const feel = { thickness: cone.slab.wall, limits: limitsOf(cone) };
    const base = baseOf(faceMesh(cone, 'neutral', BLANK_VERTICES.fine));
    const laid = [100, 110, 120].map((depth) => bestDarted(base, evenDarts(2, depth), feel));
    // 78.1 mm of wall, less what the slab's middle lies nearer to the floor.
    for (const { cutTo } of laid) expect(cutTo).toEqual([90, 90]);
    expect(new Set(laid.map((blank) => readingOf(blank, feel.limits))).size).toBe(1);
    expect(readingOf(dartedOf(base, evenDarts(2, 120), cone.slab.wall), feel.limits)).toBeGreaterThan(
      readingOf(laid[0] as Blank, feel.limits),
    );
    const { checks } = developWhole({ ...cone, form: { ...cone.form, darts: evenDarts(2, 120) } });
    expect(checks.find(({ code }) => code === 'dart-shorter')?.text).toMatch(/^Darts A and B are cut 9\d\.\d mm deep/);
    expect(bestDarted(base, evenDarts(2, 60), feel).cutTo).toBeUndefined();
  });

  it.each([20, 47.3, 61.1, 88.8])('are %f mm deep when that is asked for', (depth) => {
    const bowl = mould({ rim: circle(240), depth: 90, wall: 'dome' });
    const base = baseOf(faceMesh(bowl, 'neutral', 1500));
    const laid = cutMesh(base, dartLine(base, base.border, { at: 17, depth }));
    if (!laid) throw new Error('not cut');
    const [mouth, tip] = [laid.cut.left[0], laid.cut.left.at(-1)] as [number, number];
    const apart = [0, 1].map((axis) => (laid.uv[2 * tip + axis] as number) - (laid.uv[2 * mouth + axis] as number));
    expect(Math.abs(Math.hypot(...apart) - depth)).toBeLessThan(0.05);
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
