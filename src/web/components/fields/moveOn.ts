import type { EnterGoes } from '../../stores/settings.ts';

/** After Enter: moves to the next field in the same panel or dialog, or selects all of the same one. */
export function moveOn(from: HTMLInputElement, goes: EnterGoes): void {
  const panel = from.closest('aside, [role="dialog"], form, section, main') ?? document.body;
  const fields = [
    ...panel.querySelectorAll<HTMLInputElement>('input:not([type="hidden"], [type="file"], [disabled], [readonly])'),
  ];
  const visible = fields.filter((field) => field === from || field.checkVisibility());
  const next = goes === 'next' ? visible[visible.indexOf(from) + 1] : undefined;
  // Leaving takes the figure, also where the focus comes back.
  from.blur();
  (next ?? from).focus();
}
