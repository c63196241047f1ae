<script setup lang="ts">
import { mdiCheckboxMultipleOutline } from '@mdi/js';
import { SHELF_ORDERS, type ShelfOrder } from './useShelfView.ts';

/** Search, order and set of the shelf. */
defineProps<{ sets: readonly string[]; order: ShelfOrder; choosing: boolean }>();
const emit = defineEmits<{ order: [order: ShelfOrder]; choose: [] }>();
const words = defineModel<string>('words', { required: true });
const set = defineModel<string | null>('set', { required: true });
</script>

<template>
  <div class="tools" role="search">
    <VTextField
      v-model="words"
      class="bare asked"
      type="search"
      placeholder="Name, form, clay or set"
      aria-label="Find on the shelf"
      clearable
      @click:clear="words = ''"
    />
    <VSelect
      class="order"
      :model-value="order"
      :items="SHELF_ORDERS"
      item-title="title"
      item-value="value"
      aria-label="Order of the shelf"
      @update:model-value="(next: ShelfOrder) => emit('order', next)"
    />
    <VBtnToggle v-if="sets.length > 0" v-model="set" class="sets" role="group" aria-label="Set" :mandatory="false">
      <VBtn :value="null" :aria-pressed="set === null">All</VBtn>
      <VBtn v-for="one in sets" :key="one" :value="one" :aria-pressed="set === one">{{ one }}</VBtn>
    </VBtnToggle>
    <VBtn
      class="several"
      variant="text"
      :prepend-icon="mdiCheckboxMultipleOutline"
      :aria-pressed="choosing"
      @click="emit('choose')"
    >
      {{ choosing ? 'Done choosing' : 'Choose several' }}
    </VBtn>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 18px;
  padding-top: 10px;
}
.asked {
  flex: 0 1 300px;
  min-width: 220px;
}
.asked.v-text-field.bare :deep(.v-field__field > .v-field__input) {
  padding-inline: 12px;
}
.order {
  flex: 0 0 auto;
  width: 210px;
}
.several {
  margin-left: auto;
}
@media (max-width: 699px) {
  .asked {
    flex: 1 1 100%;
  }
  .order {
    flex: 1 1 150px;
    width: auto;
  }
  .several {
    padding: 4px 0;
  }
}
</style>
