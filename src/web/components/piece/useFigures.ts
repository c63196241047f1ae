import { computed, watch } from 'vue';
import { usePiece } from '../../stores/piece.ts';
import { usePlans } from '../../stores/records.ts';
import { useSettings } from '../../stores/settings.ts';
import { useSlabPlan } from '../../stores/slabPlan.ts';
import { figuresToMeasure, finishedFigures } from './figures.ts';

/** The figures of the design on the table, with the slabs of its plan: one answer to what is weighed out, on every stage. */
export function useFigures() {
  const piece = usePiece();
  const settings = useSettings();
  const slabPlan = useSlabPlan();
  const plans = usePlans();
  watch(
    () => piece.state,
    (state) => void (state === 'ready' && plans.state === 'loading' && plans.load()),
  );
  const planned = computed(() => {
    const { target, developed } = piece.beside;
    return { ...developed, slabs: slabPlan.slabsFor(target, developed) };
  });
  const measure = computed(() =>
    figuresToMeasure(piece.beside.target, planned.value, settings.unit === 'inch' ? 'lb' : 'g'),
  );
  const finished = computed(() => finishedFigures(planned.value));
  return { planned, measure, finished };
}
