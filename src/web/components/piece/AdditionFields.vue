<script setup lang="ts">
import { useLengths } from '../../composables/useLengths.ts';
import { computed, ref } from 'vue';
import { DEFAULT_FEET } from '../../../core/target/feet.ts';
import type { Fault } from '../../../core/errors.ts';
import { DEFAULT_HANDLE, type Handle } from '../../../core/target/handle.ts';
import { DEFAULT_LID, type Lid } from '../../../core/target/lid.ts';
import { DEFAULT_LUGS } from '../../../core/target/lugs.ts';
import { ADDITION_GROUPS, additionSizes, type AdditionSize } from '../../../core/forms/additionSizes.ts';
import type { Target } from '../../../core/target/target.ts';
import { usePiece } from '../../stores/piece.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import LengthField from '../fields/LengthField.vue';
import MassField from '../fields/MassField.vue';
import NumberField from '../fields/NumberField.vue';
import FoldAway from '../frame/FoldAway.vue';
import {
  FEET_WAYS,
  HANDLE_PLACES,
  HANDLE_WAYS,
  handlePlace,
  LID_WAYS,
  LUG_WAYS,
  type HandlePlace,
} from './additionWays.ts';
import { without } from '../../without.ts';

/** Handles, lugs, feet and a lid: what is joined to the standing piece or lies on it. */
const piece = usePiece();
const shown = computed(() => piece.beside.target);
const sizes = computed(() =>
  Object.fromEntries(ADDITION_GROUPS.map((group) => [group, additionSizes(shown.value, group)] as const)),
);

const put = (change: { [key in keyof Target]?: Target[key] | undefined }) =>
  piece.change(without({ ...piece.target, ...change }) as Target);

/** Why what was chosen cannot be joined to this piece. */
const trouble = ref('');
function tell(faults: readonly Fault[]): void {
  const [fault] = faults;
  trouble.value = fault ? `${fault.path.replace('.', ', ')} ${fault.rule}` : '';
}

function chooseHandle(kind: Handle['kind'] | 'none'): void {
  const { handle, slab } = piece.target;
  if (kind === 'none') return tell(put({ handle: undefined }));
  const whole: Handle = { ...DEFAULT_HANDLE, thickness: slab.wall, ...handle, kind };
  // A low piece has room for one finger, or for a handle that begins nearer to its rim.
  const tries: Handle[] = [whole, { ...whole, fingers: 1 }, { ...whole, fingers: 1, below: 4 }];
  for (const next of tries) if (put({ handle: next }).length === 0) return tell([]);
  tell(put({ handle: whole }));
}
function chooseLugs(way: 'none' | 'pair'): void {
  const whole = { ...DEFAULT_LUGS, thickness: piece.target.slab.wall };
  // A narrow wall has room for shorter ones, a low one nearer to its rim.
  const tries =
    way === 'none' ? [undefined] : [whole, { ...whole, width: 24, below: 8 }, { ...whole, width: 24, below: 8, at: 0 }];
  for (const lugs of tries) if (put({ lugs }).length === 0) return tell([]);
  tell(put({ lugs: whole }));
}
function chooseFeet(way: 'none' | 'pads'): void {
  tell(put({ feet: way === 'none' ? undefined : { ...DEFAULT_FEET, thickness: piece.target.slab.base } }));
}
function chooseLid(kind: Lid['kind'] | 'none'): void {
  tell(put({ lid: kind === 'none' ? undefined : { ...DEFAULT_LID, ...piece.target.lid, kind } }));
}

/** Handles are where the marks on the wall say; spouts stay where they are. */
function choosePlace(place: HandlePlace): void {
  const { marks } = piece.target;
  const others = (marks?.places ?? []).filter(({ kind }) => kind !== 'handle');
  if (place === 'other') return;
  const angles = HANDLE_PLACES.find(({ value }) => value === place)?.angles ?? [];
  put({ marks: { ...marks, places: [...others, ...angles.map((at) => ({ kind: 'handle', at }) as const)] } });
}

/** The fingers alone decide how long the handle is. */
function freeDrop(): void {
  const { handle } = piece.target;
  if (handle) put({ handle: without({ ...handle, drop: undefined }) as Handle });
}

/** A size is put into the design as it is now, not as it was when it was drawn. */
const take =
  ({ key }: AdditionSize) =>
  (value: number) => {
    const group = ADDITION_GROUPS.find((one) => key.startsWith(`${one}.`));
    const size = group && additionSizes(piece.target, group).find((one) => one.key === key);
    return size ? piece.change(size.put(value), key) : [];
  };
const done = () => piece.endGesture();
/** What the folded line holds. */
const holds = computed(() => {
  const { handle, lugs, feet, lid } = shown.value;
  return (
    [
      ...(handle ? [`${handle.kind} handle`] : []),
      ...(lugs ? ['lugs'] : []),
      ...(feet ? [`${feet.count} feet`] : []),
      ...(lid ? [`${lid.kind} lid`] : []),
    ].join(', ') || 'none'
  );
});
const lengths = useLengths();
</script>

<template>
  <section aria-label="Handle, lugs, feet and lid">
    <FoldAway title="Handle, lugs, feet, lid" :holds="holds">
      <VAlert v-if="trouble" type="error">That does not fit here: {{ lengths.words(trouble) }}.</VAlert>
      <template v-for="group in ADDITION_GROUPS" :key="group">
        <template v-if="group === 'handle'">
          <ChoiceField
            label="Handle"
            name="handle"
            :value="shown.handle?.kind ?? 'none'"
            :choices="HANDLE_WAYS"
            @choose="chooseHandle"
          />
          <ChoiceField
            v-if="shown.handle"
            label="It goes"
            name="handle-place"
            :value="handlePlace(shown)"
            :choices="HANDLE_PLACES"
            @choose="choosePlace"
          />
        </template>
        <ChoiceField
          v-else-if="group === 'lugs'"
          label="Lugs"
          name="lugs"
          :value="shown.lugs ? 'pair' : 'none'"
          :choices="LUG_WAYS"
          @choose="chooseLugs"
        />
        <ChoiceField
          v-else-if="group === 'feet'"
          label="Feet"
          name="feet"
          :value="shown.feet ? 'pads' : 'none'"
          :choices="FEET_WAYS"
          @choose="chooseFeet"
        />
        <ChoiceField
          v-else
          label="Lid"
          name="lid"
          :value="shown.lid?.kind ?? 'none'"
          :choices="LID_WAYS"
          @choose="chooseLid"
        />
        <template v-for="size in sizes[group]" :key="size.key">
          <LengthField
            v-if="size.unit === 'length'"
            :label="size.label"
            :name="size.key"
            :mm="size.value"
            :take="take(size)"
            :done="done"
          />
          <MassField
            v-else-if="size.unit === 'mass'"
            :label="size.label"
            :name="size.key"
            :grams="size.value"
            :take="take(size)"
            :done="done"
          />
          <NumberField
            v-else
            :label="size.label"
            :name="size.key"
            :unit="size.unit === 'share' ? ' % down' : size.unit === 'angle' ? '°' : ''"
            :digits="0"
            :factor="size.unit === 'share' ? 0.01 : 1"
            :zero="size.unit === 'count' ? 'none' : undefined"
            :value="size.value"
            :take="take(size)"
            :done="done"
          />
        </template>
        <VBtn v-if="group === 'handle' && shown.handle?.drop !== undefined" @click="freeDrop">
          As long as the fingers need
        </VBtn>
      </template>
    </FoldAway>
  </section>
</template>
