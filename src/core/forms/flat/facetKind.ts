import { SIDES_LIMITS, type FacetForm } from '../../target/target.ts';
import { heightRow, sizesOf } from '../kind/formSize.ts';
import { taperedRough, type FormKindWork } from '../kind/kind.ts';
import { SIZE } from '../kind/ranged.ts';
import { explainFacet } from './facetSteps.ts';
import { flatBody } from './flatBody.ts';
import { flatWork } from './flat.ts';

/** Flat sides round a middle. */
export const facetKind: FormKindWork<FacetForm> = {
  ...flatWork,
  body: flatBody,
  explain: explainFacet,
  words: {
    title: 'facets',
    why: 'Flat sides, straight or tapered: panels, or one strip with grooves.',
    piece: 'facetted cup',
  },
  traits: { markable: true, quick: true, former: true, panels: true },
  seams: ({ fold }) => ({
    kinds: ['bevel'],
    how:
      fold === 'strip'
        ? 'The strip is one piece, and its ends meet in a mitre like its folds.'
        : 'The panels are cut one by one and meet in mitres.',
  }),
  ranges: ({ sides, rim, foot, height }) => [
    ['sides', sides, SIDES_LIMITS, 'count'],
    ['rim', rim, SIZE],
    ['foot', foot, SIZE],
    ['height', height, SIZE],
  ],
  sizes: (form) =>
    sizesOf(form, [
      ['sides', 'Sides', form.sides, 'count'],
      ['rim', 'Rim across flats', form.rim],
      ['foot', 'Foot across flats', form.foot],
      heightRow(form.height),
    ]),
  rough: ({ rim, foot, height }) => ({ rim, foot, height }),
  fresh: (rough) => ({ kind: 'facet', sides: 6, ...taperedRough(rough), height: rough.height, fold: 'separate' }),
  edges: () => ({ rim: 'rim', foot: 'foot' }),
};
