import { offsetsOf } from '../../forms/mould/draped.ts';
import { formedSize } from '../../bench/ownMould/neededMould.ts';
import { roundBlank } from '../../forms/mould/roundMould.ts';
import { targetWith } from '../../piece/targets.test.helper.ts';
import { bowlFromRound, type RoundAndBowl } from './bowl.ts';

const making = targetWith({ slab: { wall: 6, base: 6, neutralFraction: 0.5 }, clay: { shrinkage: 0.12 } });
const ask = (more: Partial<RoundAndBowl> = {}) =>
  bowlFromRound({ circle: 280, bowl: 190, measured: 'mould', side: 'slump', ...more }, making);

describe('a bowl from a round of clay', () => {
  it('280 across in a mould of 190 comes as high as its cap is deep', () => {
    const found = ask();
    if (found.kind !== 'made' || found.target.form.kind !== 'mould') throw new Error('no bowl');
    const { depth } = found.target.form;
    // As the blank of that mould is worked out along its section.
    expect(2 * roundBlank(found.target.form, offsetsOf(found.target).neutral).lengthTrue).toBeCloseTo(280, 3);
    expect(found.height).toBeCloseTo(formedSize(found.target, 'height'), 9);
    expect(depth).toBeGreaterThan(80);
  });

  it('pressed so that the clay keeps its area comes higher', () => {
    const found = ask({ circle: 240 });
    if (found.kind !== 'made') throw new Error(found.rule);
    expect(found.byArea).toBeGreaterThan(found.height + 3);
  });

  it.each<[RoundAndBowl['side'], RoundAndBowl['measured']]>([
    ['slump', 'mould'],
    ['hump', 'mould'],
    ['slump', 'fired'],
    ['hump', 'fired'],
  ])('%s, by the %s: a larger round comes higher, and the width is the one asked for', (side, measured) => {
    let before = 0;
    for (const circle of [205, 220, 240, 260]) {
      const found = ask({ circle, side, measured, bowl: measured === 'fired' ? 165 : 190 });
      if (found.kind !== 'made') throw new Error(found.rule);
      expect(found.height).toBeGreaterThan(before + 2);
      before = found.height;
      if (measured === 'fired') expect(formedSize(found.target, 'length')).toBeCloseTo(165, 3);
    }
  });

  it('says when the round is too small, and when it would wrap past half a ball', () => {
    const rule = (circle: number) => {
      const found = ask({ circle });
      return found.kind === 'impossible' && found.rule;
    };
    expect(rule(150)).toMatch(/too small/);
    expect(rule(400)).toMatch(/too large/);
    expect(rule(0)).toMatch(/more than 0/);
  });
});
