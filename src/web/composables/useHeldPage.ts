import { onMounted, ref } from 'vue';

/** The first visit is under way by then (ms): some three megabytes are fetched, which nobody should wait for. */
const LATER = 12_000;

/** The page itself is kept in this browser, so that it opens with the server away; says when a newer one has come. */
export function useHeldPage() {
  const newer = ref(false);
  const take = ref<() => void>(() => undefined);
  async function hold(): Promise<void> {
    // Not on an address that the browser does not trust, which is any but this machine's without https.
    if (!('serviceWorker' in navigator) || import.meta.env.DEV) return;
    const { registerSW } = await import('virtual:pwa-register');
    const update = registerSW({
      immediate: true,
      onNeedRefresh: () => (newer.value = true),
      onRegisterError: () => undefined,
    });
    take.value = () => void update(true);
  }
  onMounted(() => setTimeout(() => void hold().catch(() => undefined), LATER));
  return { newer, take };
}
