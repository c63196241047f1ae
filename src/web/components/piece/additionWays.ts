import type { Handle } from '../../../core/target/handle.ts';
import type { Lid } from '../../../core/target/lid.ts';
import { handleAngles } from '../../../core/forms/additions.ts';
import type { Target } from '../../../core/target/target.ts';
import type { Choice } from '../fields/choice.ts';

export const HANDLE_WAYS: readonly Choice<Handle['kind'] | 'none'>[] = [
  { value: 'none', title: 'none', why: 'The piece is held round its wall.' },
  {
    value: 'strap',
    title: 'a strap',
    why: 'Cut from the slab and bent. Let it stiffen in its curve for a quarter of an hour.',
  },
  { value: 'pulled', title: 'pulled', why: 'Drawn out of a wetted lump: here it is weighed, not cut.' },
];

export const LUG_WAYS: readonly Choice<'none' | 'pair'>[] = [
  { value: 'none', title: 'none', why: 'Nothing to lift it by but its wall.' },
  {
    value: 'pair',
    title: 'a pair',
    why: 'Two ears by one template, hollowed to the wall, joined level and opposite one another.',
  },
];

export const FEET_WAYS: readonly Choice<'none' | 'pads'>[] = [
  { value: 'none', title: 'none', why: 'The piece stands on its base.' },
  {
    value: 'pads',
    title: 'pads',
    why: 'Cut from the slab, joined, and pressed level under a board. The piece stands higher by them.',
  },
];

export const LID_WAYS: readonly Choice<Lid['kind'] | 'none'>[] = [
  { value: 'none', title: 'none', why: 'The piece is open.' },
  { value: 'flat', title: 'flat', why: 'A slab on the rim, kept in place by a flange inside it.' },
  { value: 'cap', title: 'a cap', why: 'A slab whose side comes down over the outside of the wall.' },
];

/** Where handles are joined; `other` is what the marks on the wall say. */
export type HandlePlace = 'seam' | 'opposite' | 'pair' | 'other';

export const HANDLE_PLACES: readonly (Choice<HandlePlace> & { readonly angles: readonly number[] })[] = [
  { value: 'seam', title: 'on the seam', why: 'It hides the seam.', angles: [0] },
  {
    value: 'opposite',
    title: 'opposite the seam',
    why: 'The seam is seen from the other side, and is not pulled at.',
    angles: [180],
  },
  { value: 'pair', title: 'a pair, across', why: 'Two of them, a quarter round from the seam.', angles: [90, 270] },
  { value: 'other', title: 'as marked on the flat', why: 'Set the angles under Marks in stage Flat.', angles: [] },
];

/** Which of the places the design's handles have. */
export function handlePlace(target: Target): HandlePlace {
  const angles = handleAngles(target).map((angle) => ((angle % 360) + 360) % 360);
  const found = HANDLE_PLACES.find((place) => place.angles.length > 0 && `${place.angles}` === `${angles}`);
  return found?.value ?? 'other';
}
