import { onMounted, ref } from 'vue';

/** Delay before the page is stored (ms): three megabytes are fetched, and the first visit should not wait for them. */
const LATER = 12_000;

/** Stores the page itself in this browser, so that it opens while the server is away; tells when a newer one is ready. */
export function useHeldPage() {
  const newer = ref(false);
  const take = ref<() => void>(() => undefined);
  async function hold(): Promise<void> {
    // Browsers allow this over https and on this machine only.
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
