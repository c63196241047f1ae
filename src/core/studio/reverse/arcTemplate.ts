import { degrees, radians, TAU } from '../../numbers.ts';
import { distanceToUpper, inset, turnedLean } from '../../parts/part/lean.ts';
import { seamEnds } from '../../parts/seam/seam.ts';
import { measuredFrom } from '../../forms/kind/wetSize.ts';
import { coneBase } from '../../parts/wall/cone.ts';
import { impossible, made, sizeFactor, type Making, type Reversed } from './reversed.ts';
import type { ArcTemplate } from '../../target/arcTemplate.ts';

/** What a ruler measures on an arc template, mm. */
export interface RuledArc {
  /** Straight across the ends of the long arc. */
  readonly chord: number;
  /** How far the middle of the long arc stands from that straight line. */
  readonly rise: number;
  /** Between the two arcs, along an end. */
  readonly length: number;
}

/** An arc template, or what is wrong with its measures. */
export type TemplateReading =
  | { readonly kind: 'template'; readonly template: ArcTemplate }
  | { readonly kind: 'impossible'; readonly rule: string };

/** The arc template that was measured with a ruler: `R = c^2 / (8 h) + h / 2` (geometry: tapered wall, reverse). */
export function readRuledArc({ chord, rise, length }: RuledArc): TemplateReading {
  const wrong = (rule: string): TemplateReading => ({ kind: 'impossible', rule });
  if (!(chord > 0) || !(rise > 0) || !(length > 0)) return wrong('every measure must be more than 0');
  const outer = (chord * chord) / (8 * rise) + rise / 2;
  if (length >= outer) return wrong(`the arcs have a radius of ${outer.toFixed(1)} mm: the length must be less`);
  const half = Math.asin(Math.min(1, chord / 2 / outer));
  const sweep = rise > outer ? TAU - 2 * half : 2 * half;
  return { kind: 'template', template: { inner: outer - length, outer, sweep: degrees(sweep) } };
}

/** Which edge of the piece the long arc makes: the rim of what flares, the foot of what closes. */
export type LongArc = 'rim' | 'foot';

/**
 * The tapered piece that an arc template makes when it is traced on the face that lies up (geometry: tapered wall, reverse).
 * A template for one of several panels makes as many. A lap or spare is taken from the sweep of its long arc.
 */
export function pieceFromArc(template: ArcTemplate, long: LongArc, making: Making): Reversed {
  const { inner, outer, sweep } = template;
  if (!(inner > 0) || !(outer > inner))
    return impossible('the inner radius must be more than 0 and less than the outer');
  const { slab, seam, base, rim } = making;
  const { wall: t, base: floor, neutralFraction: k, faceUp } = slab;
  // A strip along an end is parallel to it: on the long arc, by which the sweep is measured, it takes this much.
  const { left, right } = seamEnds(seam, t, faceUp);
  const taken = Math.asin(Math.min(1, left / outer)) + Math.asin(Math.min(1, right / outer));
  const whole = seam.panels * (radians(sweep) - taken);
  if (!(whole > 0)) return impossible('the sweep must be more than what the seam takes');
  if (whole >= TAU) return impossible('a sweep of 360 degrees or more in all is flat: it makes no wall');
  const a = (long === 'rim' ? 1 : -1) * Math.asin(whole / TAU);
  const foot = coneBase({ radius: 0, halfAngle: a }, base, { wall: t, floor, neutralFraction: k });
  // From the traced line back to the neutral one, at each edge along the slope.
  const seen = (lean: number) => inset(faceUp === 'inside' ? lean : turnedLean(lean), distanceToUpper(t, k, faceUp));
  const rimInset = rim === 'square' ? 0 : seen(degrees(a));
  const footInset = seen(foot.footLean);
  const sign = Math.sign(a);
  const arcFoot = (long === 'rim' ? inner : outer) - sign * footInset;
  const arcRim = (long === 'rim' ? outer : inner) + sign * rimInset;
  const sine = Math.sin(Math.abs(a));
  const top = foot.start + Math.abs(arcRim - arcFoot) * Math.cos(a);
  const squared = rim === 'square' ? t * sine : 0;
  const height = top + (a > 0 ? k : 1 - k) * squared;
  const table = arcFoot * sine + ((1 - k) * t) / Math.cos(a) - foot.start * Math.tan(a);
  const outside = making.size.face === 'outside';
  const from = measuredFrom(making);
  const low = (outside ? table : table - t / Math.cos(a)) + from * Math.tan(a);
  const drop = outside === a > 0 ? squared : 0;
  const high = low + (height - from - drop) * Math.tan(a);
  const f = sizeFactor(making);
  return made(making, { kind: 'taper', rim: 2 * f * high, foot: 2 * f * low, height: f * height });
}
