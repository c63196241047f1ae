import type { Stiffness } from '../target/target.ts';
import type { Check } from './check.ts';

/** A wet wall higher than this many times its thickness leans or sinks before it holds itself. A rule of the bench. */
export const TALL_WALL: Readonly<Record<Stiffness, number>> = { soft: 20, medium: 28, stiff: 40 };

/** Advice when a wet wall of a height and thickness (mm) is too tall to hold itself up. */
export function checkTallWall(height: number, thickness: number, stiffness: Stiffness): Check | null {
  const times = height / thickness;
  if (times <= TALL_WALL[stiffness]) return null;
  return {
    code: 'tall-wall',
    level: 'care',
    title: 'Tall for its thickness',
    phrase: [
      `The wet wall stands ${times.toFixed(0)} times as high as it is thick: `,
      { mm: height },
      ' on ',
      { mm: thickness },
      '. Let it stiffen before it stands, hold it in a paper sleeve, or roll it thicker.',
    ],
  };
}

/** Advice when a flat arc, with what its seam adds, closes on itself: degrees of one piece of the wall. */
export function checkSweep(sweep: number, panels: number): Check | null {
  if (sweep <= 360) return null;
  return {
    code: 'sweep-over',
    level: 'stop',
    title: 'The flat wall runs into itself',
    phrase: ['It sweeps ', { degrees: sweep }, `. Cut the wall in ${panels + 1} pieces or more.`],
  };
}
