import 'fake-indexeddb/auto';
import { jest } from '@jest/globals';

/** A tab of the browser by its name, just loaded: all tabs share the database. */
async function tab(name: string) {
  jest.resetModules();
  Object.assign(globalThis, { sessionStorage: { getItem: () => name, setItem: () => undefined } });
  const changes = await import('./heldChanges.ts');
  // Its name is read at its first use.
  await changes.heldChanges('none');
  const { tabId } = await import('./otherTabs.ts');
  tabId();
  return changes;
}
const written = () => new Promise((resolve) => setTimeout(resolve, 30));
const says = (found: readonly { readonly what: unknown }[]) => found.map(({ what }) => what);

describe('changes that are held', () => {
  it('of two tabs stand beside one another: a tab finds its own first, and the other is not lost', async () => {
    const one = await tab('one');
    one.holdChange('clay', 'a', 'of one');
    await written();
    const two = await tab('two');
    two.holdChange('clay', 'a', 'of two');
    await written();
    expect(says(await two.heldChanges('clay', 'a'))).toEqual(['of two']);
    two.dropChange('clay', 'a');
    await written();
    expect(says(await (await tab('one')).heldChanges('clay'))).toEqual(['of one']);
  });

  it('that another tab has left come up in their turn, the newest first, and are taken over', async () => {
    const one = await tab('one');
    one.dropChange('clay', 'a');
    one.holdChange('kit', 'x', 'older');
    await written();
    (await tab('two')).holdChange('kit', 'x', 'newer');
    await written();
    const three = await tab('three');
    expect(says(await three.heldChanges('kit'))).toEqual(['newer']);
    three.dropChange('kit', 'x');
    expect(says(await three.heldChanges('kit'))).toEqual(['older']);
    three.dropChange('kit', 'x');
    expect(await three.heldChanges('kit')).toEqual([]);
  });

  it('that cannot be read are let go', async () => {
    const one = await tab('one');
    const { held } = await import('../held.ts');
    held.write('clay:a:one', '{"id":');
    held.write('clay:b:one', '{"id":"b","at":1,"what":"whole"}');
    expect(says(await one.heldChanges('clay'))).toEqual(['whole']);
    expect(await held.names('clay:')).toEqual(['clay:b:one']);
  });

  it('of a record keep what it was made from; a name that is made is a whole one', async () => {
    const { dropHeldRecord, heldRecords, holdRecord, newId } = await import('./heldRecords.ts');
    const id = newId();
    expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    const body = { day: '2026-11-23', name: 'Siding buff', out: 500, back: 0 };
    holdRecord('scrap', { id, revision: 3, createdAt: '', updatedAt: '', body });
    expect(await heldRecords('scrap')).toEqual([{ id, body, baseRevision: 3 }]);
    dropHeldRecord('scrap', id);
    expect(await heldRecords('scrap')).toEqual([]);
  });
});
