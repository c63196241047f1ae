import { useNow } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import type { Making } from '../../../contract/makings.ts';
import type { DryingFactor } from '../../../core/studio/drying/factor.ts';
import { nextSpot, progressOf, waitBegan, type MarkKind } from '../../../core/studio/making/making.ts';
import { factorFor, stateAt, waitWindow, withAir, type WaitWindow } from '../../../core/studio/making/waitWindow.ts';
import type { WorkStep } from '../../../core/studio/making/workStep.ts';
import { useMakings } from '../../stores/makings.ts';
import { momentWords, spanWords } from './momentWords.ts';

/** How often the clock of the screen is looked at (ms). */
const BEAT = 15_000;

/** A wait of one piece as it stands now. */
export interface WaitNow {
  readonly began: number;
  readonly window: WaitWindow;
  readonly factor: DryingFactor;
}

/** One kind of piece of the making in hand: which step is shown, how all of them stand, and what its wait says. */
export function useMaking(making: () => Making, piece = 0) {
  const makings = useMakings();
  const now = useNow({ interval: BEAT });
  const nowMs = computed(() => now.value.getTime());
  const own = computed(() => making().pieces[piece]);
  const steps = computed<readonly WorkStep[]>(() => own.value?.steps ?? []);
  const count = computed(() => own.value?.count ?? 1);
  /** Who makes each of them, where it is given to a class. */
  const names = computed<readonly string[]>(() => own.value?.names ?? []);
  const progress = computed(() => progressOf(steps.value, { piece, count: count.value }, making().marks));
  const next = computed(() => nextSpot(steps.value, progress.value));
  /** A step that was pressed in the list, or turned back to; null follows the work. */
  const turned = ref<{ readonly id: string; readonly number: number } | null>(null);
  const shown = computed(() => {
    const step = turned.value && steps.value.find(({ id }) => id === turned.value?.id);
    if (step && turned.value) return { step, number: turned.value.number };
    return next.value ?? { step: steps.value.at(-1), number: count.value };
  });
  watch(
    () => making().id,
    () => (turned.value = null),
  );

  /** Shows a step at the first piece that it is open for. */
  function show(id: string): void {
    turned.value = { id, number: Math.min(count.value, doneOf(id) + 1) };
  }

  const stateOf = (id: string, number: number) => progress.value.get(id)?.[number - 1] ?? { state: 'open' as const };
  const doneOf = (id: string) =>
    (progress.value.get(id) ?? []).filter(({ state }) => state === 'done' || state === 'skipped').length;

  /** Marks of this clay, those of this making too. */
  const known = computed(() => [
    ...new Map([...makings.found, ...withAir(making().marks, making().air)].map((mark) => [mark.id, mark])).values(),
  ]);

  function waitOf(step: WorkStep, number: number): WaitNow | null {
    const began = step.waits && waitBegan(steps.value, progress.value, { step: step.id, number });
    if (!step.waits || !began) return null;
    const factor = factorFor(step.waits.part.cover, known.value);
    const ms = new Date(began).getTime();
    return { began: ms, factor, window: waitWindow(step.waits, { began: ms, air: making().air, factor }) };
  }
  const wait = computed(() => (shown.value.step ? waitOf(shown.value.step, shown.value.number) : null));
  const waitState = computed(() => (wait.value ? stateAt(wait.value.window, nowMs.value) : null));

  /** When the wait that is shown ends, and how that stands now, in words. */
  const waitWords = computed(() => {
    const window = wait.value?.window;
    if (!window?.opens) return null;
    const ms = nowMs.value;
    const { opens, closes } = window;
    const heading = closes
      ? `${momentWords(opens.usual, ms)} to ${momentWords(closes.usual, ms)}, about`
      : `${momentWords(opens.usual, ms)}, about`;
    if (waitState.value === 'waits') return { heading, state: `Opens in about ${spanWords(opens.usual - ms)}.` };
    if (waitState.value === 'past') return { heading, state: 'It has probably closed. Feel it before you join it.' };
    return {
      heading,
      state: closes
        ? `Open now, for about ${spanWords(closes.usual - ms)} more.`
        : 'Ready by the model. Check by hand.',
    };
  });

  /** Presses what is said of the step that is shown; the view goes on with the work. */
  function press(kind: MarkKind): void {
    const { step, number } = shown.value;
    if (!step) return;
    const hand = step.waits && wait.value && !['done', 'skipped', 'open', 'wetted', 'again'].includes(kind);
    const hours = wait.value ? Math.max(0, (Date.now() - wait.value.began) / 3_600_000) : 0;
    const drying = hand && step.waits ? { drying: { part: step.waits.part, hours } } : {};
    makings.press({ piece, number, step: step.id, kind, ...drying });
    turned.value = null;
  }

  /** Ticks the step that is shown for every piece that it is open for. */
  function pressAll(): void {
    const { step } = shown.value;
    if (!step) return;
    const open = (progress.value.get(step.id) ?? []).flatMap(({ state }, index) =>
      state === 'open' || state === 'missed' ? [index + 1] : [],
    );
    makings.pressMany(open.map((number) => ({ piece, number, step: step.id, kind: 'done' })));
    turned.value = null;
  }

  /** Ticks the step that is shown for one of them, or takes its tick away; a wait is shown, for only a hand finds how it stands. */
  function tick(number: number): void {
    const { step } = shown.value;
    if (!step) return;
    if (step.waits) {
      turned.value = { id: step.id, number };
      return;
    }
    makings.press({ piece, number, step: step.id, kind: stateOf(step.id, number).state === 'open' ? 'done' : 'open' });
    turned.value = { id: step.id, number };
  }

  /** One step back: what was done last is open again. */
  function back(): void {
    const { step, number } = shown.value;
    const place = steps.value.findIndex(({ id }) => id === step?.id);
    const at = place * count.value + number - 1;
    const before = steps.value[Math.floor((at - 1) / count.value)];
    if (at <= 0 || !before) return;
    const which = ((at - 1) % count.value) + 1;
    turned.value = { id: before.id, number: which };
  }

  return {
    piece,
    own,
    steps,
    count,
    progress,
    next,
    turned,
    show,
    shown,
    nowMs,
    wait,
    waitState,
    waitWords,
    waitOf,
    stateOf,
    doneOf,
    press,
    pressAll,
    tick,
    names,
    back,
  };
}

/** What useMaking returns. */
export type MakingInHand = ReturnType<typeof useMaking>;
