<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import ShelfPiece from '../components/shelf/ShelfPiece.vue';
import { shelfRows } from '../components/shelf/shelfRows.ts';
import { nextTask } from '../composables/nextTask.ts';
import { useLengths } from '../composables/useLengths.ts';
import { useShortcuts } from '../composables/useShortcuts.ts';
import { useSize } from '../composables/useSize.ts';
import { useShelf } from '../stores/shelf.ts';

/** The designs, drawn at one scale side by side as on a shelf. */
const shelf = useShelf();
const router = useRouter();
const lengths = useLengths();
const boards = ref<HTMLElement | null>(null);
const file = ref<HTMLInputElement | null>(null);
const fileTrouble = ref('');
const { width } = useSize(boards);

const laid = computed(() => shelfRows(shelf.designs, Math.max(160, width.value)));
const undoable = computed({ get: () => shelf.takenOff !== null, set: () => (shelf.takenOff = null) });
/** About so many designs are drawn at first; more of them as the end of the drawn rows comes into sight. */
const AT_FIRST = 60;
/** So many are drawn in one task: the page answers in between. */
const IN_ONE_TASK = 4;
const wanted = ref(IN_ONE_TASK);
let there = true;
async function drawFirst(): Promise<void> {
  while (there && wanted.value < AT_FIRST) {
    await nextTask();
    wanted.value += IN_ONE_TASK;
  }
}
const drawnRows = computed(() => {
  let count = 0;
  const full = laid.value.rows.findIndex((row) => (count += row.length) >= wanted.value);
  return full < 0 ? laid.value.rows.length : full + 1;
});
const rest = ref<HTMLElement | null>(null);
/** About how high a row is, so that the page is as long as all of them (px). */
const ROW_HEIGHT = 330;
const further = new IntersectionObserver(
  (seen) => {
    if (seen.some(({ isIntersecting }) => isIntersecting)) wanted.value += AT_FIRST;
  },
  { rootMargin: '600px' },
);
watch([rest, drawnRows], () => {
  // Observed anew, it tells again when it is still in sight.
  further.disconnect();
  if (rest.value) further.observe(rest.value);
});
onUnmounted(() => {
  there = false;
  further.disconnect();
});

/** A round length near a quarter of the shelf, for the scale bar (mm). */
const barLength = 100;

async function begin(): Promise<void> {
  const design = await shelf.create();
  if (design) await router.push({ name: 'piece', params: { id: design.id }, state: { fresh: true } });
}

async function readFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const chosen = input.files?.[0];
  input.value = '';
  if (!chosen) return;
  fileTrouble.value = '';
  try {
    const design = await shelf.create(JSON.parse(await chosen.text()));
    if (design) await router.push({ name: 'piece', params: { id: design.id } });
  } catch {
    fileTrouble.value = `${chosen.name} is not a design file: it is not JSON.`;
  }
}

useShortcuts([{ keys: 'n', words: 'New piece', run: () => void begin() }]);
onMounted(() => {
  void shelf.load();
  void drawFirst();
});
</script>

<template>
  <main class="shelf">
    <header>
      <h1>On the shelf</h1>
      <p v-if="shelf.state === 'ready'">
        {{ shelf.designs.length }} {{ shelf.designs.length === 1 ? 'design' : 'designs' }}, drawn at one scale, as fired
      </p>
      <span class="begin">
        <VBtn :to="{ name: 'from' }">From what you own</VBtn>
        <VBtn @click="file?.click()">Open a file</VBtn>
        <input
          ref="file"
          class="unseen"
          type="file"
          accept=".json,application/json"
          aria-label="Design file"
          tabindex="-1"
          @change="readFile"
        />
        <VBtn variant="flat" @click="begin">New piece</VBtn>
      </span>
    </header>
    <VAlert v-if="shelf.trouble || fileTrouble" type="error">{{ fileTrouble || shelf.trouble }}</VAlert>
    <div ref="boards" class="boards">
      <p v-if="shelf.state === 'loading'" class="waiting">Fetching the designs.</p>
      <p v-else-if="shelf.state === 'failed'" class="waiting">
        The designs could not be fetched. They are asked for again as soon as the server answers.
      </p>
      <section v-else-if="shelf.designs.length === 0" class="empty">
        <div class="bare-plank" />
        <h2>The shelf is bare</h2>
        <p>Begin with a straight tumbler and change its size: the pattern follows as you type.</p>
        <VBtn variant="flat" @click="begin">New piece</VBtn>
      </section>
      <template v-else>
        <ul v-for="(row, index) in laid.rows.slice(0, drawnRows)" :key="index" class="row">
          <ShelfPiece
            v-for="item in row"
            :key="item.design.id"
            :design="item.design"
            :scale="laid.scale"
            :tallest="laid.tallest"
            :width="item.width"
            @rename="(name) => shelf.rename(item.design, name)"
            @duplicate="shelf.duplicate(item.design)"
            @take-off="shelf.takeOff(item.design)"
          />
          <li class="rest" aria-hidden="true" />
        </ul>
        <div
          v-if="laid.rows.length > drawnRows"
          ref="rest"
          :style="{ height: `${(laid.rows.length - drawnRows) * ROW_HEIGHT}px` }"
        />
        <p class="scale"><span :style="{ width: `${barLength * laid.scale}px` }" /> {{ lengths.length(barLength) }}</p>
      </template>
    </div>
    <VSnackbar v-model="undoable" :timeout="12000" location="bottom">
      “{{ shelf.takenOff?.name }}” was taken off the shelf.
      <template #actions>
        <VBtn variant="text" class="undo" @click="shelf.putBack()">Put it back</VBtn>
      </template>
    </VSnackbar>
  </main>
</template>

<style scoped>
.shelf {
  width: 100%;
  max-width: 1500px;
  margin: 0 auto;
  padding: 22px clamp(12px, 3vw, 40px) 60px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 6px 16px;
}
h1 {
  font-size: 28px;
}
header p {
  color: var(--ink-soft);
  margin: 0;
}
.begin {
  margin-left: auto;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.boards {
  padding-top: 18px;
}
.row {
  display: flex;
  list-style: none;
  padding: 14px 0 0;
  margin: 0 0 8px;
  content-visibility: auto;
  contain-intrinsic-size: auto 330px;
}
.rest {
  flex: 1;
  display: flex;
  flex-direction: column;
  justify-content: flex-start;
}
.rest::before {
  content: '';
  height: calc(v-bind('`${laid.tallest}px`'));
}
.rest::after {
  content: '';
  height: 17px;
  background: linear-gradient(var(--wood) 0 12px, var(--wood-deep) 12px);
}
.scale {
  display: flex;
  align-items: center;
  gap: 12px;
  color: var(--ink-soft);
}
.scale span {
  height: 12px;
  border: solid var(--ink);
  border-width: 0 2px;
  background: linear-gradient(var(--ink), var(--ink)) center / 100% 2px no-repeat;
}
.waiting {
  padding: 80px 0;
  color: var(--ink-soft);
  text-align: center;
}
.empty {
  display: grid;
  justify-items: center;
  gap: 10px;
  padding-top: 120px;
  text-align: center;
}
.bare-plank {
  width: 100%;
  height: 17px;
  margin-bottom: 20px;
  background: linear-gradient(var(--wood) 0 12px, var(--wood-deep) 12px);
}
</style>
