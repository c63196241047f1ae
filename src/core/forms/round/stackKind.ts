import type { StackForm } from '../../target/target.ts';
import { profileEdges, profileRanges, profileRough, profileRows } from '../kind/profile.ts';
import { sizesOf } from '../kind/formSize.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { coneWork } from './cones.ts';

/** Cones on one another. */
export const stackKind: FormKindWork<StackForm> = {
  ...coneWork,
  words: { title: 'stacked tapers', why: 'Belly and neck: an arc for each band, their seams apart.', piece: 'vase' },
  traits: { round: true, open: true, belly: true, markable: true, quick: true, rimCut: true, seam: true },
  ranges: ({ profile }) => profileRanges(profile),
  sizes: (form) => sizesOf(form, profileRows(form.profile)),
  rough: ({ profile }) => profileRough(profile),
  fresh: ({ rim, foot, height }) => ({
    kind: 'stack',
    profile: [
      [0, foot],
      [height / 2, 1.3 * Math.max(rim, foot)],
      [height, rim],
    ],
  }),
  edges: ({ profile }) => profileEdges(profile),
  profile: ({ profile }) => profile,
};
