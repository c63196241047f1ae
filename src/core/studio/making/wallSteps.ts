import { kindOf } from '../../forms/kinds.ts';
import { usedSeam } from '../../forms/usedSeam.ts';
import type { Part } from '../../parts/part/part.ts';
import type { FacetForm, Target } from '../../target/target.ts';
import type { Cover } from '../drying/air.ts';
import type { Phrase } from '../../units/phrase.ts';
import { WHY, type Schools, type Waiting, type WorkStep } from './workStep.ts';

/** How a scored join is wetted. */
export const WETTED: Readonly<Record<Schools['joins'], string>> = {
  water: 'wet them with a brush, dabbed so that the grooves stay',
  slip: 'brush slip into the grooves',
  nothing: 'leave them as they are: soft clay joins dry',
};

/** A step that waits. */
export function waitStep(
  id: string,
  {
    title,
    says,
    waits,
    until,
  }: { readonly title: string; readonly says: Phrase; readonly waits: Waiting; readonly until: string },
): WorkStep {
  return { id, act: 'wait', title, says: [says], tools: [], until, minutes: 1, waits };
}

/** Until the wall can be bent and stood up. */
export function stiffen(thickness: number, cover: Cover = 'open'): WorkStep {
  const title = 'Let the parts stiffen';
  const says = ['Leave the parts flat on a board. Too dry: lay flat, wet, wait.'] as Phrase;
  const until = 'It lifts without a mark and still bends; held on its side it does not droop.';
  return waitStep('stiffen', {
    title,
    says,
    waits: { until: 'opens', part: { thickness, faces: 'one', cover } },
    until,
  });
}

/** What is done at the seam of a bent wall. */
function seamSays(target: Target, joins: Schools['joins']): Phrase[] {
  const { slab } = target;
  const seam = usedSeam(target);
  const score = `Score both faces in two directions and ${WETTED[joins]}.`;
  switch (seam.kind) {
    case 'bevel':
      return [[score], ['Lay one slant over the other: one thickness, ', { mm: slab.wall }, ', all along.']];
    case 'butt':
      return [[score], ['Push the ends together, and put a thin coil along the inside.']];
    case 'lap':
      return [[score], ['Lay one end ', { mm: seam.overlap }, ' over the other, up to the line, and press it thin.']];
    case 'half-lap':
      return [
        [score],
        ['Thin both ends to half over ', { mm: seam.overlap }, ', up to the lines, and lay them over one another.'],
      ];
    case 'cut-in-place':
      return [
        ['Wrap with ', { mm: seam.margin }, ' to spare at each end, then cut through both layers on a slant.'],
        ['Take both strips away. ', score],
      ];
  }
}

/** Joining the ends of a wall that is bent round; `seams` in all. */
function bentSeam(target: Target, walls: readonly Part[], schools: Schools): WorkStep {
  const seams = walls.reduce((sum, { count }) => sum + count, 0);
  const rolled = schools.seam === 'rolled' && !kindOf(target).traits.bulges;
  return {
    id: 'seam',
    act: 'join',
    title: seams > 1 ? `Join the ${seams} seams` : 'Join the seam',
    says: [
      ...seamSays(target, schools.joins),
      [
        'Press from both sides, a hand behind; ',
        rolled ? 'then roll the seam on the table, a few passes.' : 'then paddle it against a hand or a stick inside.',
      ],
    ],
    part: walls[0]?.id ?? 'wall',
    tools: ['scoring tool', 'brush', 'rib', ...(rolled ? [] : ['paddle'])],
    until: 'No split along the outside of the seam, nor at its ends.',
    schools: `${WHY.joins} ${WHY.seam}`,
    minutes: 8 * seams,
  };
}

/** Joining flat panels. */
function panelSeams(parts: readonly Part[], schools: Schools): WorkStep {
  const count = parts.reduce((sum, part) => sum + part.count, 0);
  return {
    id: 'seam',
    act: 'join',
    title: `Join the ${count} sides`,
    says: [
      [`Score the slanted sides in two directions and ${WETTED[schools.joins]}.`],
      ['Stand two up to a corner at a time and press; put a thin coil along each corner inside.'],
      ['Paddle the corners from outside against a stick.'],
    ],
    part: parts[0]?.id ?? 'wall',
    tools: ['scoring tool', 'brush', 'stick', 'paddle'],
    until: 'Corners closed inside and out; across both ways it measures alike.',
    schools: WHY.joins,
    minutes: 6 * count,
  };
}

/** A grooved strip: its grooves, folding, and the one seam, which is a corner like the folds. */
function foldedStrip(
  form: FacetForm,
  strip: Part | undefined,
  { schools, groove }: { readonly schools: Schools; readonly groove: number },
): WorkStep[] {
  const part = strip?.id ?? 'wall';
  const grooves = `${form.sides - 1} grooves`;
  const turned = strip?.faceUp === 'outside' ? [['Turn the strip over first: they are cut on the inside face.']] : [];
  return [
    {
      id: 'grooves',
      act: 'cut',
      title: `Cut the ${grooves}`,
      says: [
        ['V-grooves along the fold lines, ', { degrees: groove }, ' from side to side.'],
        ...turned,
        ['Leave a skin that holds, about ', { mm: 1 }, '.'],
      ],
      part,
      tools: ['bevel cutter or knife', 'ruler'],
      until: 'Straight, and nowhere cut through.',
      caution: 'Cut away from the hand that holds the slab.',
      minutes: 2 * form.sides,
    },
    {
      id: 'fold',
      act: 'form',
      title: 'Fold the strip',
      says: [[`Wet the ${grooves} and fold at each, a stick along the fold.`]],
      part,
      tools: ['stick', 'brush'],
      until: 'All grooves closed, no crack on the outside.',
      minutes: 2 * form.sides,
    },
    {
      id: 'seam',
      act: 'join',
      title: 'Join the last corner',
      says: [
        [`Score both ends in two directions and ${WETTED[schools.joins]}.`],
        ['Press them together and paddle the corner from outside against a stick; put a thin coil along it inside.'],
      ],
      part,
      tools: ['scoring tool', 'brush', 'stick', 'paddle'],
      until: 'This corner looks like the others.',
      schools: WHY.joins,
      minutes: 8,
    },
  ];
}

/** Bending, standing up and closing the wall of any form that has one. */
export function wallWork(
  target: Target,
  walls: readonly Part[],
  { schools, groove }: { readonly schools: Schools; readonly groove?: number },
): WorkStep[] {
  const { form } = target;
  const pieces = walls.reduce((sum, { count }) => sum + count, 0);
  const flat = form.kind === 'box' || (form.kind === 'facet' && form.fold === 'separate');
  if (flat) return [panelSeams(walls, schools)];
  if (form.kind === 'facet') return foldedStrip(form, walls[0], { schools, groove: groove ?? 360 / form.sides });
  const sleeve = form.kind === 'former';
  const { bulges } = kindOf(target).traits;
  const wrap: WorkStep = {
    id: 'wrap',
    act: 'form',
    title: sleeve
      ? 'Wrap the wall round the former'
      : bulges
        ? `Bend the ${pieces} strips`
        : pieces > 1
          ? `Curl the ${pieces} pieces of the wall`
          : 'Curl the wall',
    says: sleeve
      ? [
          [
            'Paper sleeve first, ',
            { mm: form.sleeve },
            ' thick, not past the end of the former of ',
            { mm: form.diameter },
            '.',
          ],
          ['Roll the former along the slab.'],
        ]
      : [
          [
            target.slab.faceUp === 'inside'
              ? 'Curl it towards you: the face that lies up comes inside.'
              : 'Turn it over first: the face that lay up comes outside.',
          ],
          [kindOf(target).words.bending ?? 'Let the ends meet a little way off the table, then stand it up.'],
        ],
    part: walls[0]?.id ?? 'wall',
    tools: sleeve ? ['former', 'paper', 'tape'] : ['board'],
    until:
      usedSeam(target).kind === 'cut-in-place'
        ? 'The ends overlap evenly from foot to rim.'
        : bulges
          ? 'Each keeps its curve by itself, and its edges meet the next one’s from foot to rim.'
          : 'The ends meet from foot to rim without a pull.',
    ...(sleeve && { caution: 'Do not heat plastic formers.' }),
    minutes: 4,
  };
  const bands = walls.length > 1 && form.kind === 'stack' ? walls.length : 1;
  const stack: WorkStep[] =
    bands > 1
      ? [
          {
            id: 'stack',
            act: 'join',
            title: `Join the ${bands} bands`,
            says: [
              [`Score both edges and ${WETTED[schools.joins]}.`],
              ['Set them on one another from the foot up, seams apart, and blend inside and out.'],
            ],
            tools: ['scoring tool', 'brush', 'rib'],
            until: 'It stands straight, seen from two sides.',
            schools: WHY.joins,
            minutes: 8 * (bands - 1),
          },
        ]
      : [];
  return [wrap, bentSeam(target, walls, schools), ...stack];
}
