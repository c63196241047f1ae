import { newTarget } from '../core/target/target.ts';
import { readTargetText } from './targetSchema.ts';

const read = (form: object) => readTargetText(JSON.stringify({ ...newTarget('Fruit bowl'), form }));
const PROFILE = [
  [0, 60],
  [50, 70],
];

describe('gores in a file', () => {
  it.each([
    ['a profile', { profile: PROFILE }],
    ['a ball with its foot and height', { ball: 168, foot: 84, height: 88 }],
  ])('are read by %s, just as they were written', (_, own) => {
    const form = { kind: 'gores', strips: 8, ...own };
    expect(read(form)).toMatchObject({ kind: 'target', target: { form } });
  });

  it.each([
    ['neither', {}, 'form', /a profile, or a ball/],
    ['both', { profile: PROFILE, ball: 168, foot: 84, height: 88 }, 'form', /not both/],
    ['a ball alone', { ball: 168 }, 'form', /together/],
    ['a ball without its height', { ball: 168, foot: 84 }, 'form', /together/],
    ['a foot beside a profile', { profile: PROFILE, foot: 84 }, 'form', /together/],
    ['one point', { profile: [[0, 60]] }, 'form.profile', /at least 2/],
    ['a point of three figures', { profile: [[0, 60, 1], PROFILE[1]] }, 'form.profile.0', /2 items/],
    ['words', { ball: 'wide', foot: 84, height: 88 }, 'form.ball', /number/],
    ['no strips', { strips: undefined, profile: PROFILE }, 'form.strips', /required|needed|must/],
  ])('are refused with %s', (_, own, path, rule) => {
    const reading = read({ kind: 'gores', strips: 8, ...own });
    if (reading.kind !== 'faults') throw new Error('it was read');
    expect(reading.faults[0]).toMatchObject({ path, rule: expect.stringMatching(rule) as string });
  });

  it.each(['ball', 'strips'])('have their own key %s, which no other form takes', (key) => {
    const reading = read({ kind: 'cylinder', diameter: 80, height: 90, [key]: 8 });
    expect(reading).toMatchObject({ kind: 'faults', faults: [{ path: `form.${key}` }] });
  });
});
