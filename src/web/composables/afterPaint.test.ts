import { effectScope, nextTick, ref, type EffectScope } from 'vue';
import { afterPaint } from './afterPaint.ts';

/** A painted frame (ms). */
const FRAME = 16;

let scope: EffectScope;
const source = ref(0);
const owner = ref('cup');
let shown: Readonly<{ value: number }>;

beforeEach(() => {
  jest.useFakeTimers();
  globalThis.requestAnimationFrame = (run) => setTimeout(() => run(performance.now()), FRAME) as unknown as number;
  globalThis.cancelAnimationFrame = (frame) => clearTimeout(frame);
  source.value = 0;
  scope = effectScope();
  shown = scope.run(() =>
    afterPaint(
      () => source.value,
      () => owner.value,
    ),
  ) as Readonly<{ value: number }>;
});
afterEach(() => {
  scope.stop();
  jest.useRealTimers();
});

/** Changes the source `count` times, one after another; gives how long the value shown was behind at most (ms). */
async function change(count: number, pause: number): Promise<number> {
  let [behind, most] = [0, 0];
  for (let time = 0; time < count; time += 1) {
    source.value += 1;
    await nextTick();
    for (let ms = 0; ms < pause; ms += 1) {
      jest.advanceTimersByTime(1);
      await nextTick();
      behind = shown.value === source.value ? 0 : behind + 1;
      most = Math.max(most, behind);
    }
  }
  return most;
}

describe('what follows after the paint', () => {
  it('follows one change with the next painted frame', async () => {
    source.value = 7;
    await nextTick();
    expect(shown.value).toBe(0);
    jest.advanceTimersByTime(FRAME);
    expect(shown.value).toBe(0);
    jest.advanceTimersByTime(1);
    expect(shown.value).toBe(7);
  });

  it('waits for a rest while keys come fast, and then shows the newest', async () => {
    await change(1, 60);
    expect(shown.value).toBe(1);
    source.value += 1;
    await nextTick();
    jest.advanceTimersByTime(60);
    expect(shown.value).toBe(1);
    jest.advanceTimersByTime(120);
    expect(shown.value).toBe(2);
  });

  it.each([
    ['a drag', 16],
    ['a fast typist', 70],
    ['an even faster one', 40],
  ])('is never more than half a second behind: %s', async (_, pause) => {
    const most = await change(Math.round(3000 / pause), pause);
    expect(most).toBeLessThan(500);
    jest.advanceTimersByTime(200);
    expect(shown.value).toBe(source.value);
  });

  it('follows slow changes each by itself', async () => {
    expect(await change(10, 200)).toBeLessThan(FRAME + 3);
  });

  it('follows at once when the value is of another thing, and waits as before afterwards', async () => {
    await change(3, 40);
    expect(shown.value).not.toBe(source.value);
    owner.value = 'jar';
    source.value = 50;
    await nextTick();
    expect(shown.value).toBe(50);
    jest.advanceTimersByTime(1000);
    expect(shown.value).toBe(50);
    source.value = 51;
    await nextTick();
    expect(shown.value).toBe(50);
    jest.advanceTimersByTime(FRAME + 1);
    expect(shown.value).toBe(51);
  });

  it('ends with its scope', async () => {
    source.value = 1;
    await nextTick();
    scope.stop();
    jest.advanceTimersByTime(1000);
    expect(shown.value).toBe(0);
  });
});
