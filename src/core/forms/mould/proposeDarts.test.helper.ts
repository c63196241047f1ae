import { developWhole } from '../../piece/develop.ts';
import { validateOutline } from '../../geometry/outline/outline.ts';
import { limitsOf, withinLimits } from './limits.ts';
import type { DrapedTarget } from './draped.ts';
import { proposeDarts } from './proposeDarts.ts';

/** Blanks with this many darts are slow to lay. */
const MANY = 3;

/** Expects darts to be advised just when they are proposed, whatever darts the target has, and the proposed ones to do. */
export function expectAdvised(target: DrapedTarget): void {
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
}
