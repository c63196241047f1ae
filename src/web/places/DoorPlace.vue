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
    <VForm @submit.prevent="enter">
      <VTextField
        v-model="passphrase"
        class="words"
        label="Passphrase"
        name="passphrase"
        type="password"
        autocomplete="current-password"
        required
      />
      <VAlert v-if="trouble" type="error">{{ trouble }}</VAlert>
      <VBtn type="submit" variant="flat" :disabled="busy">Come in</VBtn>
    </VForm>
  </main>
</template>

<style scoped>
.door {
  max-width: 460px;
  margin: 0 auto;
  padding: 80px 24px;
}
.v-form {
  display: grid;
  gap: 10px;
  margin-top: 18px;
}
</style>
