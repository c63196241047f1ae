import 'fake-indexeddb/auto';
import type { Design } from '../../contract/api.ts';
import { mouldOfMesh } from '../../core/forms/mould/importedMould.ts';
import { newTarget, type Target } from '../../core/target/target.ts';
import { held } from '../held.ts';
import { dropDraft, heldDraft, holdDraft } from './draft.ts';

const NAMES = ['design:', 'design-lists:'];
const namesHeld = async () => (await Promise.all(NAMES.map((start) => held.names(start)))).flat();
beforeEach(async () => {
  for (const name of await namesHeld()) held.forget(name);
});

const moulded = (depth: number): Target => ({
  ...newTarget('Dish'),
  form: mouldOfMesh({
    positions: Float64Array.from([0, 0, 0, 50, 0, depth, 0, 50, depth, -50, 0, depth, 0, -50, depth]),
    triangles: Uint32Array.from([0, 1, 2, 0, 2, 3, 0, 3, 4, 0, 4, 1]),
  }),
});
const designOf = (target: Target, revision = 2): Design => ({
  id: 'd',
  name: target.name,
  target,
  revision,
  createdAt: '',
  updatedAt: '',
});
const renamed = (target: Target): Target => ({ ...target, name: 'Deep dish' });
const settled = () => new Promise((resolve) => setTimeout(resolve));
const none = () => Promise.reject(new Error('is not asked for'));

describe('a draft', () => {
  it.each([
    ['a piece without a mesh', newTarget('Tumbler'), newTarget('Cup')],
    ['a new mould on a piece without one', newTarget('Tumbler'), moulded(20)],
    ['another mould', moulded(20), moulded(30)],
  ])('comes back as it was held: %s', async (_, before, after) => {
    holdDraft(designOf(before), after);
    await settled();
    expect(await heldDraft('d', none)).toEqual({ target: after, baseRevision: 2 });
    expect(await heldDraft('other', none)).toBeNull();
    holdDraft(designOf(before), after, ['sent before']);
    expect(await heldDraft('d', none)).toEqual({ target: after, baseRevision: 2, sent: ['sent before'] });
    dropDraft('d');
    expect(await namesHeld()).toEqual([]);
  });

  it('of the same mould takes its lists from the revision that it was made from, and is short', async () => {
    const before = moulded(20);
    holdDraft(designOf(before, 7), renamed(before));
    await settled();
    const [name = '', ...more] = await namesHeld();
    expect(more).toEqual([]);
    const written = JSON.parse((await held.read(name)) ?? '') as { what: { target: Target } };
    expect(written.what.target.form).toMatchObject({ vertices: [], triangles: [] });
    const asked: number[] = [];
    const draft = await heldDraft('d', (revision) => {
      asked.push(revision);
      return Promise.resolve(before);
    });
    expect(draft).toEqual({ target: renamed(before), baseRevision: 7 });
    expect(asked).toEqual([7]);
  });

  it('writes the lists of a new mould once', async () => {
    const after = moulded(20);
    const base = designOf(newTarget('Tumbler'));
    holdDraft(base, after);
    await settled();
    const [lists = ''] = await held.names('design-lists:');
    expect(lists).not.toBe('');
    held.forget(lists);
    holdDraft(base, renamed(after));
    await settled();
    expect(await held.names('design-lists:')).toEqual([]);
    // Without them nothing is offered.
    expect(await heldDraft('d', none)).toBeNull();
    dropDraft('d');
  });

  it('that cannot be read is none', async () => {
    holdDraft(designOf(newTarget('Tumbler')), newTarget('Cup'));
    const [name = ''] = await held.names('design:');
    held.write(name, '{"target":');
    expect(await heldDraft('d', none)).toBeNull();
  });
});
