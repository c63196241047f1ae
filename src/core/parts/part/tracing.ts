import type { ArcTemplate } from '../../target/arcTemplate.ts';
import { degrees, radians, ROUNDING, TURN_TOLERANCE } from '../../numbers.ts';
import { alongEdge, edgeAt } from '../../geometry/outline/outline.ts';
import type { Mark, Part } from './part.ts';
import type { Target } from '../../target/target.ts';
import type { Phrase } from '../../units/phrase.ts';

/** One tracing of the owned template: where it lies round the centre from the wall's left end (degrees). */
export interface Tracing {
  readonly from: number;
  readonly to: number;
}

/**
 * The tracings by which a template of one sweep gives a wall of another. The first lies at the wall's left end and the last at
 * its right one, so that the template's own ends draw both cuts: that keeps them on the radius. Each one between is slid on as
 * far as it goes; a shorter wall is traced once, and once more slid back.
 */
export function tracingsOf(owned: number, wanted: number): Tracing[] {
  if (Math.abs(wanted - owned) < ROUNDING) return [{ from: 0, to: owned }];
  const count = Math.max(2, Math.ceil(wanted / owned - ROUNDING));
  return Array.from({ length: count }, (_, index) => {
    const from = index === count - 1 ? wanted - owned : index * owned;
    return { from, to: from + owned };
  });
}

/** One tracing as it is done: how far the template is slid from the one before, by degrees and along both arcs (mm; back: less than 0). */
export interface TracingStep extends Tracing {
  readonly slide: { readonly degrees: number; readonly outer: number; readonly inner: number };
}

/** The steps of tracing a sweep (degrees) with a template. */
export function tracingSteps({ inner, outer, sweep }: ArcTemplate, wanted: number): TracingStep[] {
  const all = tracingsOf(sweep, wanted);
  return all.map((tracing, index) => {
    const by = tracing.from - (all[index - 1]?.from ?? 0);
    return { ...tracing, slide: { degrees: by, outer: outer * radians(by), inner: inner * radians(by) } };
  });
}

/** A wall whose radii differ from the template's by no more is traced with it (mm): a pencil line. */
const SAME_RADIUS = 0.15;

/** How a wall is traced with the owned template, or that it cannot be. */
export type TracingWay =
  | {
      readonly kind: 'traced';
      readonly template: ArcTemplate;
      readonly sweep: number;
      readonly steps: readonly TracingStep[];
    }
  | { readonly kind: 'off'; readonly template: ArcTemplate; readonly radii: readonly [inner: number, outer: number] };

/** How the piece's wall is traced with its owned template; null without one, or where the wall is no single arc. */
export function tracingWay({ owned }: Target, parts: readonly Part[]): TracingWay | null {
  const wall = parts.find(({ id }) => id === 'wall');
  if (!owned || !wall) return null;
  const [foot, rim] = [edgeAt(wall.outline, 0), edgeAt(wall.outline, 2)];
  const [low, high] = [Math.min(foot.radius, rim.radius), Math.max(foot.radius, rim.radius)];
  if (!(Math.abs(low - owned.inner) <= SAME_RADIUS) || !(Math.abs(high - owned.outer) <= SAME_RADIUS)) {
    return { kind: 'off', template: owned, radii: [low, high] };
  }
  const long = foot.radius > rim.radius ? foot : rim;
  const sweep = degrees(long.length / long.radius);
  return { kind: 'traced', template: owned, sweep, steps: tracingSteps(owned, sweep) };
}

/** Lines across the wall at the template's ends, each with the number of its tracing; not cut. */
export function tracingMarks({ outline }: Part, { sweep, steps }: Extract<TracingWay, { kind: 'traced' }>): Mark[] {
  const within = (angle: number) => angle > TURN_TOLERANCE && angle < sweep - TURN_TOLERANCE;
  const ends = steps.flatMap(({ from, to }, index) => [
    { at: from, text: `${index + 1} starts` },
    { at: to, text: `${index + 1} ends` },
  ]);
  return ends
    .filter(({ at }) => within(at))
    .flatMap(({ at, text }, index): Mark[] => {
      const foot = alongEdge(outline, 0, at / sweep);
      const rim = alongEdge(outline, 2, 1 - at / sweep);
      // Words of neighbouring lines are at different heights.
      const share = index % 2 === 0 ? 0.3 : 0.7;
      const place = [foot[0] + share * (rim[0] - foot[0]), foot[1] + share * (rim[1] - foot[1])] as const;
      return [
        { kind: 'line', name: 'place', from: foot, to: rim },
        { kind: 'words', at: place, text },
      ];
    });
}

/** What is done at each tracing, in words with their figures. */
export function tracingPhrases(steps: readonly TracingStep[]): Phrase[] {
  if (steps.length === 1) return [['Lay the template down and trace all of it.']];
  return steps.map(({ slide }, index): Phrase => {
    const last = index === steps.length - 1;
    if (index === 0) {
      const whole = slide.degrees >= 0 && (steps[1]?.slide.degrees ?? 0) > 0;
      const arcs = whole ? ' and both arcs' : ', and both arcs as far as the wall reaches';
      return [`Lay the template down. Trace its left end${arcs}.`];
    }
    const way = slide.degrees < 0 ? 'back' : 'on';
    return [
      `Slide it ${way} along its own arcs by `,
      { mm: Math.abs(slide.outer) },
      ' on the long one (',
      { mm: Math.abs(slide.inner) },
      ' on the short one, ',
      { degrees: Math.abs(slide.degrees) },
      `). Trace ${last ? 'its right end and what is missing of both arcs' : 'both arcs'}.`,
    ];
  });
}
