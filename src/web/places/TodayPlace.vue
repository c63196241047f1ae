<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { AgendaLine } from '../../core/studio/making/agenda.ts';
import EmptyPlace from '../components/frame/EmptyPlace.vue';
import DryNow from '../components/kiln/DryNow.vue';
import { spanWords } from '../components/make/momentWords.ts';
import PlannedDay from '../components/today/PlannedDay.vue';
import TodayLines from '../components/today/TodayLines.vue';
import { useAgenda } from '../composables/useAgenda.ts';
import { useHouseWay } from '../stores/houseWay.ts';
import { useMakings } from '../stores/makings.ts';
import { useSettings } from '../stores/settings.ts';

/** Everything in work from now on: which window is open, what closes soon, and what comes next. */
const router = useRouter();
const settings = useSettings();
const way = useHouseWay();
onMounted(way.load);
const { now, makings, lines, state, trouble, load } = useAgenda();
/** Sends what was held while the server was away. */
const store = useMakings();
onMounted(() => void store.sendHeld());

/** Whether the browser notifies when a window opens, and the message where it may not. */
const refused = ref('');
async function turnAlerts(): Promise<void> {
  refused.value = '';
  if (settings.alerts) settings.alerts = false;
  else if (!('Notification' in window)) refused.value = 'This browser has no notifications.';
  else if ((await Notification.requestPermission()) === 'granted') settings.alerts = true;
  else refused.value = 'This browser does not allow it: change that in its settings for this page.';
}

const first = computed(() => lines.value[0] ?? null);
const named = ({ name, numbers }: AgendaLine) => (numbers.length > 1 ? `${numbers.length} × ${name}` : name);
const heading = computed(() => {
  if (!first.value) return '';
  const { state: how, then, step } = first.value;
  if (how === 'missed') return `${named(first.value)} can no longer be joined`;
  return how === 'waits'
    ? `Nothing now; next: ${then.title.toLowerCase()}`
    : `${(how === 'act' ? step : then).title}: ${named(first.value)}`;
});
const STATES = {
  missed: 'A window was missed',
  closing: 'The window closes soon',
  open: 'The window is open',
  past: 'The window has probably closed',
  act: 'Whenever hands are free',
  waits: 'Everything waits',
} as const;
const clock = new Intl.DateTimeFormat('en-GB', { weekday: 'long', hour: '2-digit', minute: '2-digit' });
const under = computed(() => {
  const line = first.value;
  if (!line?.window?.opens) return line?.step.until ?? '';
  const ms = now.value.getTime();
  if (line.state === 'missed') return 'Lay it flat, wet it and wait; or make the part again.';
  if (line.state === 'waits') return `${named(line)} opens in about ${spanWords(line.window.opens.usual - ms)}.`;
  const left = line.window.closes ? `About ${spanWords(line.window.closes.usual - ms)} left. ` : '';
  return `${line.state === 'past' ? '' : left}Feel one: ${line.step.until.toLowerCase()}`;
});
const due = computed(() =>
  makings.value
    .filter(({ dueAt }) => dueAt !== null)
    .sort((one, other) => ((one.dueAt ?? '') < (other.dueAt ?? '') ? -1 : 1)),
);
const day = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });

const toKiln = (id: string) => void router.push({ name: 'kiln', params: { id } });
function go(line: AgendaLine): void {
  const making = makings.value.find(({ id }) => id === line.making);
  const design = making?.pieces[line.piece]?.designId;
  if (design)
    void router.push({
      name: 'piece',
      params: { id: design, stage: 'make' },
      query: { making: line.making, piece: line.piece },
    });
}
</script>

<template>
  <main class="today" :aria-busy="state === 'loading'">
    <h1 v-if="lines.length === 0" class="unseen">Today</h1>
    <p v-if="state === 'loading'" class="plain">Looking at what is in work.</p>
    <EmptyPlace v-else-if="state === 'failed'" title="What is in work could not be fetched" :words="trouble">
      <VBtn variant="flat" @click="load">Try again</VBtn>
    </EmptyPlace>
    <div v-else-if="!first" class="nothing">
      <EmptyPlace
        title="Nothing is in work"
        words="Begin a piece at its stage Make: its windows, and what is next, stand here."
      >
        <VBtn variant="flat" :to="{ name: 'shelf' }">To the shelf</VBtn>
        <VBtn :to="{ name: 'order' }">Plan an order</VBtn>
      </EmptyPlace>
      <DryNow @taken="toKiln" />
      <PlannedDay :now="now.getTime()" :makings="makings" />
    </div>
    <template v-else>
      <section class="main">
        <header>
          <div class="lead">
            <p class="when">{{ clock.format(now) }}. {{ STATES[first.state] }}</p>
            <h1 class="serif">{{ heading }}</h1>
            <p class="under">{{ under }}</p>
          </div>
          <VBtn variant="flat" size="x-large" class="go" @click="go(first)">Go to it</VBtn>
        </header>
        <TodayLines :lines="lines" :now="now.getTime()" @go="go" />
      </section>
      <aside aria-label="Beside">
        <PlannedDay :now="now.getTime()" :makings="makings" />
        <template v-if="due.length">
          <h2>Due</h2>
          <p v-for="one in due" :key="one.id">
            <strong>{{ one.name }}</strong> {{ day.format(new Date(one.dueAt ?? '')) }}
          </p>
        </template>
        <h2>Shed</h2>
        <p>
          {{ way.air.temperature }} °C, {{ Math.round(100 * way.air.humidity) }} %,
          {{ way.air.speed === 'still' ? 'still air' : way.air.speed === 'moving' ? 'moving air' : 'a fan' }}. As typed
          at the last making.
        </p>
        <p v-if="trouble" role="status">{{ trouble }}</p>
        <DryNow @taken="toKiln" />
        <VBtn :to="{ name: 'order' }">Plan an order</VBtn>
        <VBtn :aria-pressed="settings.alerts" @click="turnAlerts">
          {{ settings.alerts ? 'Stop telling me when a window opens' : 'Tell me when a window opens' }}
        </VBtn>
        <p v-if="refused" role="alert">{{ refused }}</p>
        <VBtn href="/api/makings/calendar.ics" download="fawn-table.ics">Windows for your calendar</VBtn>
      </aside>
    </template>
  </main>
</template>

<style scoped>
.today {
  display: flex;
  flex: 1;
}
.plain {
  padding: 40px 24px;
}
.nothing {
  width: 100%;
  max-width: 620px;
  padding: 0 20px 30px;
  margin: 0 auto;
}
.main {
  flex: 1;
  min-width: 0;
  padding: 22px 24px 40px;
}
header {
  display: flex;
  gap: 20px;
  align-items: center;
  margin-bottom: 20px;
}
.lead {
  flex: 1;
  min-width: 0;
}
.lead p {
  margin: 0;
  font-size: 19px;
  color: var(--ink-soft);
}
h1 {
  margin: 2px 0 4px;
  font-size: clamp(32px, 3.4vw, 44px);
  line-height: 1.1;
}
.go {
  min-width: 200px;
  min-height: 64px;
  font-size: 21px;
}
aside {
  width: 290px;
  padding: 22px 18px;
  border-left: 1px solid var(--line);
}
aside h2 {
  font-size: 19px;
}
aside .v-btn {
  height: auto;
  min-height: 44px;
  margin: 0 8px 8px 0;
  white-space: normal;
}
aside p {
  margin: 6px 0 16px;
  color: var(--ink-soft);
}
aside strong {
  display: block;
  color: var(--ink);
}
@media (max-width: 1199px) {
  .today {
    flex-direction: column;
  }
  aside {
    width: auto;
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
@media (max-width: 699px) {
  header {
    flex-direction: column;
    align-items: stretch;
  }
  .main {
    padding: 16px;
  }
}
</style>
