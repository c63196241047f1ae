import { readFileSync } from 'node:fs';
import type { Entries } from '../contract/makings.ts';
import type { WorkStep } from '../core/studio/making/workStep.ts';

/** A design of the demo. */
export const TARGET = JSON.parse(readFileSync('demo/01-rack-tumbler.fawn.json', 'utf8')) as { name: string };

/** A slab is rolled, and stiffens. */
export const STEPS: readonly WorkStep[] = [
  {
    id: 'roll',
    act: 'roll',
    title: 'Roll the slab',
    says: [['Roll to ', { mm: 6 }, '.']],
    tools: ['pin'],
    until: 'It fits.',
    minutes: 5,
  },
  {
    id: 'stiffen',
    act: 'wait',
    title: 'Let it stiffen',
    says: [],
    tools: [],
    until: 'It bends.',
    minutes: 1,
    waits: { until: 'opens', part: { thickness: 6, faces: 'one', cover: 'open' } },
  },
];

/** When the makings of the tests began. */
export const AT = '2026-11-28T09:05:00.000Z';

/** No entries of any kind. */
export const NONE: Entries = { marks: [], measurements: [], faults: [], notes: [], strikes: [], critiques: [] };
