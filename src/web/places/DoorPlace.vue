<script setup lang="ts">
import { ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { api } from '../api.ts';
import { useConnection } from '../stores/connection.ts';

/** The passphrase of a table that others on the network can reach. */
const route = useRoute();
const router = useRouter();
const connection = useConnection();
const passphrase = ref('');
const trouble = ref('');
const busy = ref(false);

async function enter(): Promise<void> {
  busy.value = true;
  trouble.value = '';
  try {
    await api.signIn(passphrase.value);
    const to = String(route.query['to'] ?? '/');
    await router.replace(to.startsWith('/') && !to.startsWith('//') ? to : '/');
  } catch (error) {
    trouble.value = connection.note(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <main class="door">
    <h1>This table asks for its passphrase</h1>
    <form @submit.prevent="enter">
      <label for="passphrase">Passphrase</label>
      <input id="passphrase" v-model="passphrase" type="password" autocomplete="current-password" required />
      <p v-if="trouble" role="alert">{{ trouble }}</p>
      <button type="submit" class="press" :disabled="busy">Come in</button>
    </form>
  </main>
</template>

<style scoped>
.door {
  max-width: 460px;
  margin: 0 auto;
  padding: 80px 24px;
}
form {
  display: grid;
  gap: 10px;
  margin-top: 18px;
}
input {
  min-height: 48px;
  padding: 4px 12px;
  border: 1.5px solid var(--ink-soft);
  border-radius: 8px;
  background: var(--panel);
}
form p {
  padding: 8px 12px;
  background: var(--stop);
  border-left: 4px solid var(--stop-edge);
}
</style>
