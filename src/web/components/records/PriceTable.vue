<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import type { MadeCosts } from '../../../contract/made.ts';
import { struckOut } from '../../../core/studio/making/strikes.ts';
import { priceOf, type PriceLine } from '../../../core/studio/price/priceOf.ts';
import { api } from '../../api.ts';
import { useMasses } from '../../composables/useMasses.ts';
import { useConnection } from '../../stores/connection.ts';
import { useMakings } from '../../stores/makings.ts';
import { useSettings } from '../../stores/settings.ts';
import NumberField from '../fields/NumberField.vue';
import { counted } from './findingWords.ts';

/** What pieces cost: clay, their share of the firing, and time where it was noted; each sum with what it comes from. */
const props = defineProps<{ making: string; piece: number }>();
const settings = useSettings();
const makings = useMakings();
const connection = useConnection();
const masses = useMasses();
const costs = shallowRef<MadeCosts | null>(null);
const minutes = ref(0);

async function load(): Promise<void> {
  try {
    costs.value = await api.costs(props.making, props.piece);
  } catch (error) {
    connection.note(error);
  }
}
watch([() => props.making, () => props.piece], () => void load(), { immediate: true });

/** Minutes stand in the making itself, sent or not yet. */
const noted = computed(() => {
  const gone = struckOut(makings.making?.strikes ?? []);
  const own = (makings.making?.measurements ?? []).filter(
    ({ id, what, piece }) => what === 'minutes' && piece === props.piece && !gone.has(id),
  );
  return own.reduce((sum, { value }) => sum + value, 0);
});
const price = computed(
  () => costs.value && priceOf({ ...costs.value, minutes: noted.value, hour: settings.hour || null }),
);
const money = (sum: number | null) => (sum === null ? 'not entered' : sum.toFixed(2));
function nameOf(line: PriceLine): string {
  if (line.of === 'firing') return line.name;
  return line.of === 'clay' ? 'Clay in the pieces' : 'Time at the table';
}
function fromOf(line: PriceLine): string {
  const { bag } = costs.value ?? {};
  if (line.of === 'clay')
    return `${masses.write(line.grams)}${bag ? `; a bag of ${masses.write(bag.grams)} costs ${money(bag.price)}` : '; the clay book has no price for a bag'}`;
  if (line.of === 'firing')
    return `${Math.round(100 * line.share)} % of its room${line.price === null ? '; its price is not written down' : ` of ${money(line.price)}`}`;
  if (line.minutes === 0) return 'no minutes were noted';
  return `${line.minutes} min${line.hour === null ? '' : `, an hour at ${money(line.hour)}`}`;
}

/** Minutes are noted of the first piece, for all of them; they add up. */
function note(): void {
  if (minutes.value <= 0) return;
  makings.measure({ piece: props.piece, number: 1, step: 'records', what: 'minutes', value: minutes.value });
  minutes.value = 0;
}
const setHour = (hour: number) => {
  settings.hour = Math.max(0, hour);
  return [];
};
</script>

<template>
  <section v-if="price && costs" aria-labelledby="price-heading">
    <h2 id="price-heading">Price</h2>
    <VTable>
      <tbody>
        <tr v-for="(line, index) in price.lines" :key="index">
          <th scope="row">
            {{ nameOf(line) }} <small>{{ fromOf(line) }}</small>
          </th>
          <td>{{ money(line.sum) }}</td>
        </tr>
        <tr>
          <th scope="row">{{ price.isWhole ? 'Total' : 'Total, without what is not entered' }}</th>
          <td>
            <strong>{{ money(price.total) }}</strong>
          </td>
        </tr>
        <tr>
          <th scope="row">Each of {{ counted(costs.count, 'piece') }}</th>
          <td>
            <strong>{{ money(price.each) }}</strong>
          </td>
        </tr>
        <tr v-if="costs.faulty > 0">
          <th scope="row">
            Each of the {{ costs.count - costs.faulty }} without a fault
            <small>{{ masses.write(price.lost) }} of clay is in pieces with a fault</small>
          </th>
          <td>
            <strong>{{ money(price.eachSound) }}</strong>
          </td>
        </tr>
      </tbody>
    </VTable>
    <p v-if="price.back > 0">{{ masses.write(price.back) }} was cut away and goes back to the bag.</p>
    <div class="asked">
      <NumberField
        label="Minutes to add"
        name="minutes"
        unit=" min"
        :digits="0"
        :value="minutes"
        :take="(now) => ((minutes = Math.max(0, now)), [])"
        :done="() => undefined"
      />
      <VBtn :disabled="minutes <= 0" @click="note">Add them</VBtn>
      <NumberField
        label="An hour costs"
        name="hour"
        unit=""
        zero="not entered"
        :value="settings.hour"
        :take="setHour"
        :done="() => undefined"
      />
    </div>
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
  margin-bottom: 4px;
}
th {
  font-weight: 400;
  text-align: left;
  padding: 6px 8px;
}
td {
  text-align: right;
  white-space: nowrap;
}
td strong {
  font-size: 18px;
}
small {
  display: block;
}
small,
p {
  color: var(--ink-soft);
}
.asked {
  display: grid;
  grid-template-columns: minmax(0, 260px) auto;
  gap: 8px 14px;
  align-items: center;
  justify-content: start;
  margin-top: 10px;
}
@media print {
  th {
    padding: 2px 8px;
  }
  .asked {
    display: none;
  }
}
</style>
