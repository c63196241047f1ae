import type { Blank } from '../../core/forms/kind/blank.ts';
import { computed, shallowRef, watch, type ShallowRef } from 'vue';
import { isDraped, type DrapedTarget } from '../../core/forms/mould/draped.ts';
import { limitsOf, withinLimits } from '../../core/forms/mould/limits.ts';
import type { Target } from '../../core/target/target.ts';
import { packed } from '../workers/blankWork.ts';
import { nextTask } from './nextTask.ts';
import { useBlankWork } from './useBlankWork.ts';

/** Pause after the last change before the fine blank is computed (ms). */
const LAY_AFTER = 500;

/** The parts of a target on which its blank depends. */
function sameBlank(one: Target, other: Target): boolean {
  return (
    one.form === other.form &&
    one.slab === other.slab &&
    one.seam === other.seam &&
    one.clay.stiffness === other.clay.stiffness
  );
}

/** The fine blank of a draped target, computed in a worker after each change; until then the quick one is shown. */
export function useFineBlank(target: Readonly<ShallowRef<Target>>) {
  const work = useBlankWork();
  /** Looks for darts where the blank strains its clay beyond the limits. */
  const adviser = useBlankWork();
  const laid = shallowRef<{ readonly target: Target; readonly blank: Blank } | null>(null);
  /** Until the first fine blank of a piece is there. */
  const early = shallowRef<typeof laid.value>(null);
  const trouble = shallowRef('');
  const stopped = shallowRef<Target | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function lay(): Promise<void> {
    const wanted = target.value;
    if (!isDraped(wanted)) return;
    stopped.value = null;
    const reply = await work.ask(packed('lay', wanted, last.value === null), (blank) => {
      early.value = { target: wanted, blank };
    });
    await nextTask();
    if (reply?.kind === 'laid') {
      laid.value = { target: wanted, blank: reply.blank };
      void advise(wanted, reply.blank);
    }
    if (reply?.kind === 'failed') trouble.value = reply.rule;
  }

  async function advise(wanted: DrapedTarget, found: Blank): Promise<void> {
    if (withinLimits(found.strain.most, limitsOf(wanted))) return;
    const reply = await adviser.ask(packed('propose', wanted));
    if (reply?.kind !== 'proposed' || laid.value?.blank !== found) return;
    laid.value = { target: wanted, blank: { ...found, proposal: reply.proposal } };
  }

  const blank = computed(() => (laid.value && sameBlank(laid.value.target, target.value) ? laid.value.blank : null));
  /** The last blank of this piece, out of date for advice: it stays on the table until the next one is ready. */
  const last = computed(() => {
    const found = laid.value ?? early.value;
    const same = found && isDraped(target.value) && found.target.form.kind === target.value.form.kind;
    return same ? { ...found.blank, fine: false } : null;
  });
  watch(
    target,
    (now) => {
      clearTimeout(timer);
      trouble.value = '';
      if (laid.value && isDraped(now) && sameBlank(laid.value.target, now)) return;
      adviser.stop();
      work.stop();
      if (!isDraped(now)) return;
      timer = setTimeout(() => void lay(), last.value ? LAY_AFTER : 0);
    },
    { immediate: true },
  );

  /** Resets for another piece. */
  const clear = () => {
    laid.value = null;
    early.value = null;
  };
  const stop = () => {
    clearTimeout(timer);
    stopped.value = target.value;
    adviser.stop();
    work.stop();
  };
  return { blank, last, clear, far: work.far, trouble, stopped, lay, stop };
}
