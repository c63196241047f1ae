<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { limitsOf } from '../../../core/forms/mould/limits.ts';
import type { Fault } from '../../../core/errors.ts';
import { isDraped, type DrapedTarget } from '../../../core/forms/mould/draped.ts';
import { fromSections } from '../../../core/forms/mould/sections.ts';
import type { Dart } from '../../../core/target/mouldForm.ts';
import { FACE_UP_WAYS, SEAM_WAYS } from '../piece/ways.ts';
import { useBlankWork } from '../../composables/useBlankWork.ts';
import type { Target } from '../../../core/target/target.ts';
import { packed } from '../../workers/blankWork.ts';
import { usePiece } from '../../stores/piece.ts';
import ChoiceField from '../fields/ChoiceField.vue';
import LengthField from '../fields/LengthField.vue';
import NumberField from '../fields/NumberField.vue';

/** How the blank is cut: its darts, what the clay takes, the face that lies up. */
const piece = usePiece();
const work = useBlankWork();
const words = ref('');
/** The design that was found too deep for darts. */
const tooDeep = shallowRef<Target | null>(null);
const draped = computed(() => (isDraped(piece.beside.target) ? piece.beside.target : null));
const darts = computed(() => draped.value?.form.darts ?? []);

function put(change: Partial<DrapedTarget['form']>, group: string | null = null): readonly Fault[] {
  const { target } = piece;
  return isDraped(target)
    ? piece.change({ ...target, form: { ...target.form, ...change } as DrapedTarget['form'] }, group)
    : [];
}
const now = () => (isDraped(piece.target) ? (piece.target.form.darts ?? []) : []);
const dart = (index: number, key: keyof Dart) => (value: number) =>
  put({ darts: now().map((one, at) => (at === index ? { ...one, [key]: value } : one)) }, `dart.${index}.${key}`);
const limit = (key: 'stretch' | 'gather') => (value: number) =>
  isDraped(piece.target) ? put({ limits: { ...limitsOf(piece.target), [key]: value } }, `limit.${key}`) : [];

/** The widest gap between darts gets the next one. */
function add(): void {
  const list = [...now()].sort((one, other) => one.at - other.at);
  const first = list[0];
  if (!first) return void put({ darts: [{ at: 0, depth: 40 }] });
  const gaps = list.map((one, index) => ({
    from: one.at,
    wide: ((list[(index + 1) % list.length]?.at ?? 0) - one.at + 360) % 360 || 360,
  }));
  const widest = gaps.reduce((most, gap) => (gap.wide > most.wide ? gap : most));
  put({ darts: [...now(), { at: (Math.round((widest.from + widest.wide / 2) * 10) / 10) % 360, depth: first.depth }] });
}

async function propose(): Promise<void> {
  words.value = '';
  if (!isDraped(piece.target)) return;
  const asked = piece.target;
  const reply = await work.ask(packed('propose', asked));
  if (reply?.kind === 'failed') words.value = reply.rule;
  if (reply?.kind !== 'proposed') return;
  const { proposal } = reply;
  if (proposal.kind === 'darts' && piece.target === asked) put({ darts: proposal.darts });
  if (proposal.kind === 'none-needed')
    words.value = 'No darts are needed: without any it stays within what this clay takes.';
  if (proposal.kind === 'too-deep') {
    tooDeep.value = asked;
    words.value = 'Too deep for darts: make it from a foot and bands round it.';
  }
}
/** A piece too deep for darts is offered in sections. */
const deep = computed(
  () =>
    tooDeep.value === piece.target ||
    piece.beside.developed.checks.some(({ code, level }) => code === 'drape' && level === 'stop'),
);
const sections = computed(() => (draped.value ? fromSections(draped.value) : null));
const letter = (index: number) => String.fromCharCode(65 + index);
</script>

<template>
  <section v-if="draped" aria-labelledby="dart-heading">
    <h2 id="dart-heading">How it is cut</h2>
    <ChoiceField
      label="Face up"
      name="faceUp"
      :value="draped.slab.faceUp"
      :choices="FACE_UP_WAYS"
      @choose="(faceUp) => piece.change({ ...piece.target, slab: { ...piece.target.slab, faceUp } })"
    />
    <LengthField
      label="Margin to trim"
      name="margin"
      :mm="draped.form.margin"
      :take="(margin) => put({ margin }, 'margin')"
      :done="piece.endGesture"
    />
    <h2>Darts</h2>
    <p v-if="darts.length === 0" class="none">None: the rim gathers all round.</p>
    <ul>
      <li v-for="(one, index) in darts" :key="index">
        <strong>{{ letter(index) }}</strong>
        <div>
          <NumberField
            label="At"
            :name="`dart-${index}-at`"
            unit="°"
            :digits="1"
            :value="one.at"
            :take="dart(index, 'at')"
            :done="piece.endGesture"
          />
          <LengthField
            label="Deep"
            :name="`dart-${index}-depth`"
            :mm="one.depth"
            :take="dart(index, 'depth')"
            :done="piece.endGesture"
          />
        </div>
        <VBtn
          variant="text"
          class="away"
          :aria-label="`Take dart ${letter(index)} away`"
          @click="put({ darts: now().filter((_, at) => at !== index) })"
        >
          ×
        </VBtn>
      </li>
    </ul>
    <div class="verbs">
      <VBtn @click="add">Add a dart</VBtn>
      <VBtn v-if="work.far.value === null" @click="propose">Propose darts</VBtn>
      <template v-else>
        <VProgressLinear :model-value="100 * work.far.value" aria-label="Looking for darts" class="far-bar" />
        <VBtn @click="work.stop()">Give up</VBtn>
      </template>
      <VBtn v-if="darts.length" @click="put({ darts: [] })">None</VBtn>
    </div>
    <p role="status" class="none">{{ words }}</p>
    <VBtn v-if="deep && sections" @click="piece.change(sections)">
      Make it from a foot and {{ sections.form.kind === 'stack' ? 'bands' : 'a wall' }}
    </VBtn>
    <h2>What the clay takes</h2>
    <NumberField
      label="Greatest stretch"
      name="limit-stretch"
      unit=" %"
      :digits="1"
      :factor="0.01"
      :value="limitsOf(draped).stretch"
      :take="limit('stretch')"
      :done="piece.endGesture"
    />
    <NumberField
      label="Greatest gather"
      name="limit-gather"
      unit=" %"
      :digits="1"
      :factor="0.01"
      :value="limitsOf(draped).gather"
      :take="limit('gather')"
      :done="piece.endGesture"
    />
    <ChoiceField
      label="Darts are joined"
      name="seam"
      :value="draped.seam.kind"
      :choices="SEAM_WAYS.filter(({ value }) => value === 'bevel' || value === 'butt')"
      @choose="
        (kind) =>
          piece.change({
            ...piece.target,
            seam: kind === 'bevel' ? { kind, angle: 45, panels: 1 } : { kind: 'butt', panels: 1 },
          })
      "
    />
  </section>
</template>

<style scoped>
.none {
  font-size: 15px;
  color: var(--ink-soft);
  padding: 4px 0;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) 44px;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
li strong {
  font-family: 'Bitter', serif;
  font-size: 19px;
}
.away {
  min-height: 44px;
  font-size: 20px;
  color: var(--press);
}
.verbs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 8px 0;
}
.far-bar {
  width: 120px;
}
</style>
