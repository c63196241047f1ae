import { seeded } from '../../seeded.ts';
import { addedStep, inOwnOrder, movedStep, NO_OWN_WORK, withOwnWork, type OwnWork } from './ownWork.ts';
import type { WorkStep } from './workStep.ts';

const step = (id: string, waits = false): WorkStep => ({
  id,
  act: waits ? 'wait' : 'cut',
  title: id,
  says: [],
  tools: [],
  until: '',
  minutes: 1,
  ...(waits && { waits: { until: 'opens', part: { thickness: 5, faces: 'both', cover: 'open' } } }),
});
const CUP = [step('roll'), step('cut'), step('stiffen', true), step('wrap'), step('rim'), step('dry', true)];
const MUG = [...CUP.slice(0, 5), step('handle'), step('join handle'), ...CUP.slice(5)];
const ids = (steps: readonly WorkStep[]) => steps.map(({ id }) => id);

describe('an order of work of her own', () => {
  it('is the usual one until something is changed', () => {
    expect(withOwnWork(CUP, NO_OWN_WORK)).toEqual(CUP);
  });

  it('moves, adds and leaves out, and does the same to a piece that has more steps', () => {
    let own: OwnWork = addedStep(CUP, NO_OWN_WORK, { title: 'Stamp the maker’s mark', minutes: 2 });
    expect(ids(inOwnOrder(CUP, own))).toEqual(['roll', 'cut', 'stiffen', 'wrap', 'rim', 'own 1', 'dry']);
    own = movedStep(CUP, own, { id: 'own 1', by: -1 });
    own = { ...own, left: ['rim'] };
    expect(ids(withOwnWork(CUP, own))).toEqual(['roll', 'cut', 'stiffen', 'wrap', 'own 1', 'dry']);
    expect(ids(withOwnWork(MUG, own))).toEqual([
      'roll',
      'cut',
      'stiffen',
      'wrap',
      'own 1',
      'handle',
      'join handle',
      'dry',
    ]);
    expect(withOwnWork(MUG, own)[4]).toMatchObject({ title: 'Stamp the maker’s mark', minutes: 2 });
    expect(addedStep(CUP, own, { title: 'again', minutes: 1 }).added.map(({ id }) => id)).toEqual(['own 1', 'own 2']);
  });

  it('keeps every step once, whatever was done to it before, for 300 made-up changes', () => {
    const random = seeded(3);
    let own: OwnWork = NO_OWN_WORK;
    for (let index = 0; index < 300; index += 1) {
      const steps = random() < 0.5 ? CUP : MUG;
      const all = inOwnOrder(steps, own);
      const id = all[Math.floor(random() * all.length)]?.id ?? '';
      const doing = random();
      if (doing < 0.1 && own.added.length < 6) own = addedStep(steps, own, { title: `${index}`, minutes: 1 });
      else if (doing < 0.7) own = movedStep(steps, own, { id, by: random() < 0.5 ? -1 : 1 });
      else own = { ...own, left: own.left.includes(id) ? own.left.filter((one) => one !== id) : [...own.left, id] };
      const now = inOwnOrder(steps, own);
      expect(new Set(ids(now)).size).toBe(now.length);
      expect(ids(now).sort()).toEqual([...ids(steps), ...own.added.map((one) => one.id)].sort());
      expect(inOwnOrder(steps, { ...own, order: ids(now) })).toEqual(now);
    }
    expect(movedStep(CUP, NO_OWN_WORK, { id: 'roll', by: -1 })).toEqual(NO_OWN_WORK);
    expect(movedStep(CUP, NO_OWN_WORK, { id: 'nothing', by: 1 })).toEqual(NO_OWN_WORK);
  });
});
