<script setup lang="ts">
import { computed } from 'vue';
import type { Kept } from '../../../contract/records.ts';
import { KIT, sizeOf, type KitItem } from '../../../core/studio/kit/kit.ts';
import {
  CONE_STATES,
  FIRING_KINDS,
  USUAL_SEGMENTS,
  type FiringKind,
  type FiringShelf,
  type KeptFiring,
} from '../../../core/studio/kiln/keptFiring.ts';
import type { Segment } from '../../../core/studio/kiln/schedule.ts';
import type { Fault } from '../../../core/errors.ts';
import LengthField from '../fields/LengthField.vue';
import NumberField from '../fields/NumberField.vue';
import OneOf from '../fields/OneOf.vue';
import TextField from '../fields/TextField.vue';

/** What a firing is, its shelves, its schedule, and what it took. */
const props = defineProps<{
  firing: KeptFiring;
  kit: readonly Kept<'kit'>[];
  change: (part: Partial<KeptFiring>, group?: string | null) => readonly Fault[];
  /** Replaces the whole firing: what is left out is deleted. */
  replace: (firing: KeptFiring) => readonly Fault[];
  done: () => void;
}>();
defineEmits<{ remove: [] }>();

const KIND_WORDS: Readonly<Record<FiringKind, string>> = { bisque: 'Bisque', glaze: 'Glaze', once: 'Once' };
const kinds = FIRING_KINDS.map((value) => ({ value, words: KIND_WORDS[value] }));
const cones = CONE_STATES.map((value) => ({ value, title: value }));
const shelfKinds = computed(() => props.kit.filter(({ body }) => body.kind === 'shelf' || body.kind === 'round-shelf'));

/** Kilns of the kit, and the firing's own kiln where the kit no longer has it. */
const kilns = computed(() => {
  const names = props.kit.filter(({ body }) => body.kind === 'kiln').map(({ body }) => body.name);
  return [...new Set([...names, ...(props.firing.kiln ? [props.firing.kiln.name] : [])])];
});
function setKiln(name: string | null): void {
  const { kiln: before, ...rest } = props.firing;
  const found = props.kit.find(({ body }) => body.kind === 'kiln' && body.name === name)?.body;
  const kiln = found && {
    name: found.name,
    length: sizeOf(found, 'length'),
    width: sizeOf(found, 'width'),
    height: sizeOf(found, 'height'),
  };
  if (name !== before?.name) props.replace(kiln ? { ...rest, kiln } : rest);
  props.done();
}

/** A kind of firing brings its usual schedule, unless the schedule was changed by hand. */
function setKind(kind: FiringKind): void {
  const usual = JSON.stringify(props.firing.segments) === JSON.stringify(USUAL_SEGMENTS[props.firing.kind]);
  props.change({ kind, ...(usual && { segments: USUAL_SEGMENTS[kind] }) });
  props.done();
}
function addShelf({ name, ...item }: KitItem): void {
  const used = props.firing.shelves.filter((shelf) => shelf.name.startsWith(name)).length;
  const called = used > 0 ? `${name} ${used + 1}` : name;
  const form =
    item.kind === 'shelf'
      ? { width: sizeOf({ name, ...item }, 'length'), depth: sizeOf({ name, ...item }, 'width') }
      : { diameter: sizeOf({ name, ...item }, 'diameter') };
  const ids = props.firing.shelves.map(({ id }) => Number(id)).filter(Number.isFinite);
  const shelf: FiringShelf = {
    id: String(Math.max(0, ...ids) + 1),
    name: called,
    clear: sizeOf({ name, ...item }, 'clear'),
    ...form,
  };
  props.change({ shelves: [...props.firing.shelves, shelf] });
  props.done();
}
const setClear = (id: string) => (clear: number) =>
  props.change(
    { shelves: props.firing.shelves.map((one) => (one.id === id ? { ...one, clear } : one)) },
    `clear ${id}`,
  );
function removeShelf(id: string): void {
  props.change({
    shelves: props.firing.shelves.filter((one) => one.id !== id),
    placed: props.firing.placed.filter((one) => one.shelf !== id),
  });
  props.done();
}
const setSegment = (at: number, part: Partial<Segment>) =>
  props.change(
    { segments: props.firing.segments.map((one, index) => (index === at ? { ...one, ...part } : one)) },
    `segment ${at}`,
  );
const setCone = (at: number, state: (typeof CONE_STATES)[number]) =>
  props.change({ witness: props.firing.witness.map((one, index) => (index === at ? { ...one, state } : one)) });
const addCone = () => props.change({ witness: [...props.firing.witness, { cone: props.firing.cone, state: 'down' }] });
</script>

<template>
  <div class="fields">
    <TextField
      label="Called"
      name="firing-name"
      :value="firing.name"
      :most="120"
      :take="(name) => change({ name }, 'name')"
      :done="done"
    />
    <OneOf label="Kind of firing" :value="firing.kind" :choices="kinds" @choose="setKind" />
    <VTextField
      class="day"
      label="Day"
      name="firing-day"
      type="date"
      :model-value="firing.day"
      @update:model-value="(day: string) => change({ day })"
    />
    <TextField
      label="Cone"
      name="firing-cone"
      :value="firing.cone"
      :most="60"
      :take="(cone) => change({ cone }, 'cone')"
      :done="done"
    />
    <VSelect
      label="In which kiln"
      :items="kilns"
      :model-value="firing.kiln?.name ?? null"
      placeholder="not said"
      persistent-placeholder
      clearable
      @update:model-value="setKiln"
    />
    <h2>Shelves</h2>
    <div v-for="shelf in firing.shelves" :key="shelf.id" class="shelf">
      <LengthField
        :label="`Clearance above ${shelf.name}`"
        :name="`clear-${shelf.id}`"
        :mm="shelf.clear"
        :take="setClear(shelf.id)"
        :done="done"
      />
      <VBtn variant="text" :aria-label="`Take ${shelf.name} out`" @click="removeShelf(shelf.id)">×</VBtn>
    </div>
    <div class="verbs">
      <VBtn v-for="{ id, body } in shelfKinds" :key="id" @click="addShelf(body)">Add {{ body.name }}</VBtn>
    </div>
    <p v-if="shelfKinds.length === 0">
      The kit holds no {{ KIT.shelf.many.toLowerCase() }} yet: <RouterLink :to="{ name: 'kit' }">Kit</RouterLink>
    </p>
    <LengthField
      label="Gap between pieces"
      name="firing-gap"
      :mm="firing.gap"
      :take="(gap) => change({ gap }, 'gap')"
      :done="done"
    />
    <h2>Schedule</h2>
    <div v-for="(segment, at) in firing.segments" :key="at" class="segment">
      <NumberField
        label="To"
        :name="`to-${at}`"
        unit=" °C"
        :digits="0"
        :value="segment.to"
        :take="(to) => setSegment(at, { to })"
        :done="done"
      />
      <NumberField
        label="At"
        :name="`rate-${at}`"
        unit=" °C/h"
        :digits="0"
        :value="segment.rate"
        :take="(rate) => setSegment(at, { rate })"
        :done="done"
      />
      <NumberField
        label="Held"
        :name="`hold-${at}`"
        unit=" min"
        :digits="0"
        :value="segment.hold"
        :take="(hold) => setSegment(at, { hold })"
        :done="done"
      />
      <VBtn
        variant="text"
        :aria-label="`Take stretch ${at + 1} away`"
        @click="change({ segments: firing.segments.filter((_, index) => index !== at) })"
        >×</VBtn
      >
    </div>
    <VBtn @click="change({ segments: [...firing.segments, { rate: 100, to: 600, hold: 0 }] })">Add a stretch</VBtn>
    <h2>What it took</h2>
    <NumberField
      label="Energy"
      name="firing-energy"
      unit=" kWh"
      zero="not entered"
      :value="firing.energy ?? 0"
      :take="(energy) => change({ energy }, 'energy')"
      :done="done"
    />
    <NumberField
      label="Price"
      name="firing-price"
      unit=""
      zero="not entered"
      :value="firing.price ?? 0"
      :take="(price) => change({ price }, 'price')"
      :done="done"
    />
    <div v-for="(one, at) in firing.witness" :key="`cone ${at}`" class="shelf">
      <VSelect
        :label="`Witness cone ${one.cone}`"
        :items="cones"
        :model-value="one.state"
        @update:model-value="(state) => setCone(at, state)"
      />
      <VBtn
        variant="text"
        :aria-label="`Take witness cone ${at + 1} away`"
        @click="change({ witness: firing.witness.filter((_, index) => index !== at) })"
        >×</VBtn
      >
    </div>
    <VBtn :disabled="!firing.cone" @click="addCone">Add a witness cone</VBtn>
    <VBtn variant="text" @click="$emit('remove')">Take this firing away</VBtn>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 8px;
  align-content: start;
}
.day :deep(input) {
  min-width: 170px;
}
h2 {
  font-size: 19px;
  margin-top: 12px;
}
.shelf {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 44px;
  align-items: center;
}
.segment {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 44px;
  gap: 0 6px;
  padding-bottom: 8px;
  border-bottom: 1px dotted var(--line);
}
.segment > :nth-child(2),
.segment > :nth-child(3) {
  grid-column: 1;
}
.segment > .v-btn {
  grid-column: 2;
  grid-row: 1;
}
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
p {
  margin: 0;
  color: var(--ink-soft);
}
</style>
