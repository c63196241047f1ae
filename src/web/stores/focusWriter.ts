import type { Device } from '../../devices/device.ts';

/** Least change of a reading (mm, g) since the field was focused, and since the last one, for it to be written. */
const MOVED = { length: 0.5, mass: 3 };
const STEP = { length: 0.03, mass: 1 };

/** Writes into a field as typing does, so that it is read, checked and saved in the same way. */
function write(field: HTMLInputElement, text: string): void {
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/**
 * Lets a device write into the focused field, if that takes what the device measures. Its readings are written only once
 * they change, so that focusing a field changes nothing; its data button writes and moves on to the next field. Once
 * somebody types, the device leaves the field alone until it is focused again.
 */
export function focusWriter(device: Device<'caliper'> | Device<'scale'>, takes: 'length' | 'mass'): void {
  let entered: {
    readonly field: HTMLInputElement;
    from: number | null;
    moved: boolean;
    last: number | null;
    typed: boolean;
  } | null = null;

  const fieldOf = (target: EventTarget | null) =>
    target instanceof HTMLInputElement && target.closest<HTMLElement>('[data-takes]')?.dataset['takes'] === takes
      ? target
      : null;
  document.addEventListener('focusin', ({ target }) => {
    const field = fieldOf(target);
    entered = field && { field, from: device.read()?.value ?? null, moved: false, last: null, typed: false };
  });
  document.addEventListener('focusout', () => (entered = null));
  document.addEventListener('keydown', (event) => {
    if (event.isTrusted && entered && (event.key.length === 1 || event.key === 'Backspace')) entered.typed = true;
  });

  device.on((event) => {
    if (!entered || (event.kind !== 'reading' && event.kind !== 'taken')) return;
    const { value, text, steady } = event.reading;
    const { field } = entered;
    if (event.kind === 'taken') {
      write(field, text);
      field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
      return;
    }
    entered.from ??= value;
    entered.moved ||= Math.abs(value - entered.from) >= MOVED[takes];
    if (!entered.moved || entered.typed || !steady || value <= 0) return;
    if (entered.last !== null && Math.abs(value - entered.last) < STEP[takes]) return;
    entered.last = value;
    write(field, text);
  });
}
