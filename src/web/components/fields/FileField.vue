<script setup lang="ts">
/** A press that reads a file, what it takes, and why the last one was not taken. */
defineProps<{ label: string; name: string; accept: string; note: string; trouble: string }>();
const emit = defineEmits<{ read: [file: File] }>();

function onChange(event: Event): void {
  const input = event.currentTarget as HTMLInputElement;
  const file = input.files?.[0];
  // The same file may be read again.
  input.value = '';
  if (file) emit('read', file);
}
</script>

<template>
  <div>
    <label class="quiet file">
      {{ label }}
      <input type="file" :name="name" :accept="accept" @change="onChange" />
    </label>
    <p class="read">{{ note }}</p>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.file {
  display: inline-flex;
  align-items: center;
  margin: 8px 0 2px;
  padding: 4px 12px;
  cursor: pointer;
}
.file:focus-within {
  outline: 3px solid var(--press);
}
.file input {
  position: absolute;
  width: 1px;
  height: 1px;
  opacity: 0;
}
.read {
  font-size: 15px;
  color: var(--ink-soft);
  padding: 2px 0 6px;
}
.trouble {
  padding: 8px 12px;
  margin: 4px 0 8px;
  border-left: 4px solid var(--stop-edge);
  background: var(--stop);
}
</style>
