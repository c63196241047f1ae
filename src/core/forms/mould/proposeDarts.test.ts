import { developWhole } from '../../piece/develop.ts';
import { validateOutline } from '../../geometry/outline/outline.ts';
import { limitsOf, withinLimits } from './limits.ts';
import { circle, mould } from './moulds.test.helper.ts';
import { proposeDarts } from './proposeDarts.ts';

/** Blanks with this many darts are slow to lay. */
const MANY = 3;

describe('darts', () => {
  it.each([
    ['bowl', mould({ rim: circle(240), depth: 70, wall: 'dome' })],
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
    const some = own.length < MANY ? [[], [{ at: 45, depth: 40 }], own] : [[], own];
    for (const darts of some) {
      const darted = { ...target, form: { ...target.form, darts } };
      const { checks, blank, parts } = developWhole(darted);
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
      if (darts !== own || own.length === 0) continue;
      expect(within).toBe(true);
      for (const [left, right] of blank?.darts ?? []) expect(Math.abs(left - right)).toBeLessThan(0.1);
      expect(validateOutline(parts[0]?.outline ?? [])).toEqual([]);
    }
  });
});
