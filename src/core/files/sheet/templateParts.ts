import type { Part } from '../../parts/part/part.ts';
import type { Target } from '../../target/target.ts';
import { tracingMarks, tracingWay } from '../../parts/part/tracing.ts';
import { onFormer } from './sleevePaper.ts';

/**
 * What is printed and cut of paper for a piece: the clay's parts, the paper of a former's sleeve, and on a wall that is traced
 * with a template that is owned already, where that lies.
 */
export function templateParts(target: Target, parts: readonly Part[]): readonly Part[] {
  const way = tracingWay(target, parts);
  const traced =
    way?.kind === 'traced'
      ? parts.map((part) =>
          part.id === 'wall' ? { ...part, marks: [...part.marks, ...tracingMarks(part, way)] } : part,
        )
      : parts;
  const sleeve = onFormer(target, parts);
  return sleeve ? [...traced, sleeve] : traced;
}
