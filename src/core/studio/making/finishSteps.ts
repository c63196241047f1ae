import { bellyDiameter } from '../../target/belly.ts';
import { wetLength } from '../../units/shrinkage.ts';
import type { Development } from '../../piece/develop.ts';
import type { Target } from '../../target/target.ts';
import { toWet } from '../../forms/kind/wetSize.ts';
import type { Phrase } from '../../units/phrase.ts';
import { waitStep, WETTED } from './wallSteps.ts';
import { WHY, type Schools, type WorkStep } from './workStep.ts';

/** A wall that is joined round and pressed to an oval, which comes before its base. */
export function isPressed({ form }: Target): boolean {
  if (form.kind === 'oval') return true;
  return form.kind === 'loft' && [form.rim, form.foot].some(({ kind }) => kind === 'ellipse');
}

/** Making the standing wall true to the drawing. */
export function trueStep(target: Target, { finished }: Development): WorkStep {
  const { clay } = target;
  const wet = (fired: number) => wetLength(fired, clay.shrinkage);
  const across = ([x, y]: readonly [number, number]): Phrase =>
    Math.abs(x - y) < 0.05 ? [{ mm: wet(x) }, ' across'] : [{ mmPlain: wet(x) }, ' × ', { mm: wet(y) }];
  const pressed = isPressed(target);
  return {
    id: 'true',
    act: 'true',
    title: pressed ? 'Press it to an oval' : 'Make it true',
    says: [
      [
        'Rim ',
        ...across(finished.widths.rim),
        ', foot ',
        ...across(finished.widths.foot),
        ', ',
        { mm: wet(finished.height) },
        ' high.',
      ],
      [
        pressed
          ? 'Squeeze slowly between both hands, and measure as you go.'
          : 'Handling has moved it: measure two ways across and ease it back.',
      ],
    ],
    tools: ['ruler or caliper'],
    until: 'Rim and foot measure right, and it stands upright.',
    minutes: 4,
  };
}

/** Pushing out a belly, and the rim. */
export function rimWork(target: Target): WorkStep[] {
  const { belly } = target;
  return [
    ...(belly === undefined
      ? []
      : [
          {
            id: 'belly',
            act: 'form' as const,
            title: 'Push the belly out',
            says: [
              [
                'Out to ',
                { mm: toWet(bellyDiameter(belly), target) },
                target.size.face === 'inside' ? ' inside.' : ' outside.',
              ] as Phrase,
              [
                'From within with a rib or the fingers, a hand on the other face, a little at a time all round.',
              ] as Phrase,
            ],
            tools: ['rib', 'caliper'],
            until: 'It measures right, with no crack and no thin place.',
            minutes: 8,
          },
        ]),
    {
      id: 'rim',
      act: 'rim',
      title: 'Finish the rim',
      says: [['Take off the step at the seam; round it with chamois to a thin edge that slants inward.']],
      edge: 'rim',
      tools: ['needle', 'chamois'],
      until: 'Even all round; a crack is closed at once with a wet finger.',
      minutes: 5,
    },
  ];
}

/** How straps are bent; those over the handles that are joined are spares. */
function bent(straps: number, joined: number): Phrase {
  if (straps === 1) return ['Bend it to the drawing and stand it on its side.'];
  const which = straps === 2 ? 'both' : `all ${straps}`;
  const spare =
    straps > joined ? ` ${straps - joined === 1 ? 'One is a spare' : `${straps - joined} are spares`}.` : '';
  return [`Bend ${which} to the drawing and stand them on their sides.${spare}`];
}

/** Handle, lugs, feet and lid, as far as the piece has them. */
export function addedWork(target: Target, { parts, lumps = [] }: Development, schools: Schools): WorkStep[] {
  const { clay, handle, lugs, feet, lid } = target;
  const wet = (fired: number) => wetLength(fired, clay.shrinkage);
  const score = `Score both faces in two directions and ${WETTED[schools.joins]}.`;
  const named = (id: string) => parts.find((part) => part.id === id);
  const steps: WorkStep[] = [];
  if (handle) {
    const pulled = lumps.find(({ id }) => id === 'pulled-handle');
    const strap = named('handle');
    const places = target.marks?.places?.filter(({ kind }) => kind === 'handle').length ?? 0;
    steps.push({
      id: 'handle',
      act: 'form',
      title: pulled ? 'Pull the handle' : 'Bend the handle',
      says: pulled
        ? [
            ['A lump of ', { grams: pulled.mass }, ' for each, drawn out wet to ', { mm: pulled.length }, '.'],
            ['Make a spare or two.'],
          ]
        : [
            bent(strap?.count ?? 1, Math.max(1, places)),
            ['It stands ', { mm: wet(handle.projection) }, ' off the wall.'],
          ],
      part: 'handle',
      tools: pulled ? ['water'] : ['board'],
      until: 'An even curve, no cracks across it.',
      minutes: 6,
    });
    steps.push(
      waitStep('handle firms', {
        title: 'Let the handle firm up',
        says: ['About a quarter of an hour in its curve on a board.'],
        waits: { until: 'opens', part: { thickness: handle.thickness, faces: 'both', cover: 'open' } },
        until: 'It keeps its curve when it is picked up.',
      }),
    );
    steps.push({
      id: 'join handle',
      act: 'add',
      title: places > 1 ? 'Join the handles' : 'Join the handle',
      says: [
        [
          'Upper end ',
          { mm: wet(handle.below) },
          ' below the rim',
          places > 0 ? ', at its mark.' : ', on the seam: it hides it.',
        ],
        ['Trim, offer up and mark. ', score, ' Thin coils round both ends.'],
        ...(places > 1 ? [['The second is cut by the first, set exactly across.'] as Phrase] : []),
      ],
      part: 'handle',
      tools: ['knife', 'scoring tool', 'brush', 'coil'],
      until: 'Straight from above, from the side and from the front; not above the rim.',
      schools: WHY.joins,
      minutes: 10,
    });
  }
  if (lugs)
    steps.push({
      id: 'lugs',
      act: 'add',
      title: 'Join the lugs',
      says: [
        ['Upper face ', { mm: wet(lugs.below) }, ' below the rim, at their marks.'],
        [score, ' A thin coil above and below.'],
      ],
      part: 'lug',
      tools: ['scoring tool', 'brush', 'coil'],
      until: 'Level with one another, exactly across.',
      schools: WHY.joins,
      minutes: 8,
    });
  if (feet)
    steps.push({
      id: 'feet',
      act: 'add',
      title: `Join the ${feet.count} feet`,
      says: [
        [{ mm: wet(feet.diameter) }, ' across, ', { mm: wet(feet.inset) }, ' in from the edge.'],
        ['Slip under each; after a few minutes press them level with a board on top, not through.'],
      ],
      part: 'foot',
      tools: ['slip', 'board'],
      until: 'It stands without rocking.',
      minutes: 6,
    });
  if (lid)
    steps.push({
      id: 'lid',
      act: 'add',
      title: lid.kind === 'cap' ? 'Make the lid' : 'Make the lid and its flange',
      says: [
        [`${lid.kind === 'cap' ? 'Curl its side' : 'Curl the flange'}, join its ends and set it on the lid. `, score],
        ['Room to the wall ', { mm: wet(lid.clearance) }, ' all round.'],
        ...(lid.knob === undefined
          ? []
          : [['Knob: a ball of ', { grams: lid.knob }, ', joined in the middle.'] as Phrase]),
      ],
      part: 'lid',
      tools: ['scoring tool', 'brush', 'rib'],
      until: 'It goes on and off freely, while both are equally damp.',
      minutes: 12,
    });
  return steps;
}

/** How the whole dries, to the kiln. */
export function dryWork(target: Target, thickness: number): WorkStep[] {
  const { handle, feet, lid, lugs } = target;
  const added = handle !== undefined || feet !== undefined || lid !== undefined || lugs !== undefined;
  const part = { thickness, faces: 'both', cover: added ? 'loose-film' : 'cloth' } as const;
  return [
    {
      id: 'sign',
      act: 'finish',
      title: 'Sign it and look it over',
      says: [['Sign it underneath; wipe off crumbs; look once more for splits at the joins.']],
      tools: ['needle', 'sponge'],
      until: 'Nothing left that you would not want to see after firing.',
      minutes: 3,
    },
    {
      ...waitStep('slowly', {
        title: 'Dry it slowly',
        says: [
          added
            ? 'Under loose film for about two days, so that what was joined dries together.'
            : 'Under cloth for about a day.',
        ],
        waits: { until: 'leatherHard', part },
        until: 'It keeps its shape when it is lifted by the rim.',
      }),
      ...(added && { caution: 'Keep film from small children.' }),
    },
    {
      ...waitStep('dry', {
        title: 'Dry it through',
        says: ['Open, turned over once.'],
        waits: { until: 'dry', part: { ...part, cover: 'open' } },
        until: 'No longer cool to the cheek, and its weight stands still.',
      }),
      act: 'dry',
      caution: 'Never sand it dry without a suitable respirator.',
    },
  ];
}
