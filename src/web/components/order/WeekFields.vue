<script setup lang="ts">
import type { DayHours } from '../../../core/studio/order/weekHours.ts';
import { hoursText, readHours } from '../../../core/studio/order/typedHours.ts';
import TextField from '../fields/TextField.vue';

/** The hours that the potter has, day by day of a week, typed as they are said: 9–12, 13–17. */
const props = defineProps<{ week: readonly DayHours[]; done: () => void }>();
const emit = defineEmits<{ change: [week: readonly DayHours[]] }>();

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const MOST = 60;

const take = (day: number) => (text: string) => {
  const hours = readHours(day, text);
  if (!hours)
    return [
      {
        code: 'wrong-type' as const,
        path: 'week',
        value: text,
        rule: 'write hours such as 9–12, 13:30–17, or nothing',
      },
    ];
  emit(
    'change',
    [...props.week.filter((own) => own.day !== day), ...hours].sort(
      (one, other) => one.day - other.day || one.from - other.from,
    ),
  );
  return [];
};
</script>

<template>
  <div class="week">
    <TextField
      v-for="(name, day) in DAYS"
      :key="name"
      :label="name"
      :name="`hours-${day}`"
      :value="hoursText(week, day)"
      :most="MOST"
      :take="take(day)"
      :done="done"
    />
  </div>
</template>

<style scoped>
.week {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 14px;
}
</style>
