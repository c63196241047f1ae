import type { Target } from '../../../core/target/target.ts';

/** Tone of the clay: pieces of one clay look alike. */
export function clayTone({ clay }: Target): 'light' | 'middle' | 'dark' {
  const { shrinkage } = clay;
  if (shrinkage > 0.11) return 'light';
  return shrinkage > 0.1 ? 'middle' : 'dark';
}
