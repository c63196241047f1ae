<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import type { Design } from '../../../contract/api.ts';
import type { MakingLine } from '../../../contract/makings.ts';
import type { WorkStep } from '../../../core/studio/making/workStep.ts';
import type { Target } from '../../../core/target/target.ts';
import { newId } from '../../stores/heldRecords.ts';
import { useHouseWay } from '../../stores/houseWay.ts';
import { useMakings } from '../../stores/makings.ts';
import { useClays } from '../../stores/records.ts';
import NumberField from '../fields/NumberField.vue';
import AirFields from './AirFields.vue';
import HouseWayFields from './HouseWayFields.vue';
import { namesIn } from '../../../core/studio/making/classNames.ts';
import { FORM_WAYS } from '../piece/formWays.ts';
import OwnOrder from './OwnOrder.vue';
import { dayWords } from './momentWords.ts';
import { useDrawUp } from './useDrawUp.ts';

/** Begins a making of the piece: how many, when it is due, how this potter works, and the air of the shed. */
const props = defineProps<{ design: Design; target: Target }>();
const makings = useMakings();
const way = useHouseWay();
onMounted(way.load);
const draw = useDrawUp();
const clays = useClays();

const count = ref(1);
const due = ref('');
/** One piece for each name. */
const names = ref('');
const people = computed(() => namesIn(names.value));
const many = computed(() => people.value.length || count.value);
const trouble = ref('');
const busy = ref(false);

/** Whole pieces only. */
function takeCount(value: number) {
  if (!Number.isInteger(value) || value < 1 || value > 500)
    return [
      {
        code: 'out-of-range' as const,
        path: 'count',
        value: String(value),
        rule: 'must be a whole number from 1 to 500',
      },
    ];
  count.value = value;
  return [];
}
const clay = computed(() => clays.list.find(({ body }) => body.name === props.target.clay.name) ?? null);
const nothing = () => undefined;

/** The order of work, drawn up to be changed. */
const usual = shallowRef<readonly WorkStep[]>([]);
const ordering = ref(false);
const drawing = ref(false);
async function showOrder(): Promise<void> {
  drawing.value = true;
  trouble.value = '';
  try {
    usual.value = await draw.usual(props.target);
    ordering.value = true;
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error);
  }
  drawing.value = false;
}
const kind = computed(() => props.target.form.kind);
const kindWords = computed(() => FORM_WAYS.find(({ value }) => value === kind.value)?.title ?? kind.value);
const own = computed(() => way.ownOf(kind.value));
const ownSays = computed(() => {
  const { left, added, order } = own.value;
  const parts = [
    added.length > 0 && `${added.length} of your own`,
    left.length > 0 && `${left.length} left out`,
    order.length > 0 && added.length + left.length === 0 && 'moved',
  ].filter(Boolean);
  return parts.length > 0 ? ` (${parts.join(', ')})` : '';
});
/** What was made of this design before, newest first. */
const before = computed(() => makings.lines.filter(({ endedAt }) => endedAt !== null));
const manyOf = ({ pieces }: MakingLine) => pieces.reduce((sum, piece) => sum + piece.count, 0);

async function begin(): Promise<void> {
  if (busy.value) return;
  busy.value = true;
  trouble.value = '';
  try {
    const { target, design } = props;
    const steps = await draw.own(target);
    await makings.begin({
      id: newId(),
      name: target.name || design.name,
      clay: clay.value?.id ?? null,
      startedAt: new Date().toISOString(),
      dueAt: due.value ? new Date(`${due.value}T18:00`).toISOString() : null,
      schools: way.schools,
      air: way.air,
      pieces: [
        {
          designId: design.id,
          revision: design.revision,
          name: design.name,
          count: many.value,
          ...(people.value.length > 0 && { names: people.value }),
          steps,
        },
      ],
    });
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error);
  }
  busy.value = false;
}
</script>

<template>
  <section class="begin" aria-labelledby="begin-heading">
    <div class="lead">
      <h2 id="begin-heading">Make it, step by step</h2>
      <p>
        The order of work is drawn up for this piece as it is now, revision {{ design.revision }}. It keeps that
        revision, whatever you change afterwards.
      </p>
    </div>
    <div class="columns">
      <div>
        <h3>This making</h3>
        <NumberField
          v-if="people.length === 0"
          label="How many"
          name="making-count"
          unit=""
          :value="count"
          :digits="0"
          :take="takeCount"
          :done="nothing"
        />
        <VTextarea
          v-model="names"
          label="Names of a class, one per line"
          name="making-names"
          rows="2"
          auto-grow
          :hint="
            people.length > 0
              ? `One piece for each: ${people.length}.`
              : 'Leave it empty where one person makes them all.'
          "
          persistent-hint
        />
        <VTextField v-model="due" label="Due, if it is" name="making-due" type="date" class="due" />
        <p class="soft">
          Clay: {{ target.clay.name || 'not named'
          }}{{ clay ? '' : ', not in the clay book, so that nothing is learned of it' }}.
        </p>
      </div>
      <div>
        <h3>The house way</h3>
        <HouseWayFields />
        <VBtn :loading="drawing" @click="showOrder">The order of work{{ ownSays }}</VBtn>
        <OwnOrder
          v-model="ordering"
          :steps="usual"
          :own="own"
          :kind="kindWords"
          @change="(work) => way.putOwn(kind, work)"
        />
      </div>
      <div>
        <h3>The air in the shed</h3>
        <AirFields :air="way.air" @change="(air) => way.put({ air })" />
      </div>
    </div>
    <VAlert v-if="trouble" type="error" role="alert">{{ trouble }}</VAlert>
    <VBtn variant="flat" size="x-large" class="go" :loading="busy" @click="begin">
      {{ many === 1 ? 'Begin' : `Begin all ${many}` }}
    </VBtn>
    <div v-if="before.length">
      <h3>Made before</h3>
      <VList class="before" bg-color="transparent">
        <VListItem
          v-for="line in before"
          :key="line.id"
          :title="`${manyOf(line)} × ${line.name}`"
          :subtitle="`begun ${dayWords(line.startedAt)}, put away ${dayWords(line.endedAt ?? line.startedAt)}`"
          @click="makings.look(line.id)"
        />
      </VList>
    </div>
  </section>
</template>

<style scoped>
.begin {
  display: grid;
  gap: 18px;
  width: 100%;
  max-width: 1120px;
  margin: 0 auto;
  padding: 24px 20px 40px;
}
.lead p {
  max-width: 620px;
  margin: 6px 0 0;
  color: var(--ink-soft);
}
.lead h2 {
  font-size: 30px;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 12px 40px;
}
.due :deep(input) {
  min-width: 190px;
}
.soft {
  color: var(--ink-soft);
}
.before {
  max-width: 560px;
}
.go {
  justify-self: start;
  min-width: 220px;
}
</style>
