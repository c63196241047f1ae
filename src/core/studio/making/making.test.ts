import { seeded } from '../../seeded.ts';
import { ROOM } from '../drying/air.ts';
import { FINDINGS, inOrder, MARK_KINDS, nextSpot, progressOf, waitBegan, type Mark, type MarkKind } from './making.ts';
import { courseOf, factorFor, stateAt, waitWindow, withAir } from './waitWindow.ts';
import type { WorkStep } from './workStep.ts';

const PART = { thickness: 6, faces: 'one', cover: 'open', support: 'board' } as const;
const step = (id: string, until?: 'opens' | 'leatherHard' | 'dry'): WorkStep => ({
  id,
  act: until ? 'wait' : 'cut',
  title: id,
  says: [],
  tools: [],
  until: '',
  minutes: 1,
  ...(until && { waits: { until, part: PART } }),
});
const STEPS = [
  step('roll'),
  step('cut'),
  step('stiffen', 'opens'),
  step('join'),
  step('harden', 'leatherHard'),
  step('dry', 'dry'),
];
const TWO = { piece: 0, count: 2 };
const at = (minute: number) => new Date(Date.UTC(2026, 10, 28, 9, minute)).toISOString();
let made = 0;
const mark = (minute: number, id: string, kind: MarkKind, number = 1): Mark => ({
  id: String((made += 1)).padStart(8, '0'),
  piece: 0,
  number,
  step: id,
  kind,
  at: at(minute),
});

describe('the progress of a making', () => {
  it('goes step by step, all pieces of a step before the next one', () => {
    const marks: Mark[] = [];
    const seen: string[] = [];
    for (let minute = 0; minute < 40; minute += 1) {
      const next = nextSpot(STEPS, progressOf(STEPS, TWO, marks));
      if (!next) break;
      seen.push(`${next.step.id} ${next.number}`);
      const until = next.step.waits?.until;
      const kind =
        until === undefined ? 'done' : until === 'opens' ? 'ready' : until === 'dry' ? 'dry' : 'leather-hard';
      marks.push(mark(minute, next.step.id, kind, next.number));
    }
    expect(seen).toEqual(STEPS.flatMap(({ id }) => [`${id} 1`, `${id} 2`]));
  });

  it.each<[string, MarkKind, string]>([
    ['stiffen', 'too-soft', 'open'],
    ['stiffen', 'ready', 'done'],
    ['stiffen', 'too-stiff', 'missed'],
    ['stiffen', 'leather-hard', 'missed'],
    ['stiffen', 'dry', 'missed'],
    ['stiffen', 'done', 'done'],
    ['harden', 'too-soft', 'open'],
    ['harden', 'leather-hard', 'done'],
    ['harden', 'dry', 'done'],
    ['dry', 'leather-hard', 'open'],
    ['dry', 'dry', 'done'],
    ['cut', 'ready', 'open'],
    ['cut', 'skipped', 'skipped'],
  ])('at %s, %s leaves it %s', (id, kind, state) => {
    expect(
      progressOf(STEPS, TWO, [mark(1, id, kind)])
        .get(id)
        ?.map((one) => one.state),
    ).toEqual([state, 'open']);
  });

  it('waits again from when a part was wetted, and begins anew when it is made again', () => {
    const marks = [mark(0, 'roll', 'done'), mark(5, 'cut', 'done'), mark(90, 'stiffen', 'too-stiff')];
    const began = (list: readonly Mark[]) =>
      waitBegan(STEPS, progressOf(STEPS, TWO, list), { step: 'stiffen', number: 1 });
    expect(began(marks)).toBe(at(5));
    const wetted = [...marks, mark(95, 'stiffen', 'wetted')];
    expect(began(wetted)).toBe(at(95));
    expect(nextSpot(STEPS, progressOf(STEPS, { piece: 0, count: 1 }, wetted))?.step.id).toBe('stiffen');
    const again = [...wetted, mark(99, 'stiffen', 'again')];
    expect(began(again)).toBeNull();
    expect(nextSpot(STEPS, progressOf(STEPS, { piece: 0, count: 1 }, again))?.step.id).toBe('roll');
  });

  it('is the same whatever the order in which marks arrive, and however often', () => {
    const random = seeded(17);
    const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)] as T;
    for (let round = 0; round < 200; round += 1) {
      // Two tablets, many of their marks in the same minute.
      const marks = Array.from({ length: 30 }, () =>
        mark(Math.floor(random() * 8), pick(STEPS).id, pick(MARK_KINDS), pick([1, 2, 3])),
      );
      const shuffled = [...marks, ...marks.slice(0, 9)].sort(() => random() - 0.5);
      const once = [...new Map(shuffled.map((one) => [one.id, one])).values()];
      expect(progressOf(STEPS, TWO, once)).toEqual(progressOf(STEPS, TWO, marks));
      expect(inOrder(once)).toEqual(inOrder(marks));
    }
  });
});

describe('a waiting window', () => {
  const waiting = STEPS[2]?.waits ?? { until: 'opens', part: PART };
  const began = Date.UTC(2026, 10, 28, 9);

  it('opens, is best and closes in this order, and says what a moment is in it', () => {
    const window = waitWindow(waiting, { began, air: ROOM, factor: factorFor('open', []) });
    const [opens, closes] = [window.opens?.usual ?? 0, window.closes?.usual ?? 0];
    expect([began, opens, window.best ?? 0, closes]).toEqual(
      [began, opens, window.best ?? 0, closes].sort((a, b) => a - b),
    );
    expect([began, opens + 1, closes - 60_000, closes].map((now) => stateAt(window, now))).toEqual([
      'waits',
      'open',
      'closing',
      'past',
    ]);
    expect(
      waitWindow({ until: 'dry', part: PART }, { began, air: ROOM, factor: factorFor('open', []) }).closes,
    ).toBeNull();
  });

  it('moves by what hands find: always found too soft, it opens later; too stiff, sooner', () => {
    const found = (kind: MarkKind, hours: number): Mark[] =>
      [1, 2, 3, 4].map((number) => ({ ...mark(number, 'stiffen', kind, number), drying: { part: PART, hours } }));
    const plain = waitWindow(waiting, { began, air: ROOM, factor: factorFor('open', []) });
    const hours = ((plain.opens?.usual ?? 0) - began) / 3_600_000;
    const opensAfter = (marks: readonly Mark[]) =>
      waitWindow(waiting, { began, air: ROOM, factor: factorFor('open', withAir(marks, ROOM)) }).opens?.usual ?? 0;
    expect(opensAfter(found('too-soft', 1.3 * hours))).toBeGreaterThan(plain.opens?.usual ?? 0);
    expect(opensAfter(found('too-stiff', 1.5 * hours))).toBeLessThan(plain.opens?.usual ?? 0);
    expect(factorFor('cloth', withAir(found('too-soft', 1.3 * hours), ROOM)).marks).toBe(0);
    expect(FINDINGS.opens).toContain('ready');
  });

  it('learns from each mark in the air of its own making', () => {
    const fan = { temperature: 26, humidity: 0.35, speed: 'fan' } as const;
    const { opens, closes } = courseOf(PART, fan).reached;
    const hours = ((opens ?? 0) + (closes ?? 0)) / 2;
    const marks = [1, 2, 3, 4, 5, 6].map((number) => ({
      ...mark(number, 'stiffen', 'ready', number),
      drying: { part: PART, hours },
    }));
    expect(factorFor('open', withAir(marks, fan)).usual).toBeGreaterThan(0.7);
    expect(factorFor('open', withAir(marks, fan)).usual).toBeLessThan(1.4);
    // In the air of a still room the same hours would say that this clay dries much faster than the model.
    expect(factorFor('open', withAir(marks, ROOM)).usual).toBeLessThan(0.5);
  });
});
