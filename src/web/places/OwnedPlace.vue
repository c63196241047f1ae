<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useDisplay } from 'vuetify';
import { develop } from '../../core/piece/develop.ts';
import OwnedDrawing from '../components/owned/OwnedDrawing.vue';
import OwnedFields from '../components/owned/OwnedFields.vue';
import { useOwned } from '../components/owned/owned.ts';
import WetFired from '../components/piece/WetFired.vue';
import CheckList from '../components/piece/CheckList.vue';
import { roundedCutter } from '../components/piece/roundedCutter.ts';
import { useLengths } from '../composables/useLengths.ts';
import { useBench } from '../stores/bench.ts';
import { useShelf } from '../stores/shelf.ts';

/** Backwards: from an owned template, sheet, cutter or former to the piece that it makes. */
const owned = useOwned();
const shelf = useShelf();
const bench = useBench();
const router = useRouter();
const lengths = useLengths();
const busy = ref(false);
/** On a narrow screen the drawing stays in view, with one of these beside or below it. */
const { mdAndDown: narrow } = useDisplay();
const tab = ref<'owned' | 'piece'>('owned');
const developed = computed(() => {
  const { value } = owned.reversed;
  return value.kind === 'made' ? { target: value.target, ...develop(value.target, bench.bench) } : null;
});

async function keep(): Promise<void> {
  if (owned.reversed.value.kind !== 'made') return;
  busy.value = true;
  const design = await shelf.create(roundedCutter(owned.reversed.value.target));
  busy.value = false;
  if (design) await router.push({ name: 'piece', params: { id: design.id, stage: 'shape' } });
}
</script>

<template>
  <main class="owned">
    <header>
      <h1>From what you own</h1>
      <RouterLink :to="{ name: 'photograph' }">From a photograph</RouterLink>
      <RouterLink :to="{ name: 'shelf' }">Back to the shelf</RouterLink>
    </header>
    <div class="bench">
      <OwnedDrawing :owned="owned" class="middle" :tabindex="narrow ? 0 : undefined" />
      <VTabs v-if="narrow" v-model="tab" class="tabs" grow height="48" aria-label="Beside the drawing">
        <VTab value="owned">What you own</VTab>
        <VTab value="piece">The piece</VTab>
      </VTabs>
      <aside v-show="!narrow || tab === 'piece'" class="right" aria-label="The piece">
        <template v-if="developed">
          <dl>
            <div v-if="developed.finished.capacityBrim > 0">
              <dt>Holds, to the brim</dt>
              <dd data-owned="capacity">{{ lengths.volume(developed.finished.capacityBrim) }}</dd>
            </div>
          </dl>
          <WetFired :target="developed.target" />
          <VTextField
            v-model="owned.name.value"
            class="words"
            label="Its name"
            name="name"
            maxlength="120"
            :placeholder="owned.reversed.value.kind === 'made' ? owned.reversed.value.target.name : ''"
          />
          <VBtn variant="flat" :disabled="busy" @click="keep">Put it on the shelf</VBtn>
          <VAlert v-if="shelf.trouble" type="error">{{ shelf.trouble }}</VAlert>
          <CheckList :checks="developed.checks.filter(({ code }) => code !== 'slab-size' && code !== 'drape')" />
        </template>
        <VAlert v-else-if="owned.reversed.value.kind === 'impossible'" type="error">
          That makes no piece: {{ lengths.words(owned.reversed.value.rule) }}.
        </VAlert>
      </aside>
      <aside v-show="!narrow || tab === 'owned'" class="left" aria-label="What you own">
        <OwnedFields :owned="owned" />
      </aside>
    </div>
  </main>
</template>

<style scoped>
.owned {
  display: flex;
  flex-direction: column;
  flex: 1;
}
header {
  display: flex;
  align-items: baseline;
  gap: 18px;
  padding: 14px 18px;
  border-bottom: 1px solid var(--line);
}
h1 {
  font-size: 24px;
}
header a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
.bench {
  flex: 1;
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr) 272px;
  grid-template-areas: 'left middle right';
}
.left {
  grid-area: left;
  padding: 16px 18px;
  border-right: 1px solid var(--line);
}
.middle {
  grid-area: middle;
}
.right {
  grid-area: right;
  display: grid;
  gap: 12px;
  align-content: start;
  padding: 16px 18px;
  border-left: 1px solid var(--line);
}
dl > div {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
dt {
  color: var(--ink-soft);
}
dd {
  font-size: 24px;
  font-weight: 700;
}
/* Narrower than this, the panels beside the drawing take turns, and each scrolls by itself. */
@media (max-width: 1199px) {
  .owned {
    height: calc(100dvh - 56px);
    flex: none;
  }
  header {
    padding: 4px 18px;
  }
  .bench {
    min-height: 0;
    grid-template-columns: minmax(0, 1fr) minmax(300px, 40%);
    grid-template-rows: auto minmax(0, 1fr);
    grid-template-areas: 'middle tabs' 'middle panel';
  }
  .tabs {
    grid-area: tabs;
    border-bottom: 1px solid var(--line);
    border-left: 1px solid var(--line);
  }
  .left,
  .right {
    grid-area: panel;
    min-width: 0;
    overflow: auto;
    border-right: 0;
    border-left: 1px solid var(--line);
  }
  .middle {
    min-height: 0;
    overflow: auto;
  }
}
@media (max-width: 699px) {
  h1 {
    font-size: 20px;
    line-height: 44px;
  }
  header a:last-child {
    display: none;
  }
}
@media (max-width: 1199px) and (orientation: portrait) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr) auto minmax(0, 1fr);
    grid-template-areas: 'middle' 'tabs' 'panel';
  }
}
</style>
