import { develop, developWhole } from '../../piece/develop.ts';
import { validateOutline } from '../../geometry/outline/outline.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { layBlank } from './layBlank.ts';
import { limitsOf } from './limits.ts';
import { ellipse, mould, TRAY } from './moulds.test.helper.ts';
import { proposeDarts } from './proposeDarts.ts';

describe('darts', () => {
  it.each([
    ['tray', TRAY],
    ['oval', mould({ rim: ellipse(320, 210), foot: ellipse(230, 135), depth: 30, wall: 'curved' })],
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
