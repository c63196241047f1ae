import { planReach } from '../../parts/plan/plan.ts';
import type { LoftForm } from '../../target/target.ts';
import { heightRow, planRows, sizesOf } from '../kind/formSize.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { drawnPlanFaults, planRanges, SIZE } from '../kind/ranged.ts';
import { loftBody } from './loftBody.ts';
import { loftWork } from './loft.ts';

/** Between two outlines. */
export const loftKind: FormKindWork<LoftForm> = {
  ...loftWork,
  body: loftBody,
  words: {
    title: 'one outline to another',
    why: 'Square to round, oval to round, or off-centre.',
    piece: 'dish',
    bending: 'It bends at the corners; what is flat stays flat.',
  },
  traits: { open: true, markable: true, former: true, seam: true },
  ranges: ({ rim, foot, height }) => [...planRanges('rim', rim), ...planRanges('foot', foot), ['height', height, SIZE]],
  shapeFaults: ({ rim, foot }) => [...drawnPlanFaults('form.rim', rim), ...drawnPlanFaults('form.foot', foot)],
  sizes: (form) =>
    sizesOf(form, [...planRows('rim', form.rim), ...planRows('foot', form.foot), heightRow(form.height)]),
  rough: ({ rim, foot, height }) => ({ rim: planReach(rim), foot: planReach(foot), height }),
  fresh: ({ rim, foot, height }) => ({
    kind: 'loft',
    rim: { kind: 'rounded', length: rim * 1.2, width: rim * 1.2, corner: rim * 0.25 },
    foot: { kind: 'circle', diameter: foot },
    height,
  }),
  edges: () => ({ rim: 'rim', foot: 'foot' }),
};
