import { howFar } from './howFar.ts';
import type { Mark, MarkKind } from './making.ts';
import type { WorkStep } from './workStep.ts';

const step = (id: string): WorkStep => ({ id, act: 'cut', title: id, says: [], tools: [], until: '', minutes: 1 });
const STEPS = [step('roll'), step('cut'), step('join')];
let made = 0;
const mark = (id: string, number: number, kind: MarkKind = 'done', piece = 1): Mark => ({
  id: String((made += 1)),
  piece,
  number,
  step: id,
  kind,
  at: new Date(made * 1000).toISOString(),
});

it.each<[string, Mark[], number, number]>([
  ['nothing', [], 0, 0],
  ['acts of another kind', [mark('roll', 1, 'done', 0)], 0, 0],
  ['a step of both', [mark('roll', 1), mark('roll', 2)], 2, 0],
  ['a step that was passed over', [mark('roll', 1), mark('cut', 1, 'skipped'), mark('join', 1)], 3, 1],
  ['one that was opened again', [mark('roll', 1), mark('cut', 1), mark('join', 1), mark('join', 1, 'open')], 2, 0],
  ['all', STEPS.flatMap(({ id }) => [mark(id, 1), mark(id, 2)]), 6, 2],
])('counts %s', (_, marks, done, ready) => {
  expect(howFar({ steps: STEPS, count: 2 }, 1, marks)).toEqual({ done, acts: 6, ready, pieces: 2 });
});
