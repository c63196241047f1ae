<script setup lang="ts">
/** What long work is doing, with a way to give it up, or why it found nothing. */
withDefaults(defineProps<{ busy: boolean; trouble: string; doing?: string }>(), { doing: 'Trying sizes' });
const emit = defineEmits<{ cancel: [] }>();
</script>

<template>
  <p v-if="busy" class="busy" role="status">
    {{ doing }}
    <button type="button" @click="emit('cancel')">Give it up</button>
  </p>
  <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
</template>

<style scoped>
p {
  margin: 8px 0 0;
  padding: 6px 10px;
}
.busy {
  display: flex;
  align-items: center;
  justify-content: space-between;
  background: var(--press-soft);
}
.busy button {
  min-height: 44px;
  color: var(--press);
  font-weight: 600;
  text-decoration: underline;
  cursor: pointer;
}
.trouble {
  background: var(--stop);
  border-left: 4px solid var(--stop-edge);
}
</style>
