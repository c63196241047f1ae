import type { Device } from '../../devices/device.ts';

/** Readings follow into a field once they have changed by so much since it was entered (mm, g), and then at changes of so much. */
const MOVED = { length: 0.5, mass: 3 };
const STEP = { length: 0.03, mass: 1 };

/** Writes into a field as a hand does, so that it is read, checked and kept in the same way. */
function write(field: HTMLInputElement, text: string): void {
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/**
 * Lets a device write into the field that has the focus, where it takes what the device measures. Its readings follow once
 * something is measured, so that entering a field changes nothing; its data button writes and goes on to the next field. A
 * hand that types has the field to itself until it is entered again.
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
