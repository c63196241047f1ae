import { dryingAlike, waitingParts } from './waitingParts.ts';
import type { WorkStep } from './workStep.ts';

const part = (name: string, thickness: number) => ({ id: name.toLowerCase(), name, thickness });

it.each([
  ['nothing', [], []],
  ['one part', [part('Wall', 6)], ['Wall 6']],
  ['parts of one thickness', [part('Wall', 6), part('Base', 6)], ['Wall and base 6']],
  [
    'three of one, and another',
    [part('Wall', 6), part('Base', 6), part('Lid', 6), part('Handle', 12)],
    ['Wall, base and lid 6', 'Handle 12'],
  ],
  ['the same part twice', [part('Panel', 5), part('Panel', 5), part('Base', 8)], ['Panel 5', 'Base 8']],
])('%s: told together where they dry alike', (_, parts, told) => {
  expect(dryingAlike(parts).map(({ name, thickness }) => `${name} ${thickness}`)).toEqual(told);
});

const wait = (id: string, until: 'opens' | 'leatherHard' | 'dry'): WorkStep => ({
  id,
  act: 'wait',
  title: id,
  says: [],
  tools: [],
  until: '',
  minutes: 1,
  waits: { until, part: { thickness: 6, faces: 'both', cover: 'cloth' } },
});

it.each([
  ['stiffen', 'opens', ['wall', 'base']],
  ['slowly', 'leatherHard', ['wall', 'base', 'handle', 'lid']],
  ['dry', 'dry', ['wall', 'base', 'handle', 'lid']],
  ['handle firms', 'opens', []],
] as const)('at "%s" these wait side by side', (id, until, waiting) => {
  const parts = [
    ...['Wall', 'Base', 'Handle', 'Lid'].map((name) => part(name, 6)),
    { id: 'sleeve-paper', name: 'Paper', thickness: 0 },
  ];
  expect(waitingParts(wait(id, until), parts).map((one) => one.id)).toEqual(waiting);
});
