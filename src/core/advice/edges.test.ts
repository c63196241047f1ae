import { once } from '../numbers.ts';
import { develop } from '../piece/develop.ts';
import { targetsOfEveryKind } from '../piece/everyKind.test.helper.ts';
import { level } from '../piece/targets.test.helper.ts';
import { STRAIN_LIMITS } from '../target/mouldForm.ts';
import { STIFFNESSES, type Form, type Stiffness, type Target } from '../target/target.ts';
import { checkTarget } from '../forms/checkTarget.ts';

const withClay = (target: Target, stiffness: Stiffness): Target => ({
  ...target,
  clay: { ...target.clay, stiffness },
});
const developed = once((target: Target) => develop(target));
const adviceOn = (target: Target) => developed(target).checks.find(({ code }) => code === 'edge-gather');

describe('advice on the edges of strips', () => {
  const gores = targetsOfEveryKind(431, 60, { kinds: ['gores'] }).filter((target) => checkTarget(target).length === 0);
  const ofClay = new Map(STIFFNESSES.map((one) => [one, gores.map((target) => withClay(target, one))]));

  it.each(STIFFNESSES)('of %s clay takes care just where they gather more than it takes', (stiffness) => {
    const limit = STRAIN_LIMITS[stiffness].gather;
    for (const target of ofClay.get(stiffness) ?? []) {
      const { edgeGather = NaN, edgeExcess = NaN } = developed(target).numbers;
      const check = adviceOn(target);
      expect(check?.level).toBe(edgeGather <= limit ? 'note' : 'care');
      expect(check?.phrase).toContainEqual({ percent: 100 * edgeGather });
      expect(check?.phrase).toContainEqual({ mm: edgeExcess });
    }
  });

  it('names a number of strips that gather little enough, or says that none does', () => {
    let [named, none] = [0, 0];
    for (const plain of [...ofClay.values()].flat()) {
      const check = adviceOn(plain);
      if (check?.level !== 'care' || plain.form.kind !== 'gores') continue;
      const limit = STRAIN_LIMITS[plain.clay.stiffness ?? 'medium'].gather;
      const gatherOf = (strips: number) =>
        develop({ ...plain, form: { ...plain.form, strips } as Form }).numbers.edgeGather ?? NaN;
      const said = /Cut (\d+) strips/.exec(check.text)?.[1];
      if (said === undefined) {
        none += 1;
        expect(check.text).toMatch(/Even 16 strips gather more/);
        expect(gatherOf(16)).toBeGreaterThan(0.97 * limit);
      } else {
        named += 1;
        // What gathers goes with the square of a strip's width, but for a little.
        expect(gatherOf(Number(said))).toBeLessThan(1.03 * limit);
        expect(Number(said)).toBeGreaterThan(plain.form.strips);
      }
    }
    expect(Math.min(named, none)).toBeGreaterThan(5);
  });

  it.each<[string, Form]>([
    ['a tumbler', { kind: 'cylinder', diameter: 84, height: 110 }],
    ['a cup', { kind: 'taper', rim: 112, foot: 74, height: 78 }],
    ['a salt box', { kind: 'facet', sides: 6, rim: 84, foot: 70, height: 92, fold: 'separate' }],
  ])('is not given on %s', (_, form) => {
    expect(adviceOn(level(form))).toBeUndefined();
  });

  it('says that a lap is left out: strips meet edge to edge', () => {
    const bowl: Form = { kind: 'gores', strips: 12, ball: 168, foot: 84, height: 88 };
    const lap = level(bowl, { seam: { kind: 'lap', overlap: 10, panels: 1 } });
    const butt = level(bowl, { seam: { kind: 'butt', panels: 1 } });
    const codes = (target: Target) => develop(target).checks.map(({ code }) => code);
    expect(codes(lap)).toContain('seam-unused');
    expect(codes(butt)).not.toContain('seam-unused');
    expect(develop(lap).parts).toEqual(develop(butt).parts);
    expect(codes(level(bowl, { seam: { kind: 'butt', panels: 2 } }))).toContain('seam-unused');
  });
});
