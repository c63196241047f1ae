import type { EnterGoes } from '../../stores/settings.ts';

/** After Enter: the next field that can be typed in, in the same panel or dialog, or the same one again with all of it chosen. */
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
