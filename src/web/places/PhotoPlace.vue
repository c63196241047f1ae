<script setup lang="ts">
import { ref, watch } from 'vue';
import FileField from '../components/fields/FileField.vue';
import OneOf from '../components/fields/OneOf.vue';
import PhotoOffers from '../components/photo/PhotoOffers.vue';
import PhotoTrace from '../components/photo/PhotoTrace.vue';
import { usePhoto } from '../components/photo/usePhoto.ts';

/** How a photograph is to be taken. */
const HOW_TO =
  'Lay one flat thing on a white sheet, on a darker table, in even light. Hold the camera right above it, ' +
  'and have all four corners in the picture. The picture stays in this browser.';

/** A template, cutter, plate or leaf photographed on a sheet of paper, and traced. */
const photo = usePhoto();
const grips = ref<'corners' | 'points'>('points');
const PAPER_CHOICES = [
  { value: 'a4', words: 'A4' },
  { value: 'letter', words: 'Letter' },
] as const;
const GRIP_CHOICES = [
  { value: 'points', words: 'Outline' },
  { value: 'corners', words: 'Corners of the sheet' },
] as const;
watch(photo.paper, () => void photo.trace(photo.corners.value ?? undefined));
/** Where nothing was traced the user can correct the corners. */
watch(photo.traced, (now) => {
  if (!now) grips.value = 'corners';
});
function byHand(): void {
  photo.placeCorners();
  grips.value = 'corners';
}
</script>

<template>
  <main class="photo">
    <header>
      <h1>From a photograph</h1>
      <RouterLink :to="{ name: 'from' }">From what you own</RouterLink>
    </header>
    <div class="bench">
      <aside class="left" aria-label="The photograph">
        <OneOf
          label="Sheet under it"
          :value="photo.paper.value"
          :choices="PAPER_CHOICES"
          @choose="(value) => (photo.paper.value = value)"
        />
        <FileField
          label="Take or choose a photograph"
          name="photo"
          accept="image/*"
          :note="HOW_TO"
          :trouble="photo.trouble.value"
          @read="photo.read"
        />
        <VProgressLinear v-if="photo.busy.value" indeterminate aria-label="Tracing the photograph" />
        <VBtn v-if="photo.busy.value" @click="photo.stop">Stop</VBtn>
        <template v-else-if="photo.photo.value">
          <VBtn v-if="!photo.corners.value" variant="flat" @click="byHand">Show the corners by hand</VBtn>
          <OneOf
            v-else
            label="What is dragged"
            :value="grips"
            :choices="GRIP_CHOICES"
            @choose="(way) => (grips = way)"
          />
        </template>
        <PhotoOffers v-if="photo.readings.value && !photo.busy.value" :readings="photo.readings.value" />
      </aside>
      <div class="middle">
        <PhotoTrace v-if="photo.photo.value" :photo="photo" :grips="grips" />
        <p v-else class="empty">
          A paper template, a cutter, a plate or a leaf: it is measured against the sheet that it lies on.
        </p>
      </div>
    </div>
  </main>
</template>

<style scoped>
.photo {
  display: flex;
  flex-direction: column;
  flex: 1;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
  padding: 10px 18px;
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
  grid-template-columns: 320px minmax(0, 1fr);
}
.left {
  display: grid;
  gap: 12px;
  align-content: start;
  padding: 16px 18px;
  border-right: 1px solid var(--line);
}
.middle {
  display: grid;
  place-items: start center;
  padding: 16px;
}
.empty {
  max-width: 420px;
  padding: 60px 0;
  text-align: center;
  color: var(--ink-soft);
}
@media (max-width: 899px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
  }
  .left {
    border-right: 0;
  }
  .middle {
    order: -1;
    padding: 8px;
  }
  .empty {
    padding: 12px 0;
  }
}
</style>
