import { lumpPlan, HEAVY, PATTED } from '../slabPlan/lump.ts';
import type { SlabNeeded } from '../../bench/slab/slabNeeded.ts';
import type { Part } from '../../parts/part/part.ts';
import type { Phrase } from '../../units/phrase.ts';
import { leanSentences, namedPart, sizeOf } from './partWords.ts';
import { WHY, type Schools, type WorkStep } from './workStep.ts';

const DUST = 'Clay dust holds silica: keep scraps damp, wipe up wet, never sweep dry.';
const BLADE = 'Cut away from the hand that holds the slab.';

/** Cutting off the bag, patting, rolling and ribbing of one slab. */
function slabSteps(
  slab: SlabNeeded,
  index: number,
  { several, offered }: { several: boolean; offered: readonly number[] },
): WorkStep[] {
  const { length, width, thickness, mass } = slab;
  const name = several ? `slab ${index + 1}` : 'the slab';
  const { passes, ...lump } = lumpPlan(slab, offered);
  const heavy = mass > HEAVY ? { caution: 'Two people carry a slab of this weight.' } : {};
  const across = passes.filter(({ along }) => !along).length;
  return [
    {
      id: `weigh ${index}`,
      act: 'weigh',
      title: several ? `Cut the clay for ${name} off the bag` : 'Cut the clay off the bag',
      says: [['Weigh out ', { grams: mass }, '.'], ['Wedge it up to ten minutes, or slam it flat a few times.']],
      tools: ['wire', 'scale'],
      until: 'Cut through once with the wire: no holes.',
      minutes: 8,
      ...heavy,
    },
    {
      id: `pat ${index}`,
      act: 'pat',
      title: several ? `Pat the lump for ${name}` : 'Pat the lump to shape',
      says: [
        [
          'Pat it to ',
          { mmPlain: lump.length },
          ' × ',
          { mm: lump.width },
          `, `,
          { mm: Math.max(PATTED, thickness) },
          ' thick.',
        ],
      ],
      tools: ['board'],
      until: 'Its shape is that of the slab, small: long for a long one, round for a round one.',
      minutes: 3,
    },
    {
      id: `roll ${index}`,
      act: 'roll',
      title: `Roll ${name}`,
      says: [
        ['Roll to ', { mm: thickness }, ': ', { mmPlain: length }, ' × ', { mm: width }, '.'],
        ...(passes.length > 1
          ? [
              [
                'Go down by steps: ',
                ...passes.flatMap(({ to }, at): Phrase => [...(at > 0 ? [', then '] : []), { mm: to }]),
                '.',
              ],
            ]
          : []),
        [
          across > 0
            ? 'Across first, then a quarter turn and along.'
            : 'From the middle out; a quarter turn and over after every few strokes.',
        ],
      ],
      tools: ['rolling pin or slab roller', 'thickness sticks', 'cloth'],
      until: 'The pin rides on both sticks without a bump, and the templates fit.',
      caution: 'Rollers pinch: keep fingers and sleeves out of the gap.',
      minutes: 8,
    },
    {
      id: `rib ${index}`,
      act: 'rib',
      title: `Rib both faces of ${name}`,
      says: [['Smooth and press both faces; prick bubbles, close cracks at the edge.']],
      tools: ['rib', 'needle'],
      until: 'No marks of the cloth, no bubbles.',
      minutes: 3,
    },
  ];
}

function texture(repeat: number, when: Schools['texture']): WorkStep {
  return {
    id: 'texture',
    act: 'texture',
    title: 'Press the texture',
    says: [
      ['One repeat is ', { mm: repeat }, ' wide; the marks on the template show how far each gives.'],
      ['If it takes fingerprints, wait about half an hour.'],
      ...(when === 'before' ? [['A textured slab has spread: lay the template on again before you cut.']] : []),
    ],
    tools: ['stamp or texture'],
    until: 'Clear, and nowhere so deep that the slab gets thin.',
    schools: WHY.texture,
    minutes: 6,
  };
}

/** Cutting out of one part. */
function cutStep(part: Part): WorkStep {
  return {
    id: `cut ${part.id}`,
    act: 'cut',
    title: `Cut ${namedPart(part)}`,
    says: [
      [...sizeOf(part), `, ${part.faceUp} face up.`],
      ...leanSentences(part),
      ...((part.holes ?? []).length > 0 ? [['Cut the holes out first, straight down.']] : []),
    ],
    part: part.id,
    tools: ['template', 'knife'],
    until: 'All edges cut through; soften sharp ones with a finger.',
    caution: BLADE,
    minutes: 2 + 2 * part.count,
  };
}

/** From the bag to the cut parts. `cut` are the parts that are cut before forming. */
export function slabWork(
  slabs: readonly SlabNeeded[],
  cut: readonly Part[],
  { repeat, schools }: { readonly repeat: number | undefined; readonly schools: Schools },
): WorkStep[] {
  const pressed = repeat === undefined ? [] : [texture(repeat, schools.texture)];
  return [
    ...slabs.flatMap((slab, index) => slabSteps(slab, index, { several: slabs.length > 1, offered: schools.sticks })),
    ...(schools.texture === 'before' ? pressed : []),
    ...cut.map(cutStep),
    ...(schools.texture === 'after' ? pressed : []),
    {
      id: 'keep',
      act: 'finish',
      title: 'Keep what is over',
      says: [['Wrap off-cuts and scraps damp in film; what is not used goes back to the bag.']],
      tools: ['film'],
      until: 'Nothing lies about to dry.',
      caution: DUST,
      minutes: 1,
    },
  ];
}
