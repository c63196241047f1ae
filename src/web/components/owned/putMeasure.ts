import type { Fault } from '../../../core/errors.ts';

/** Takes a measure that is possible, and says what is wrong with any other. */
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
