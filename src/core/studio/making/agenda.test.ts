import { ROOM } from '../drying/air.ts';
import { seeded } from '../../seeded.ts';
import { agendaOf, AGENDA_STATES, type InWork } from './agenda.ts';
import type { Mark } from './making.ts';
import { newlyOpen } from './openings.ts';
import { factorFor } from './waitWindow.ts';
import type { WorkStep } from './workStep.ts';

const PART = { thickness: 6, faces: 'one', cover: 'open', support: 'board' } as const;
const step = (id: string, waits?: WorkStep['waits']): WorkStep => ({
  id,
  act: 'cut',
  title: id,
  says: [],
  tools: [],
  until: '',
  minutes: 1,
  ...(waits && { waits }),
});
const STEPS = [
  step('cut'),
  step('stiffen', { until: 'opens', part: PART }),
  step('join'),
  step('dry', { until: 'dry', part: PART }),
];
const START = Date.UTC(2026, 10, 28, 9);
const HOUR = 3_600_000;
const done = (number: number, id: string, hours = 0, kind: Mark['kind'] = 'done'): Mark => ({
  id: `${number} ${id}`,
  piece: 0,
  number,
  step: id,
  kind,
  at: new Date(START + hours * HOUR).toISOString(),
});
const work = (name: string, count: number, marks: readonly Mark[]): InWork => ({
  making: name,
  piece: 0,
  name,
  count,
  steps: STEPS,
  marks,
  air: ROOM,
});
const agenda = (works: readonly InWork[], hours: number) =>
  agendaOf(works, START + hours * HOUR, (_, { part }) => factorFor(part.cover, []));

describe('the agenda', () => {
  it('is empty when nothing is in work or all is done', () => {
    expect(agenda([], 0)).toEqual([]);
    expect(
      agenda(
        [
          work(
            'cup',
            1,
            STEPS.map(({ id, waits }) => done(1, id, 1, waits?.until === 'dry' ? 'dry' : 'done')),
          ),
        ],
        2,
      ),
    ).toEqual([]);
  });

  it('puts missed and open windows before what can be done at any time, and waits last', () => {
    const works = [
      work('waits', 2, [done(1, 'cut'), done(2, 'cut')]),
      work('to cut', 3, []),
      work('missed', 1, [done(1, 'cut', -6), done(1, 'stiffen', -1, 'too-stiff')]),
      work('open', 1, [done(1, 'cut', -3)]),
    ];
    const lines = agenda(works, 0);
    expect(lines.map(({ name, state }) => [name, state])).toEqual([
      ['missed', 'missed'],
      ['open', 'open'],
      ['to cut', 'act'],
      ['waits', 'waits'],
    ]);
    expect(lines.map(({ numbers, then }) => [numbers.length, then.id])).toEqual([
      [1, 'join'],
      [1, 'join'],
      [3, 'cut'],
      [2, 'join'],
    ]);
  });

  it('parts a batch by where its pieces stand', () => {
    const [first, second] = agenda([work('cup', 4, [done(1, 'cut'), done(2, 'cut')])], 0.1);
    expect([first?.numbers, first?.state, second?.numbers, second?.state]).toEqual([[3, 4], 'act', [1, 2], 'waits']);
  });

  it('says every piece that is not done once, whatever was pressed', () => {
    const random = seeded(4);
    const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)] as T;
    for (let round = 0; round < 100; round += 1) {
      const marks = Array.from({ length: 14 }, (_, index): Mark => ({
        ...done(
          pick([1, 2, 3, 4]),
          pick(STEPS).id,
          8 * random(),
          pick(['done', 'skipped', 'open', 'ready', 'too-stiff', 'wetted', 'again', 'dry'] as const),
        ),
        id: `${round} ${index}`,
      }));
      const lines = agenda([work('cup', 4, marks)], 8);
      const numbers = lines.flatMap((line) => line.numbers);
      expect(new Set(numbers).size).toBe(numbers.length);
      const urgent = lines.map(({ state }) => AGENDA_STATES.indexOf(state));
      expect(urgent).toEqual([...urgent].sort((one, other) => one - other));
    }
  });
});

describe('windows that open', () => {
  it('are told once, when they open, and again only when they are others', () => {
    const works = [work('cup', 2, [done(1, 'cut'), done(2, 'cut', 1)]), work('tray', 1, [])];
    const told = (hours: number, known: ReadonlySet<string>) => newlyOpen(agenda(works, hours), known);
    const early = told(0.2, new Set());
    expect([early.fresh, [...early.open]]).toEqual([[], []]);
    const opened = told(4, early.open);
    expect(opened.fresh.map(({ name }) => name)).toEqual(['cup']);
    expect(told(4.5, opened.open).fresh).toEqual([]);
    // A window that has closed is forgotten: when other pieces wait there, they are told anew.
    expect([...told(30, opened.open).open]).toEqual([]);
  });
});
