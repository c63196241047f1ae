import type { Fault } from '../../../core/errors.ts';

/** Puts a measure that can be meant; another is told. */
export function putMeasure<T extends object>(into: T, key: keyof T, least = 0) {
  return (value: number): readonly Fault[] => {
    if (!(value > least) || value > 5000) {
      return [
        {
          code: 'out-of-range',
          path: String(key),
          value: String(value),
          rule: `must be more than ${least} and at most 5000`,
        },
      ];
    }
    into[key] = value as T[keyof T];
    return [];
  };
}
