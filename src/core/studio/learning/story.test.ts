import type { WorkStep } from '../making/workStep.ts';
import { joinedInTime, numbersText, storyOf, type StoryOf } from './story.ts';

const step = (id: string, until?: 'opens' | 'dry'): WorkStep => ({
  id,
  act: until ? 'wait' : 'cut',
  title: id,
  says: [],
  tools: [],
  until: '',
  minutes: 1,
  ...(until && { waits: { until, part: { thickness: 5, faces: 'both', cover: 'open' } } }),
});
let made = 0;
const at = (number: number, where = 'records') => ({
  id: `${(made += 1)}`,
  piece: 0,
  number,
  step: where,
  at: `2026-11-02T08:00:${String(made).padStart(2, '0')}Z`,
});
const OF: StoryOf = {
  count: 4,
  steps: [step('stiffen', 'opens'), step('join'), step('bone dry', 'dry')],
  marks: [
    { ...at(1, 'stiffen'), kind: 'too-soft' },
    { ...at(1, 'stiffen'), kind: 'ready' },
    { ...at(2, 'stiffen'), kind: 'too-stiff' },
    { ...at(2, 'stiffen'), kind: 'ready' },
    { ...at(3, 'bone dry'), kind: 'dry' },
  ],
  measurements: [
    { ...at(1), what: 'rim', state: 'fired', value: 48 },
    { ...at(1), what: 'rim', state: 'fired', value: 84 },
    { ...at(2), what: 'rim', state: 'fired', value: 83 },
    { ...at(1), what: 'rim', value: 95.5 },
    { ...at(1), what: 'weight', state: 'fired', value: 350 },
  ],
  faults: [
    { ...at(2), kind: 'warped' },
    { ...at(4), kind: 'warped' },
  ],
  notes: [{ ...at(3), text: 'Soft.' }],
  planned: { sizes: { rim: 84, weight: 352 }, clay: { wet: 400, away: 0 }, room: 800, wrap: null },
  shrinkage: 0.12,
};

it.each([
  [1, true],
  [2, false],
  [3, null],
])('piece %d was joined in time: %s', (number, wanted) => {
  expect(
    joinedInTime(
      OF.steps,
      OF.marks.filter((mark) => mark.number === number),
    ),
  ).toBe(wanted);
});

describe('a story', () => {
  const story = storyOf(OF);

  it('tells each size in its states beside what was planned; the newest reading counts', () => {
    expect(story.sizes).toEqual([
      {
        what: 'rim',
        planned: { wet: expect.closeTo(95.4545, 3), fired: 84 },
        measured: {
          wet: { count: 1, middle: 95.5, least: 95.5, greatest: 95.5 },
          fired: { count: 2, middle: 83.5, least: 83, greatest: 84 },
        },
      },
      {
        what: 'weight',
        planned: { fired: 352 },
        measured: { fired: { count: 1, middle: 350, least: 350, greatest: 350 } },
      },
    ]);
  });

  it('tells windows that were kept and missed, faults by the pieces that have them, and notes', () => {
    expect(story).toMatchObject({
      kept: [1],
      missed: [2],
      faults: [{ kind: 'warped', numbers: [2, 4] }],
      notes: [{ number: 3, text: 'Soft.' }],
    });
  });

  it.each([
    [[], ''],
    [[3], '3'],
    [[1, 2], '1 and 2'],
    [[1, 2, 3, 5, 7, 8], '1 to 3, 5, 7 and 8'],
    [[2, 3, 4], '2 to 4'],
  ])('writes %j as “%s”', (numbers, text) => expect(numbersText(numbers)).toBe(text));
});
