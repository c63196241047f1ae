import { ref } from 'vue';

/** A field to be shown: its name, and the heading that it may be folded under. */
export interface Led {
  readonly field: string;
  readonly fold?: string | undefined;
}

/** The field that the user is being led to; folded sections open for it. */
export const led = ref<Led | null>(null);

/** How long a field is highlighted (ms), and how long it is waited for: its place may have to be fetched first. */
const LIT = 2600;
const WAIT = 4000;
const LOOK_AGAIN = 60;

function fieldOf(name: string): HTMLElement | null {
  return (
    [...document.querySelectorAll<HTMLElement>(`[name="${name}"]`)].find((one) => one.offsetParent !== null) ?? null
  );
}

/** Unfolds the section of a field, focuses the field and highlights it. */
export async function leadTo(to: Led): Promise<void> {
  led.value = to;
  const until = performance.now() + WAIT;
  let field = fieldOf(to.field);
  while (!field && performance.now() < until) {
    await new Promise((resolve) => setTimeout(resolve, LOOK_AGAIN));
    field = fieldOf(to.field);
  }
  led.value = null;
  if (!field) return;
  const line = field.closest<HTMLElement>('.v-input, .choice') ?? field;
  line.scrollIntoView({ block: 'center' });
  field.focus({ preventScroll: true });
  // A class would be lost when the field is rendered again.
  line.dataset['lit'] = '';
  setTimeout(() => delete line.dataset['lit'], LIT);
}
