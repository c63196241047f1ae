import { develop, developWhole } from '../../piece/develop.ts';
import { validateOutline } from '../../geometry/outline/outline.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { layBlank } from './layBlank.ts';
import { limitsOf, withinLimits } from './limits.ts';
import { circle, ellipse, mould, TRAY } from './moulds.test.helper.ts';
import { proposeDarts } from './proposeDarts.ts';

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
    ['bowl', mould({ rim: circle(240), depth: 90, wall: 'dome' })],
    ['shallow bowl', mould({ rim: circle(240), depth: 40, wall: 'dome' })],
    ['shell', mould({ rim: circle(300), depth: 12, wall: 'dome' })],
    [
      'half a sphere of stiff clay',
      {
        ...mould({ rim: circle(180), depth: 88, wall: 'dome' }),
        clay: { shrinkage: 0.1, wetDensity: 1.9, stiffness: 'stiff' as const },
      },
    ],
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
        const titles = {
          darts: 'Needs darts',
          'none-needed': 'Better without these darts',
          'too-deep': 'Make it from sections instead',
          stopped: '',
        };
        expect(drape?.title).toBe(titles[proposal.kind]);
        if (darts.length === 1) expect(drape?.text).toMatch(/at the (tips of its|rim between its) darts/);
      }
      if (darts === own && own.length > 0) expect(within).toBe(true);
    }
  });

  it('keep equal sides wherever they are dragged, and say when they cannot be cut', () => {
    const askew = [
      { at: 12, depth: 45 },
      { at: 71, depth: 62 },
      { at: 250, depth: 38 },
    ];
    const { blank } = developWhole(mould({ ...(TRAY.form as MouldForm), darts: askew }));
    expect(blank?.darts).toHaveLength(3);
    for (const [left, right] of blank?.darts ?? []) expect(Math.abs(left - right)).toBeLessThan(0.1);
    const crossed = mould({
      ...(TRAY.form as MouldForm),
      darts: [
        { at: 0, depth: 150 },
        { at: 90, depth: 150 },
      ],
    });
    const found = develop(crossed).checks.filter(({ code }) => code === 'dart-missed');
    expect(found.length + (develop(crossed).blank?.darts.length ?? 0)).toBe(2);
  });
});
