import { ref } from 'vue';
import type { Router } from 'vue-router';
import { api } from '../api.ts';

/** Browsers' error messages for a script that could not be loaded. */
const NOT_FETCHED = /dynamically imported module|importing a module script|error loading dynamically|preload/i;

const OLD = 'This page is older than the table: a newer version was put in its place. What you changed is held.';
const AWAY = 'This place could not be fetched, since the server does not answer. Try again when it is back.';

/**
 * Explains why a place does not open (its script is gone after an upgrade, or the server is away) and offers to reload the
 * page.
 */
export function useFreshPage(router: Router) {
  const stuck = ref('');
  let wanted = '';
  async function explain(to: string): Promise<void> {
    wanted = to;
    try {
      await api.health();
      stuck.value = OLD;
    } catch {
      stuck.value = AWAY;
    }
  }
  router.onError((error: unknown, to) => {
    if (NOT_FETCHED.test(String(error))) void explain(to.fullPath);
  });
  router.afterEach(() => (stuck.value = ''));
  const reload = () => window.location.assign(wanted || window.location.href);
  return { stuck, reload };
}
