import { bentSheet, type BentSheet } from '../forms/bentSheet/bentSheet.ts';
import { placeFeet } from '../forms/bentSheet/placeFeet.ts';
import { narrowest } from '../forms/bentSheet/sheetWidths.ts';
import { touching } from '../forms/bentSheet/touching.ts';
import type { DevelopedForm } from '../forms/kind/kind.ts';
import { DEFAULT_STIFFNESS, type Target } from '../target/target.ts';
import { checkBend } from './bend.ts';
import type { Bench } from './bench.ts';
import type { Check } from './check.ts';
import { checkFit } from './fit.ts';
import { STRAIN_LIMITS } from '../target/mouldForm.ts';
import { checkSlabSize } from './slabSize.ts';

/** Least width of a bridge between holes, in thicknesses of the slab. A rule of the bench. */
export const BRIDGE = 1.5;

/** Least width of a tip, in thicknesses of the slab. A rule of the bench. */
export const TIP = 2;

/** How a sheet without feet lies. */
function onItself(bent: BentSheet): Check {
  const { size, room, steady } = touching(bent);
  if (steady)
    return {
      code: 'sheet-stands',
      level: 'note',
      title: 'It stands on its floor',
      phrase: [
        'Hollow side up it touches the table over ',
        { mmPlain: size[0] },
        ' × ',
        { mm: size[1] },
        ', wet; its middle lies ',
        { mm: room },
        ' within.',
      ],
    };
  const where = bent.axis ? 'along one line' : 'at one place only';
  return {
    code: 'sheet-rocks',
    level: 'care',
    title: 'It rocks',
    phrase: [
      `Hollow side up it touches the table ${where}, its edges `,
      { mm: bent.rise },
      ' higher. Give it three or four feet.',
    ],
  };
}

/** Strain of a sheet on a mould against the limits of its stiffness. */
function checkStrain({ clay }: Target, { strain }: BentSheet): Check | null {
  if (!strain) return null;
  const limits = STRAIN_LIMITS[clay.stiffness ?? DEFAULT_STIFFNESS];
  const over = strain.stretch > limits.stretch || strain.gather > limits.gather;
  return {
    code: 'sheet-strain',
    level: over ? 'care' : 'note',
    title: over ? 'It would fold or tear' : 'It follows the mould',
    phrase: [
      'On the mould it stretches up to ',
      { percent: 100 * strain.stretch },
      ` (this clay takes ${(100 * limits.stretch).toFixed(0)} %) and gathers up to `,
      { percent: 100 * strain.gather },
      ` (${(100 * limits.gather).toFixed(0)} %).`,
      over ? ' Make it smaller, or the mould shallower.' : '',
    ],
  };
}

/** Advice on a bent sheet: how it lies, its bridges and tips, its bend, the slab. */
export function checkSheet(target: Target, developed: DevelopedForm, bench: Bench): Check[] {
  const { form, slab, clay } = target;
  if (form.kind !== 'sheet') return [];
  const { bridge, tip } = narrowest(form, slab.wall);
  const footing = placeFeet(form, { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage });
  const bent = bentSheet(form, slab.wall, slab.neutralFraction);
  const stands: Check | null = footing && {
    code: 'sheet-stands',
    level: footing.room > 0 ? 'note' : 'stop',
    title: footing.room > 0 ? 'It stands on its feet' : 'It tips off its feet',
    phrase:
      footing.room > 0
        ? [
            'Its middle lies ',
            { mm: footing.room },
            ' within them. Fired, they are ',
            ...footing.feet.flatMap(({ length }, index) => [index === 0 ? '' : ', ', { mm: length }]),
            ' long, so that it stands level.',
          ]
        : [
            form.feet?.at
              ? 'Its middle does not lie between them: move them further out.'
              : 'There is no room for feet that its middle lies between. Make them smaller.',
          ],
  };
  const checks: (Check | null)[] = [
    stands ??
      (form.feet
        ? {
            code: 'sheet-feet',
            level: 'stop',
            title: 'No room for its feet',
            phrase: ['Every place is too near to an edge or a hole.'],
          }
        : onItself(bent)),
    checkStrain(target, bent),
    bridge < BRIDGE * slab.wall
      ? {
          code: 'sheet-bridge',
          level: 'care',
          title: 'A thin bridge',
          phrase: [
            'Only ',
            { mm: bridge },
            ' of clay is left between a hole and the next edge: it dries first and may crack.',
          ],
        }
      : null,
    tip < TIP * slab.wall
      ? {
          code: 'sheet-tip',
          level: 'care',
          title: 'A narrow tip',
          phrase: ['The sheet narrows to ', { mm: tip }, ': round its tip, and keep it covered while it dries.'],
        }
      : null,
    bent.strain
      ? null
      : checkBend({
          thickness: slab.wall,
          neutralRadius: developed.bendRadius,
          neutralFraction: slab.neutralFraction,
          stiffness: clay.stiffness ?? DEFAULT_STIFFNESS,
        }),
    checkSlabSize(developed.parts, bench.slab, null),
    ...checkFit(target),
  ];
  return checks.filter((check) => check !== null);
}
