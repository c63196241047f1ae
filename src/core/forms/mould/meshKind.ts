import { once } from '../../numbers.ts';
import type { MeshForm } from '../../target/mouldForm.ts';
import { sizesOf } from '../kind/formSize.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { drapedWork } from './drapedWork.ts';
import { newMould, slabRows } from './mouldKind.ts';

/** Across an imported mould, along x, and its depth (mm). */
const meshSize = once((form: MeshForm) => {
  const reach = (axis: 0 | 1 | 2) => {
    const all = form.vertices.map((vertex) => vertex[axis]);
    return (
      all.reduce((most, value) => Math.max(most, value), -Infinity) -
      all.reduce((least, value) => Math.min(least, value), Infinity)
    );
  };
  return { rim: reach(0), foot: reach(0), height: reach(2) };
});

/** Over or in a mould that was read from a file; a new one begins as a drawn mould. */
export const meshKind: FormKindWork<MeshForm> = {
  ...drapedWork,
  words: { title: 'a mould from a file', why: 'A mould that was read from OBJ or STL.', piece: 'tray' },
  traits: { ofTool: true },
  ranges: () => [],
  sizes: (form) => sizesOf(form, slabRows(form)),
  rough: meshSize,
  fresh: ({ rim }) => newMould(rim),
};
