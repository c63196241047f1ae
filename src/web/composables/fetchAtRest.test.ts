import { effectScope, type EffectScope } from 'vue';
import type { fetchAtRest as FetchAtRest } from './fetchAtRest.ts';

/** Until the first part may be fetched (ms). */
const DELAY = 3000;
/** No key for so long is a rest (ms). */
const REST = 1000;

const page = Object.assign(new EventTarget(), { document: new EventTarget() });
let fetchAtRest: typeof FetchAtRest;
let scope: EffectScope;
const fetched: string[] = [];
const whole = jest.fn();
const part = (name: string) => async () => {
  fetched.push(name);
  if (name === 'broken') throw new Error('not there');
};

beforeAll(() => {
  Object.assign(globalThis, { window: page, document: page.document });
  // The package looks for a window when it is read.
  ({ fetchAtRest } = jest.requireActual<{ fetchAtRest: typeof FetchAtRest }>('./fetchAtRest.ts'));
});
afterAll(() => ['window', 'document'].forEach((name) => Reflect.deleteProperty(globalThis, name)));
beforeEach(() => {
  jest.useFakeTimers();
  fetched.length = 0;
  whole.mockClear();
  scope = effectScope();
  scope.run(() => fetchAtRest(['one', 'broken', 'two'].map(part), DELAY, whole));
});
afterEach(() => {
  scope.stop();
  jest.useRealTimers();
});

const key = () => page.dispatchEvent(new Event('keydown'));

describe('parts that are fetched at rest', () => {
  it('come one after another after the delay, also where one cannot be fetched; then it is told', async () => {
    await jest.advanceTimersByTimeAsync(DELAY - 1);
    expect(fetched).toEqual([]);
    await jest.advanceTimersByTimeAsync(50);
    expect(fetched).toEqual(['one', 'broken', 'two']);
    expect(whole).toHaveBeenCalledTimes(1);
  });

  it('wait while keys come, however many', async () => {
    for (let time = 0; time < 100; time += 1) {
      key();
      await jest.advanceTimersByTimeAsync(REST - 200);
    }
    expect(fetched).toEqual([]);
    await jest.advanceTimersByTimeAsync(REST + 50);
    expect(fetched).toEqual(['one', 'broken', 'two']);
  });

  it('are not fetched once the component has gone', async () => {
    await jest.advanceTimersByTimeAsync(DELAY - 1);
    key();
    await jest.advanceTimersByTimeAsync(100);
    scope.stop();
    await jest.advanceTimersByTimeAsync(100_000);
    expect([fetched, whole.mock.calls]).toEqual([[], []]);
  });
});
