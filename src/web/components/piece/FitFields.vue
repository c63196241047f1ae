<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { bellyDiameter } from '../../../core/target/belly.ts';
import type { Fault } from '../../../core/errors.ts';
import { DEFAULT_CLEARANCE, type Fit, type Target } from '../../../core/target/target.ts';
import { keepsOf, type Keep } from '../../../core/studio/reverse/scaled.ts';
import { useLengths } from '../../composables/useLengths.ts';
import { useSolver } from '../../composables/useSolver.ts';
import { useBench } from '../../stores/bench.ts';
import { usePiece } from '../../stores/piece.ts';
import { useSettings } from '../../stores/settings.ts';
import LengthField from '../fields/LengthField.vue';
import OptionalLength from '../fields/OptionalLength.vue';
import FoldAway from '../frame/FoldAway.vue';
import KeepButtons from './KeepButtons.vue';
import { roundedSizes } from './roundedSizes.ts';
import WorkNote from './WorkNote.vue';
import { without } from '../../without.ts';

/** What the piece must fit, how the clay bends, and the potter's own hand and slab. */
const piece = usePiece();
const settings = useSettings();
const bench = useBench();
const lengths = useLengths();
const shown = computed(() => piece.beside.target);
const fit = computed(() => shown.value.fit);
const round = computed(() => ['cylinder', 'former', 'taper', 'stack'].includes(shown.value.form.kind));
const { busy, trouble, solve, cancel } = useSolver();

/** What the folded lines hold. */
const fitWords = computed(() => {
  const { hole, shelf } = fit.value ?? {};
  return (
    [
      ...(hole === undefined ? [] : [`hole ${lengths.length(hole)}`]),
      ...(shelf === undefined ? [] : [`${lengths.length(shelf)} high`]),
    ].join(', ') || 'nothing'
  );
});
const bellyWords = computed(() =>
  shown.value.belly === undefined ? 'none' : lengths.length(bellyDiameter(shown.value.belly)),
);

function put(group: string, next: Partial<Target>): readonly Fault[] {
  return piece.change(without({ ...piece.target, ...next }), group);
}
function putFit(key: keyof Fit) {
  return (mm: number | undefined) => {
    const next = without({
      clearance: DEFAULT_CLEARANCE,
      ...piece.target.fit,
      [key]: mm ?? (key === 'clearance' ? 0 : undefined),
    });
    const empty = next.hole === undefined && next.shelf === undefined;
    return put(`fit.${key}`, { fit: empty ? undefined : next });
  };
}
/** A belly keeps its height when its diameter changes, and the other way round. */
function putBelly(diameter: number | undefined): readonly Fault[] {
  const { belly } = piece.target;
  if (diameter === undefined) return put('belly', { belly: undefined });
  return put('belly', { belly: typeof belly === 'object' ? { ...belly, diameter } : diameter });
}
function putBellyHeight(at: number | undefined): readonly Fault[] {
  const { belly } = piece.target;
  if (belly === undefined) return [];
  const diameter = bellyDiameter(belly);
  return put('belly.at', { belly: at === undefined ? diameter : { diameter, at } });
}

/** Makes the piece as wide as the hole allows. */
async function fitHole(keep: Keep): Promise<void> {
  const { hole, clearance = DEFAULT_CLEARANCE } = piece.target.fit ?? {};
  if (hole === undefined) return;
  const found = await solve(piece.target, { kind: 'hole', diameter: hole, clearance, keep });
  if (!found) return;
  // Rounded down to a tenth, so that it still drops in.
  const [fault] = piece.change({ ...found, form: roundedSizes(found.form, 'down') });
  trouble.value = fault ? lengths.words(fault.rule) : '';
}

/** The bench is no part of the design: it is kept in this browser. */
function putHand(mm: number): readonly Fault[] {
  if (mm > 0) settings.hand = mm;
  return [];
}
const putSlab =
  (key: 'length' | 'width') =>
  (mm: number): readonly Fault[] => {
    if (mm > 0) settings.slab = { ...settings.slab, [key]: mm };
    return [];
  };
const done = () => piece.endGesture();
</script>

<template>
  <section aria-label="What it must fit">
    <FoldAway title="Must fit" :holds="fitWords">
      <OptionalLength label="Rack hole, round" name="hole" :mm="fit?.hole" :take="putFit('hole')" :done="done" />
      <OptionalLength
        label="Height above the shelf"
        name="shelf"
        :mm="fit?.shelf"
        :take="putFit('shelf')"
        :done="done"
      />
      <OptionalLength
        v-if="fit"
        label="Room to be left"
        name="clearance"
        :mm="fit.clearance"
        :take="putFit('clearance')"
        :done="done"
      />
      <template v-if="fit?.hole !== undefined">
        <h3>Make it fit the hole</h3>
        <KeepButtons :keeps="keepsOf(shown.form).filter((keep) => keep !== 'width')" @keep="fitHole" />
        <WorkNote :busy="busy" :trouble="trouble" @cancel="cancel" />
      </template>
    </FoldAway>
    <FoldAway v-if="round" title="Belly" :holds="bellyWords">
      <OptionalLength
        label="Push a belly out to"
        name="belly"
        :mm="shown.belly === undefined ? undefined : bellyDiameter(shown.belly)"
        :take="putBelly"
        :done="done"
      />
      <OptionalLength
        v-if="shown.belly !== undefined"
        label="Height of the belly"
        name="belly-at"
        :mm="typeof shown.belly === 'object' ? shown.belly.at : undefined"
        :take="putBellyHeight"
        :done="done"
      />
    </FoldAway>
    <FoldAway title="Your hand and slab" :holds="`${lengths.length(settings.hand)} hand`">
      <LengthField label="Hand, over the knuckles" name="hand" :mm="settings.hand" :take="putHand" :done="done" />
      <p v-if="bench.kitSlab" class="owned">
        Largest slab:
        <strong>{{ lengths.figure(bench.kitSlab.length) }} × {{ lengths.length(bench.kitSlab.width) }}</strong
        >, by your <RouterLink :to="{ name: 'kit' }">kit</RouterLink>
      </p>
      <LengthField
        v-if="!bench.kitSlab"
        label="Longest slab"
        name="slabLength"
        :mm="settings.slab.length"
        :take="putSlab('length')"
        :done="done"
      />
      <LengthField
        v-if="!bench.kitSlab"
        label="Widest slab"
        name="slabWidth"
        :mm="settings.slab.width"
        :take="putSlab('width')"
        :done="done"
      />
    </FoldAway>
  </section>
</template>

<style scoped>
.owned {
  padding: 10px 0;
  color: var(--ink-soft);
}
</style>
