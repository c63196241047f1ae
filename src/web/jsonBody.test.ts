import { mouldOfMesh } from '../core/forms/mould/importedMould.ts';
import { newTarget, type Target } from '../core/target/target.ts';
import { jsonBody } from './jsonBody.ts';
import { prepared, takeReady } from './workers/blankWork.ts';

/** A pyramid that opens upward. */
const mesh = {
  positions: Float64Array.from([0, 0, 0, 50, 0, 20, 0, 50, 20, -50, 0, 20, 0, -50, 20]),
  triangles: Uint32Array.from([0, 1, 2, 0, 2, 3, 0, 3, 4, 0, 4, 1]),
};

function imported(name: string): Target {
  const form = mouldOfMesh(mesh);
  const reply = prepared(mesh);
  if (reply.kind !== 'ready') throw new Error('the mesh is sound');
  takeReady(form, reply.ready);
  return { ...newTarget(name), form };
}

describe('the body of a request', () => {
  it.each([
    ['a name with signs of its own', { target: imported('"vertices":[],{}'), baseRevision: 3 }],
    ['nothing beside the target', { target: imported('Dish') }],
    ['a piece without a mesh', { target: newTarget('Tumbler'), baseRevision: 1 }],
    ['no target', { passphrase: 'clay' }],
    ['a mesh whose text is not known', { target: { ...newTarget('Dish'), form: mouldOfMesh(mesh) }, format: 'svg' }],
  ])('says the same as JSON: %s', async (_, body) => {
    const written = jsonBody(body);
    const text = typeof written === 'string' ? written : await written.text();
    expect(JSON.parse(text)).toEqual(JSON.parse(JSON.stringify(body)));
  });

  it('takes the lists as they were written down', () => {
    expect(jsonBody({ target: imported('Dish'), baseRevision: 1 })).toBeInstanceOf(Blob);
  });
});
