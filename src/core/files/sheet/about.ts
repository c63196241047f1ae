import { footLetter, placeFeet } from '../../forms/bentSheet/placeFeet.ts';
import { wetLength } from '../../units/shrinkage.ts';
import { kindOf } from '../../forms/kinds.ts';
import { usedSeam } from '../../forms/usedSeam.ts';
import { isRolled, isWall, type Part } from '../../parts/part/part.ts';
import type { Target } from '../../target/target.ts';
import { tracingPhrases, tracingWay } from '../../parts/part/tracing.ts';
import { writePhrase } from '../../units/phrase.ts';
import { SLEEVE_STANDS_OVER } from './sleevePaper.ts';
import { planReach } from '../../parts/plan/plan.ts';
import { writeLength, type LengthStyle } from '../../units/writeLength.ts';

/** What a template says beside its lines: once for the whole, and for each of its parts. */
export interface About {
  readonly whole: string;
  readonly of: (part: Part) => readonly string[];
}

/** What is done at a seam, by its kind. */
function seamWords(target: Target, style: LengthStyle): string {
  const seam = usedSeam(target);
  switch (seam.kind) {
    case 'bevel':
      return seam.angle >= 90
        ? 'ends cut straight down and joined end to end'
        : `ends cut on a slant, ${seam.angle}° from the slab, both the same way`;
    case 'butt':
      return 'ends cut straight down and joined end to end';
    case 'lap':
      return `lay one end ${writeLength(seam.overlap, style)} over the other, up to the line, and press it thin`;
    case 'half-lap':
      return `thin both ends to half over ${writeLength(seam.overlap, style)}, up to the lines, and lay them over one another`;
    case 'cut-in-place':
      return `wrap, then cut both layers on a slant; ${writeLength(seam.margin, style)} to spare at each end, up to the lines where the wrap ends`;
  }
}

/** The tool that the template belongs to, if there is one. */
function toolWords({ form }: Target, style: LengthStyle): string | null {
  const mm = (length: number) => writeLength(length, style);
  switch (form.kind) {
    case 'former':
      return `for a former of ${mm(form.diameter)} with a sleeve of ${mm(form.sleeve)}`;
    case 'mould':
      return `for a ${form.side} mould ${mm(planReach(form.rim))} across, ${mm(form.depth)} deep`;
    case 'mesh':
      return `for an imported ${form.side} mould`;
    case 'sheet':
      return 'diameter' in form.bend
        ? `bent over ${mm(form.bend.diameter)}`
        : `laid on a ${form.bend.mould.side} mould`;
    case 'stand':
      return `for a device ${mm(form.device.length)} × ${mm(form.device.thickness)}`;
    default:
      return null;
  }
}

/** The feet of a bent sheet by their letters, and the face that they go on. */
function feetWords({ form, slab, clay }: Target, { faceUp }: Part, style: LengthStyle): string[] {
  if (form.kind !== 'sheet' || !form.feet) return [];
  const wet = (fired: number) => writeLength(wetLength(fired, clay.shrinkage), style);
  const feet = placeFeet(form, { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage })?.feet ?? [];
  if (feet.length === 0) return [];
  const lengths = feet.map(({ length }, index) => `${footLetter(index)} ${wet(length)}`).join(', ');
  const face = faceUp === 'outside' ? 'the face you see' : 'the face on the table, under the crosses';
  return [`Feet on the outside, ${face}, wet: ${lengths} long, ${wet(form.feet.diameter)} across.`];
}

/** How the paper of a former's sleeve is used. */
function sleeveWords({ form }: Target, style: LengthStyle): string[] {
  if (form.kind !== 'former') return [];
  const mm = (length: number) => writeLength(length, style);
  return [
    `Paper ${mm(form.sleeve)} thick, not clay: wrap it once round the former up to the line, and tape it to itself.`,
    `It stands ${mm(SLEEVE_STANDS_OVER)} over the wall, to be pulled out by. Thinner paper goes round more than once, until it is as thick.`,
  ];
}

/** How a wall is traced with the template that is owned. */
function traceWords(target: Target, wall: Part, style: LengthStyle): string[] {
  const way = tracingWay(target, [wall]);
  if (way?.kind !== 'traced') return [];
  const { inner, outer, sweep } = way.template;
  const mm = (length: number) => writeLength(length, style);
  const steps = tracingPhrases(way.steps).map((phrase, index) => `${index + 1}. ${writePhrase(phrase, style)}`);
  return [`Traced with your template of radii ${mm(inner)} and ${mm(outer)}, ${sweep.toFixed(1)}°:`, ...steps];
}

const other = (face: Part['faceUp']) => (face === 'inside' ? 'outside' : 'inside');

/**
 * What every template must say (design and revision, clay and shrinkage, slab, face, tool, seam, roll). The slab's thickness is
 * the one measure that must not scale with the paper.
 *
 * @param revision of the design that it was made from; null where it is not kept
 */
export function aboutTemplate(target: Target, style: LengthStyle, revision: number | null): About {
  const { clay } = target;
  const tool = toolWords(target, style);
  const shrinks = `${clay.name ?? 'clay'} shrinks ${(100 * clay.shrinkage).toFixed(1)} %`;
  const whole = [target.name, revision === null ? null : `revision ${revision}`, shrinks, tool]
    .filter(Boolean)
    .join(' · ');
  return {
    whole,
    of: (part) =>
      part.role === 'paper'
        ? sleeveWords(target, style)
        : [
            `Slab ${writeLength(part.thickness, style)}: rolled to that at any scale of the paper. ` +
              `You see its ${part.faceUp}; the ${other(part.faceUp)} lies on the table.`,
            ...(isWall(part) && kindOf(target).traits.seam ? [`Seam: ${seamWords(target, style)}.`] : []),
            ...(part.id === 'sheet' ? feetWords(target, part, style) : []),
            ...(isRolled(part) ? ['Roll the slab along the arrow.'] : []),
            ...(part.id === 'wall' ? traceWords(target, part, style) : []),
          ],
  };
}
