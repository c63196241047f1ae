import type { Development } from '../../piece/develop.ts';
import type { MeshForm, MouldForm } from '../../target/mouldForm.ts';
import type { SheetForm } from '../../target/sheetForm.ts';
import { rollsOf } from '../../forms/stand/stand.ts';
import type { StandForm } from '../../target/standForm.ts';
import { wetLength } from '../../units/shrinkage.ts';
import type { Target } from '../../target/target.ts';
import type { Phrase } from '../../units/phrase.ts';
import { stiffen, waitStep, WETTED } from './wallSteps.ts';
import { WHY, type Schools, type WorkStep } from './workStep.ts';

/** Laying a blank over or into a mould, to its lifting off. */
export function mouldWork(
  target: Target,
  form: MouldForm | MeshForm,
  { developed: { blank }, schools }: { readonly developed: Development; readonly schools: Schools },
): WorkStep[] {
  const hump = form.side === 'hump';
  const darts = blank?.darts.length ?? 0;
  const flange = form.flange ?? 0;
  const steps: WorkStep[] = [
    {
      id: 'mould',
      act: 'prepare',
      title: 'Make the mould ready',
      says: [[`Cloth, paper or film ${hump ? 'over' : 'into'} it, without folds.`]],
      tools: ['mould', 'cloth, paper or film'],
      until: 'It lies close everywhere.',
      caution: 'Two people lift heavy moulds.',
      minutes: 3,
    },
    {
      id: 'lay',
      act: 'form',
      title: hump ? 'Lay the slab over the mould' : 'Lay the slab into the mould',
      says: [
        ['Carry it on the pin, never by its edge; ease it from the middle out with a soft rib.'],
        ...(blank
          ? [
              [
                'It stretches up to ',
                { percent: 100 * Math.max(0, blank.stretch) },
                ' and gathers up to ',
                { percent: 100 * blank.gather },
                '.',
              ] as Phrase,
            ]
          : []),
      ],
      part: 'blank',
      tools: ['rolling pin', 'soft rib'],
      until: 'It lies on the mould everywhere, no fold at the rim.',
      minutes: 8,
    },
  ];
  if (darts > 0)
    steps.push({
      id: 'darts',
      act: 'join',
      title: `Close the ${darts} ${darts === 1 ? 'dart' : 'darts'}`,
      says: [
        [`Score both slanted sides and ${WETTED[schools.joins]}.`],
        ['Lay one over the other: one thickness, ', { mm: target.slab.wall }, ', from the tip to the rim.'],
      ],
      part: 'blank',
      edge: 'dart-left',
      tools: ['scoring tool', 'brush', 'rib'],
      until: 'No split at the tips.',
      schools: WHY.joins,
      minutes: 5 * darts,
    });
  steps.push({
    id: 'trim',
    act: 'cut',
    title: 'Trim the rim',
    says: [
      flange > 0
        ? ['Cut ', { mm: flange }, ' outside the edge of the mould, the knife level.']
        : ['Cut along the edge of the mould, the knife level.'],
      ['About ', { mm: form.margin }, ' comes off.'],
    ],
    part: 'blank',
    tools: ['needle or wire'],
    until: 'One even rim; round it with a wet finger.',
    caution: 'Cut away from the hand that holds the mould.',
    minutes: 4,
  });
  steps.push(
    waitStep('holds', {
      title: hump ? 'Leave it on the mould' : 'Leave it in the mould',
      says: [hump ? 'Take it off before it shrinks tight.' : 'It lets go by itself as it shrinks.'],
      waits: { until: 'leatherHard', part: { thickness: target.slab.wall, faces: 'one', cover: 'open' } },
      until: 'It holds its shape when the mould is tapped.',
    }),
  );
  steps.push({
    id: 'off',
    act: 'form',
    title: hump ? 'Lift it off the mould' : 'Turn it out of the mould',
    says: [
      ['A board on top, turn both over, lift the mould or the piece away.'],
      ['Cracks show now: mend them after half an hour.'],
    ],
    tools: ['board'],
    until: 'It stands level on its rim or its foot.',
    minutes: 4,
  });
  return steps;
}

/** Smoothing, bending and footing of a sheet. */
export function sheetWork(target: Target, form: SheetForm, { numbers, lumps = [] }: Development): WorkStep[] {
  const feet = lumps.filter(({ id }) => id === 'sheet-foot');
  const over: Phrase =
    'diameter' in form.bend
      ? ['Over a bottle or pipe of ', { mm: form.bend.diameter }, ', held by two lumps of clay.']
      : [
          form.bend.mould.side === 'hump'
            ? 'Over the mould, with cloth between.'
            : 'Into the mould, with cloth between.',
        ];
  return [
    {
      id: 'smooth',
      act: 'form',
      title: 'Smooth the sheet',
      says: [
        ['Both faces; turn it over with both hands. Edges crack first.'],
        ['It grows when it is smoothed: lay the template on and note by how much.'],
      ],
      part: 'sheet',
      tools: ['rib', 'template'],
      until: 'Smooth, and no crack at the edge.',
      minutes: 6,
    },
    stiffen(target.slab.wall),
    {
      id: 'bend',
      act: 'form',
      title: 'Lay it over the bend',
      says: [
        over,
        ...(numbers.bentRise === undefined
          ? []
          : [['Its edges come ', { mm: numbers.bentRise }, ' lower than its middle.'] as Phrase]),
        ['Let it hang, or press it on: a free edge hangs less than the bend.'],
      ],
      part: 'sheet',
      tools: ['bottle or mould', 'cloth'],
      until: 'It follows the bend from edge to edge.',
      minutes: 5,
    },
    ...(feet.length === 0
      ? []
      : [
          {
            id: 'feet',
            act: 'add' as const,
            title: `Join the ${feet.length} feet`,
            says: [
              [
                ...feet.flatMap(({ name, length }, at): Phrase => [at > 0 ? ', ' : '', `${name} `, { mm: length }]),
                ' long.',
              ] as Phrase,
              ['Slip under each; after a few minutes press them level with a board on top, not through.'] as Phrase,
            ],
            part: 'sheet',
            tools: ['slip', 'board'],
            until: 'It stands level, without rocking.',
            minutes: 6,
          },
        ]),
  ];
}

/** Rolling a strip from both ends. */
export function standWork(target: Target, form: StandForm, { numbers }: Development): WorkStep[] {
  const { front, back } = rollsOf(form);
  const wet = (fired: number) => wetLength(fired, target.clay.shrinkage);
  return [
    stiffen(target.slab.wall),
    {
      id: 'curl',
      act: 'form',
      title: 'Roll it from both ends',
      says: [
        ['Back roll ', { mm: wet(back) }, ' across, front roll ', { mm: wet(front) }, '.'],
        ...(numbers.slot === undefined ? [] : [['Slot between them ', { mm: numbers.slot }, ' wide.'] as Phrase]),
      ],
      part: 'strip',
      tools: ['ruler'],
      until: 'Both rolls are round and level, the slot even.',
      minutes: 8,
    },
    {
      id: 'try',
      act: 'true',
      title: 'Try the device in it',
      says: [
        ['Wrap it in film and lean it into the slot.'],
        ['Correct the slot, squeeze the sides; try once more when it is firm.'],
      ],
      tools: ['device', 'film'],
      until: 'It leans by ' + `${form.lean}` + '° and does not tip.',
      minutes: 5,
    },
  ];
}
