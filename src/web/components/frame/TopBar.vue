<script setup lang="ts">
import { storeToRefs } from 'pinia';
import { computed } from 'vue';
import { LENGTH_UNITS } from '../../../core/units/lengthUnit.ts';
import { useSettings } from '../../stores/settings.ts';

/** The places that are always at hand. */
const PLACES = [
  { name: 'shelf', title: 'Shelf' },
  { name: 'clay', title: 'Clay' },
  { name: 'kit', title: 'Kit' },
] as const;

/** Name, units, light, find and help. */
defineEmits<{ find: []; keys: [] }>();
const settings = useSettings();
const { unit, marks, volumes, light } = storeToRefs(settings);
const otherLight = computed(() => (light.value === 'day' ? 'Evening' : 'Day'));
</script>

<template>
  <header class="bar">
    <RouterLink class="brand serif" :to="{ name: 'shelf' }">Fawn Table</RouterLink>
    <nav aria-label="Places">
      <RouterLink v-for="place in PLACES" :key="place.name" class="place" :to="{ name: place.name }">
        {{ place.title }}
      </RouterLink>
    </nav>
    <div id="place-heading" class="heading" />
    <div class="units" role="radiogroup" aria-label="Units">
      <button
        v-for="one in LENGTH_UNITS"
        :key="one"
        type="button"
        role="radio"
        :aria-checked="one === unit"
        :class="{ here: one === unit }"
        @click="unit = one"
      >
        {{ one }}
      </button>
    </div>
    <button
      v-if="unit === 'inch'"
      type="button"
      class="marks"
      :aria-label="`Inches to 1/${marks}, change`"
      @click="marks = marks === 16 ? 32 : 16"
    >
      to 1/{{ marks }}
    </button>
    <button
      v-if="unit === 'inch'"
      type="button"
      class="marks"
      :aria-label="`Fluid ounces: ${volumes === 'us' ? 'United States' : 'imperial'}, change`"
      @click="volumes = volumes === 'us' ? 'imperial' : 'us'"
    >
      {{ volumes === 'us' ? 'US oz' : 'imp. oz' }}
    </button>
    <button type="button" class="light" :title="`${otherLight} light`" @click="settings.turnLight">
      <svg viewBox="0 0 20 20" width="20" height="20" aria-hidden="true">
        <circle cx="10" cy="10" r="7" />
        <path d="M10 3a7 7 0 0 1 0 14z" />
      </svg>
      <span>{{ otherLight }}</span>
    </button>
    <button type="button" class="find" @click="$emit('find')">Find <kbd>Ctrl K</kbd></button>
    <button type="button" class="keys" aria-label="Shortcuts" @click="$emit('keys')">?</button>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
  min-height: 56px;
  padding: 4px 20px;
  background: var(--bar);
  color: var(--bar-ink);
}
.brand {
  font-size: 20px;
  color: var(--bar-ink);
  text-decoration: none;
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
.place {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0 10px;
  color: var(--bar-soft);
}
.place.router-link-active {
  color: var(--bar-ink);
  text-underline-offset: 5px;
}
nav {
  display: flex;
}
.heading {
  flex: 1;
  min-width: 0;
}
button {
  min-height: 44px;
  min-width: 44px;
  padding: 0 12px;
  border-radius: 8px;
  color: var(--bar-soft);
  cursor: pointer;
}
.light {
  display: inline-flex;
  align-items: center;
  justify-content: center;
}
.light svg {
  display: none;
  fill: currentColor;
  stroke: currentColor;
  stroke-width: 1.6;
}
.light circle {
  fill: none;
}
.units {
  display: flex;
  border: 1px solid #d3bb9866;
  border-radius: 10px;
  overflow: hidden;
}
.units button {
  border-radius: 0;
  color: var(--bar-ink);
}
.units .here {
  background: #f8ecd8;
  color: #2b1f1a;
  font-weight: 700;
}
kbd {
  margin-left: 6px;
  font: inherit;
  opacity: 0.85;
}
:focus-visible {
  outline-color: #ffd98a;
  outline-offset: -3px;
}
@media (max-width: 1500px) {
  kbd {
    display: none;
  }
}
@media (max-width: 1180px) {
  .light span {
    clip-path: inset(50%);
    position: absolute;
  }
  .light svg {
    display: block;
  }
  .place {
    padding: 0 6px;
  }
  button {
    padding: 0 8px;
  }
}
@media (max-width: 700px) {
  .bar {
    padding: 4px 8px;
  }
  nav {
    order: 2;
    flex-basis: 100%;
    justify-content: space-around;
  }
  .keys {
    display: none;
  }
  .brand {
    margin-right: auto;
    padding-left: 6px;
  }
  .heading {
    order: 1;
    flex-basis: 100%;
  }
}
@media print {
  .bar button,
  .bar nav,
  .units {
    display: none;
  }
}
</style>
