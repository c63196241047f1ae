import type { MouldSide } from '../../../core/target/mouldSide.ts';
import type { MouldCast, MouldState, MouldWall } from '../../../core/target/mouldForm.ts';
import type { Choice } from '../fields/choice.ts';

export const SIDE_WAYS: readonly Choice<MouldSide>[] = [
  { value: 'hump', title: 'over a hump', why: 'The inside touches the mould: the mould sets the inner size.' },
  { value: 'slump', title: 'in a hollow', why: 'The outside touches the mould: the mould sets the outer size.' },
];

export const WALL_WAYS: readonly Choice<MouldWall>[] = [
  { value: 'straight', title: 'straight', why: 'A flat floor, an edge, and a straight wall to the rim.' },
  { value: 'curved', title: 'curved', why: 'Leaves the floor without an edge and stands upright at the rim.' },
  { value: 's', title: 'S-shaped', why: 'Leaves the floor without an edge and lies level again at the rim.' },
  { value: 'dome', title: 'full dome', why: 'No flat floor: over a circle it is part of a ball.' },
  { value: 'drawn', title: 'drawn', why: 'Follows a line of its own, read from an SVG path.' },
];

/** What a sheet is bent by. */
export type BendWay = 'cylinder' | 'mould';

export const BEND_WAYS: readonly Choice<BendWay>[] = [
  {
    value: 'cylinder',
    title: 'over a bottle',
    why: 'A bottle, pipe or roll: the sheet bends one way and does not stretch.',
  },
  {
    value: 'mould',
    title: 'on a mould',
    why: 'A dome or a floored mould: the sheet follows it and stretches a little.',
  },
];

export const CAST_FACE_WAYS: readonly Choice<MouldCast['face']>[] = [
  { value: 'same', title: 'the face that was pressed', why: 'It has that mould’s own size, shrunk.' },
  { value: 'inside', title: 'its inside', why: 'Pressed into a hollow: smaller by its own thickness all round.' },
  { value: 'outside', title: 'its outside', why: 'Laid over a hump: larger by its own thickness all round.' },
];

export const MOULD_STATE_WAYS: readonly Choice<MouldState>[] = [
  { value: 'soft', title: 'soft', why: 'Too soft to press on: let it stiffen.' },
  { value: 'leather-hard', title: 'leather-hard', why: 'Takes pressing; keep it covered, it still shrinks.' },
  { value: 'dry', title: 'bone dry', why: 'Takes pressing, draws water from the slab, and breaks easily.' },
  { value: 'bisque', title: 'bisque', why: 'Fired once: lasts, and lets the slab go as it dries.' },
  { value: 'fired', title: 'fired', why: 'Fired to the end: lasts, wants cloth or film between.' },
];
