<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed, ref } from 'vue';
import type { Design } from '../../../contract/api.ts';
import type { Fault } from '../../../core/errors.ts';
import { checkOrder, type KeptOrder } from '../../../core/studio/order/keptOrder.ts';
import { LIMITS } from '../../../core/target/target.ts';
import FoldAway from '../frame/FoldAway.vue';
import NumberField from '../fields/NumberField.vue';
import TextField from '../fields/TextField.vue';
import AirFields from '../make/AirFields.vue';
import ChoosePiece from './ChoosePiece.vue';
import WeekFields from './WeekFields.vue';

/** What is wanted and when, the potter's hours, and her kiln. */
const props = defineProps<{
  order: KeptOrder;
  designs: readonly Design[];
  put: (part: Partial<KeptOrder>, group: string | null) => readonly Fault[];
  done: () => void;
  /** The design whose work is being drawn up. */
  adding: string | null;
  trouble: string;
}>();
const emit = defineEmits<{ add: [design: Design]; renew: []; remove: [] }>();

const choosing = ref(false);
const free = computed(() => props.designs.filter(({ id }) => props.order.lines.every(({ design }) => design !== id)));
/** Designs that were changed since their work was drawn up. */
const older = computed(() =>
  props.order.lines.filter(
    ({ design, revision }) => (props.designs.find(({ id }) => id === design)?.revision ?? revision) !== revision,
  ),
);

const put = (key: keyof KeptOrder) => (value: unknown) => props.put({ [key]: value } as Partial<KeptOrder>, key);
/** While a day is only half typed, the old one stays. */
function putDay(key: 'start' | 'ready', value: string): void {
  if (checkOrder({ ...props.order, [key]: value }).length === 0) props.put({ [key]: value }, null);
}
const putCount = (line: number) => (count: number) =>
  Number.isInteger(count)
    ? props.put({ lines: props.order.lines.map((own, at) => (at === line ? { ...own, count } : own)) }, `count ${line}`)
    : [{ code: 'wrong-type' as const, path: 'count', value: String(count), rule: 'must be a whole number' }];
/** The order without one line; held blocks of the later lines are renumbered. */
function removeLine(line: number): void {
  const held = props.order.held
    .filter((one) => one.line !== line)
    .map((one) => ({ ...one, line: one.line > line ? one.line - 1 : one.line }));
  props.put({ lines: props.order.lines.filter((_, at) => at !== line), held, laid: null }, null);
}
const hours = (value: number) => `${value} h`;
const kiln = computed(() =>
  props.order.once ? `once, ${hours(props.order.glaze)}` : `${hours(props.order.bisque)}, ${hours(props.order.glaze)}`,
);
const pace = computed(() => (props.order.pace === 1 ? undefined : `${Math.round(100 * props.order.pace)} %`));
const airSays = computed(() => `${props.order.air.temperature} °C, ${Math.round(100 * props.order.air.humidity)} %`);
</script>

<template>
  <div class="fields">
    <TextField
      label="For"
      name="order-name"
      :value="order.name"
      :most="LIMITS.nameLength.greatest"
      :take="put('name')"
      :done="done"
    />
    <VTextField
      class="day"
      label="Begin on"
      name="order-start"
      type="date"
      :model-value="order.start"
      @update:model-value="(day: string) => putDay('start', day)"
    />
    <VTextField
      class="day"
      label="Fired by the end of"
      name="order-ready"
      type="date"
      :model-value="order.ready"
      @update:model-value="(day: string) => putDay('ready', day)"
    />
    <h2>Wanted</h2>
    <ul class="lines">
      <li v-for="(line, at) in order.lines" :key="line.design">
        <NumberField
          :label="line.name"
          :name="`count-${at}`"
          unit=""
          :value="line.count"
          :digits="0"
          :take="putCount(at)"
          :done="done"
        />
        <VBtn :icon="mdiClose" variant="text" :aria-label="`Remove ${line.name}`" @click="removeLine(at)" />
      </li>
    </ul>
    <VBtn class="add" :loading="adding !== null" @click="choosing = true">Add a piece</VBtn>
    <ChoosePiece v-model="choosing" :designs="free" @choose="(design) => emit('add', design)" />
    <VAlert v-if="trouble" type="error" role="alert">{{ trouble }}</VAlert>
    <VAlert v-if="older.length" type="info" role="note">
      {{ older.map(({ name }) => name).join(', ') }} changed since its work was drawn up.
      <VBtn :loading="adding !== null" @click="emit('renew')">Draw it up again</VBtn>
    </VAlert>
    <h2>Your hours</h2>
    <WeekFields :week="order.week" :done="done" @change="(week) => props.put({ week }, 'week')" />
    <FoldAway title="Kiln and glaze" :holds="kiln">
      <VSwitch
        :model-value="order.once"
        label="Fired once, with no bisque"
        name="order-once"
        @update:model-value="(once: boolean | null) => put('once')(once === true)"
      />
      <template v-if="!order.once">
        <NumberField
          label="Bisque, until the kiln is opened"
          name="order-bisque"
          unit=" h"
          :value="order.bisque"
          :take="put('bisque')"
          :done="done"
        />
        <NumberField
          label="Glazing one piece"
          name="order-glazing"
          unit=" min"
          :value="order.glazing"
          :take="put('glazing')"
          :done="done"
        />
      </template>
      <NumberField
        label="Glaze firing, until the kiln is opened"
        name="order-glaze"
        unit=" h"
        :value="order.glaze"
        :take="put('glaze')"
        :done="done"
      />
      <NumberField label="Loading" name="order-load" unit=" min" :value="order.load" :take="put('load')" :done="done" />
      <p class="soft">
        Let it cool by itself: never open it hot. Ventilation, clearance and wiring by the maker’s manual, local codes
        and a licensed electrician.
      </p>
    </FoldAway>
    <FoldAway title="Your pace" :holds="pace">
      <NumberField
        label="Compared with ours"
        name="order-pace"
        unit=" %"
        :value="order.pace"
        :factor="0.01"
        :digits="0"
        :take="put('pace')"
        :done="done"
      />
      <p class="soft">
        Minutes of the order of work are rules of the bench. Say 150 % where you take half as long again.
      </p>
    </FoldAway>
    <FoldAway title="The air in the shed" :holds="airSays">
      <AirFields :air="order.air" @change="(air) => props.put({ air }, 'air')" />
    </FoldAway>
    <VBtn class="remove" @click="emit('remove')">Take this order away</VBtn>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 2px;
  align-content: start;
}
h2 {
  margin-top: 14px;
  font-size: 17px;
}
.day :deep(input) {
  min-width: 170px;
}
.lines {
  padding: 0;
  list-style: none;
}
.lines li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 44px;
  align-items: center;
}
.soft {
  margin: 4px 0 10px;
  color: var(--ink-soft);
}
.add {
  justify-self: start;
  margin-top: 6px;
}
.remove {
  margin-top: 18px;
  justify-self: start;
}
</style>
