import { ref } from 'vue';

/** What is looked for: a field by its name, and the line that it may be folded under. */
export interface Led {
  readonly field: string;
  readonly fold?: string | undefined;
}

/** What somebody is being led to; folded lines open for it. */
export const led = ref<Led | null>(null);

/** A field is lit for so long (ms), and waited for no longer than this: its place may have to be fetched first. */
const LIT = 2600;
const WAIT = 4000;
const LOOK_AGAIN = 60;

function fieldOf(name: string): HTMLElement | null {
  return (
    [...document.querySelectorAll<HTMLElement>(`[name="${name}"]`)].find((one) => one.offsetParent !== null) ?? null
  );
}

/** Opens what a field is folded under, gives it the keyboard and lights it. */
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
  // A class would go with the next drawing of the field.
  line.dataset['lit'] = '';
  setTimeout(() => delete line.dataset['lit'], LIT);
}
