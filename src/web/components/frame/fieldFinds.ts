import type { Stage } from '../../router.ts';

/** A field of a piece, or of another place, with the words that people look for. */
export interface FieldFind {
  readonly title: string;
  readonly words: string;
  readonly at: { readonly stage: Stage } | { readonly place: 'clay' | 'kit' | 'from' };
  readonly field: string;
  readonly fold?: string;
}

/** The fields that people look for. */
export const FIELD_FINDS: readonly FieldFind[] = [
  { title: 'Form', words: 'form shape tumbler cup box oval facets', at: { stage: 'shape' }, field: 'form' },
  {
    title: 'What it holds',
    words: 'capacity volume holds millilitres ounces pint quart brim',
    at: { stage: 'shape' },
    field: 'holds',
  },
  {
    title: 'Fired or wet, outside or inside',
    words: 'sizes measured fired wet inside outside',
    at: { stage: 'shape' },
    field: 'state',
    fold: 'Sizes are',
  },
  { title: 'Clay of the piece', words: 'clay body', at: { stage: 'shape' }, field: 'clay' },
  { title: 'Shrinkage', words: 'shrinkage shrinks percent', at: { stage: 'shape' }, field: 'shrinkage' },
  {
    title: 'How soft the clay is',
    words: 'stiffness soft bend density',
    at: { stage: 'shape' },
    field: 'stiffness',
    fold: 'Wet density, bending',
  },
  { title: 'Thickness of the wall', words: 'thickness slab wall sticks', at: { stage: 'shape' }, field: 'wall' },
  {
    title: 'Thickness of the base',
    words: 'thickness base floor',
    at: { stage: 'shape' },
    field: 'base',
    fold: 'Base',
  },
  {
    title: 'Handle',
    words: 'handle strap pulled',
    at: { stage: 'shape' },
    field: 'handle',
    fold: 'Handle, lugs, feet, lid',
  },
  { title: 'Feet', words: 'feet foot pads', at: { stage: 'shape' }, field: 'feet', fold: 'Handle, lugs, feet, lid' },
  { title: 'Lid', words: 'lid cap flange', at: { stage: 'shape' }, field: 'lid', fold: 'Handle, lugs, feet, lid' },
  {
    title: 'Knob',
    words: 'knob grip ball',
    at: { stage: 'shape' },
    field: 'lid.knob',
    fold: 'Handle, lugs, feet, lid',
  },
  { title: 'Lugs', words: 'lug ear grip', at: { stage: 'shape' }, field: 'lugs', fold: 'Handle, lugs, feet, lid' },
  { title: 'Rack hole', words: 'fit rack hole drops', at: { stage: 'shape' }, field: 'hole', fold: 'Must fit' },
  {
    title: 'Height above the shelf',
    words: 'fit shelf height clear',
    at: { stage: 'shape' },
    field: 'shelf',
    fold: 'Must fit',
  },
  { title: 'Belly', words: 'belly push out globe stretch', at: { stage: 'shape' }, field: 'belly', fold: 'Belly' },
  {
    title: 'Your hand',
    words: 'hand knuckles reach',
    at: { stage: 'shape' },
    field: 'hand',
    fold: 'Your hand and slab',
  },
  { title: 'Face up', words: 'face inside outside texture up turn', at: { stage: 'flat' }, field: 'faceUp' },
  { title: 'Seam', words: 'seam bevel slant lap butt join corners', at: { stage: 'flat' }, field: 'seam' },
  { title: 'Base join', words: 'base join mitre skirt', at: { stage: 'flat' }, field: 'base' },
  { title: 'Trim after joining', words: 'trim base margin', at: { stage: 'flat' }, field: 'trim' },
  {
    title: 'Neutral fraction',
    words: 'neutral fraction surface',
    at: { stage: 'flat' },
    field: 'neutralFraction',
    fold: 'Neutral surface',
  },
  {
    title: 'Your round cutters',
    words: 'cutter cutters ring base',
    at: { stage: 'flat' },
    field: 'cutters',
    fold: 'Cutter for the base',
  },
  {
    title: 'Texture and stamps',
    words: 'texture stamp repeat roller marks',
    at: { stage: 'flat' },
    field: 'repeat',
    fold: 'Marks on the wall',
  },
  {
    title: 'Equal panels',
    words: 'panels divide marks',
    at: { stage: 'flat' },
    field: 'panels-count',
    fold: 'Marks on the wall',
  },
  {
    title: 'Words on the wall',
    words: 'words text name marks letters',
    at: { stage: 'flat' },
    field: 'mark-text',
    fold: 'Marks on the wall',
  },
  { title: 'Gap between parts', words: 'slab plan gap margin', at: { stage: 'slab' }, field: 'gap' },
  { title: 'Paper', words: 'print paper template pdf a4 letter sheet', at: { stage: 'cut' }, field: 'paper' },
  {
    title: 'Another size',
    words: 'scale percent larger smaller',
    at: { stage: 'cut' },
    field: 'scale',
    fold: 'At another size?',
  },
  {
    title: 'From an arc template, sheet, cutter, former, round or clay',
    words: 'template paper cutter former round grams own',
    at: { place: 'from' },
    field: 'owned',
  },
];
