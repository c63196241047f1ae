import { LENGTH_TOLERANCE } from '../../numbers.ts';
import { edgeAt } from '../../geometry/outline/outline.ts';
import type { Face } from '../../target/face.ts';
import type { Lean } from '../../parts/part/lean.ts';
import type { Part } from '../../parts/part/part.ts';
import type { Step } from './step.ts';

/** From the figure on the neutral surface, or the outer face, to the line that is traced; none where they are one. */
export function tracedStep(from: number, traced: number, faceUp: Face): Step[] {
  const off = traced - from;
  if (Math.abs(off) < LENGTH_TOLERANCE) return [];
  return [
    {
      rule: `the edges lean: on the ${faceUp} face, which lies up, the line is ${off > 0 ? 'longer' : 'shorter'} by`,
      worked: [{ mmPlain: from }, off > 0 ? ' + ' : ' − ', { mmPlain: Math.abs(off) }],
      gives: [{ mm: traced }],
    },
  ];
}

/** The edge of a part by its name, as it is traced (mm). */
export function tracedEdge({ outline, leans }: Part, name: Lean['edge']): { length: number; radius: number } {
  const lean = leans.find(({ edge }) => edge === name);
  return edgeAt(outline, lean?.from ?? 0);
}
