import type { Target } from '../../../core/target/target.ts';

/** A design solved for a cutter, its sizes written to a hundredth of a mm: the base stays true to the cutter, the fields readable. */
export function roundedCutter(target: Target): Target {
  const text = JSON.stringify(target.form, (_, value: unknown) =>
    typeof value === 'number' ? Math.round(value * 100) / 100 : value,
  );
  return { ...target, form: JSON.parse(text) as Target['form'] };
}
