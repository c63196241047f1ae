import type { Target } from '../../target/target.ts';
import type { Reversed } from './reversed.ts';

/** The target that was made; throws the reason where there is none. */
export const targetOf = (reversed: Reversed): Target => {
  if (reversed.kind !== 'made') throw new Error(reversed.rule);
  return reversed.target;
};
