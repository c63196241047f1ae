import { knownShrinkage } from '../../../core/studio/clay/bars.ts';
import type { Clay } from '../../../core/studio/clay/clay.ts';

/** How much a clay shrinks, wet to fired, as far as it is known: `12.0 %`. */
export const clayPercent = (clay: Clay): string => `${(100 * knownShrinkage(clay).shrinkage).toFixed(1)} %`;
