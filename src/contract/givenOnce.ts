import { shortValue, type Fault } from '../core/errors.ts';

/** A fault for each id of a list that was given before. */
export function givenOnce(ids: readonly string[], pathOf: (index: number) => string, within = ''): Fault[] {
  return ids.flatMap((id, index): Fault[] =>
    ids.indexOf(id) === index
      ? []
      : [
          {
            code: 'out-of-range',
            path: pathOf(index),
            value: shortValue(id),
            rule: `must be given once only${within}`,
          },
        ],
  );
}
