import { struckOut, type Strike } from './strikes.ts';

const strike = (id: string, of: string, out: boolean, second: number): Strike => ({
  id,
  of,
  out,
  at: new Date(1e12 + 1000 * second).toISOString(),
});

it.each<[string, Strike[], string[]]>([
  ['nothing', [], []],
  ['what was struck out', [strike('1', 'a', true, 0), strike('2', 'b', true, 1)], ['a', 'b']],
  ['not what was put back', [strike('1', 'a', true, 0), strike('2', 'a', false, 1)], []],
  ['by the clock, however it arrives', [strike('2', 'a', false, 1), strike('1', 'a', true, 0)], []],
  ['once, sent twice', [strike('1', 'a', true, 0), strike('1', 'a', true, 0)], ['a']],
  ['of one moment by their ids', [strike('2', 'a', true, 0), strike('1', 'a', false, 0)], ['a']],
])('strikes out %s', (_, strikes, wanted) => {
  expect([...struckOut(strikes)]).toEqual(wanted);
});
