import { onMounted, onUnmounted } from 'vue';
import { useSettings } from '../stores/settings.ts';

/** One shortcut: its keys (`ctrl+z`, `?`, `f`), its description, and its action. */
export interface Shortcut {
  readonly keys: string;
  readonly words: string;
  readonly run: () => void;
}

/** All active shortcuts; the help lists them. */
const active = new Set<readonly Shortcut[]>();

/** The active shortcuts, for the list of keys. */
export function activeShortcuts(): Shortcut[] {
  return [...active].flat();
}

function typing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** The space bar presses a focused button. */
function pressesItself(event: KeyboardEvent): boolean {
  return (
    event.key === ' ' && event.target instanceof Element && event.target.closest('button, a, [role="slider"]') !== null
  );
}

function pressed(event: KeyboardEvent): string {
  const key = event.key === ' ' ? 'space' : event.key.toLowerCase();
  const control = event.ctrlKey || event.metaKey ? 'ctrl+' : '';
  const shift = event.shiftKey && control ? 'shift+' : '';
  return `${control}${shift}${key}`;
}

/** Binds shortcuts while the component lives. Plain letters do not work while a field is typed in, a dialog is open, or they are switched off. */
export function useShortcuts(shortcuts: readonly Shortcut[]): void {
  const settings = useSettings();
  const onKey = (event: KeyboardEvent) => {
    if (event.altKey || event.defaultPrevented || pressesItself(event)) return;
    const keys = pressed(event);
    const plain = !keys.startsWith('ctrl+');
    if (
      plain &&
      (typing(event.target) ||
        (!settings.letters && keys !== '?') ||
        document.querySelector('.v-overlay--active [role="dialog"], .v-dialog.v-overlay--active'))
    )
      return;
    if (keys === 'ctrl+z' && typing(event.target) && event.target !== document.body)
      (event.target as HTMLElement).blur();
    const found = shortcuts.find((shortcut) => shortcut.keys.split(' or ').includes(keys));
    if (!found) return;
    event.preventDefault();
    found.run();
  };
  onMounted(() => {
    active.add(shortcuts);
    window.addEventListener('keydown', onKey);
  });
  onUnmounted(() => {
    active.delete(shortcuts);
    window.removeEventListener('keydown', onKey);
  });
}
