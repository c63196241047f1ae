import { memory } from './memory.ts';
import { dropHeldRecord, heldRecords, holdRecord, newId } from './stores/heldRecords.ts';

const given = (storage: unknown) => {
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    get: () => {
      if (storage === 'forbidden') throw new Error('The operation is insecure.');
      return storage;
    },
  });
};
afterEach(() => {
  for (const name of memory.names('')) memory.forget(name);
  given(undefined);
});

/** A browser's memory that has room for so many characters. */
function storage(room: number): Record<string, unknown> {
  const held: Record<string, unknown> = {};
  Object.defineProperties(held, {
    getItem: { value: (name: string) => held[name] ?? null },
    setItem: { value: (name: string, text: string) => { if (text.length > room) throw new Error('QuotaExceededError'); held[name] = text; } }, // prettier-ignore
    removeItem: { value: (name: string) => Reflect.deleteProperty(held, name) },
  });
  return held;
}

describe('what the browser remembers', () => {
  it.each<[string, unknown, boolean]>([
    ['as it should', storage(1000), true],
    ['while the page is open, where it is forbidden', 'forbidden', false],
    ['while the page is open, where it is full', storage(3), false],
    ['while the page is open, where there is none', undefined, false],
  ])('%s', (_, own, lasts) => {
    given(own);
    expect(memory.write('fawn-x', 'some text')).toBe(lasts);
    expect(memory.read('fawn-x')).toBe('some text');
    expect(memory.names('fawn-')).toEqual(['fawn-x']);
    memory.forget('fawn-x');
    expect(memory.read('fawn-x')).toBeNull();
    expect(memory.names('fawn-')).toEqual([]);
  });

  it('holds changes to records until the server has them, and forgets what cannot be read', () => {
    given(storage(1000));
    const record = { id: newId(), revision: 3, createdAt: '', updatedAt: '', body: { day: '2026-11-23', name: 'Siding buff', out: 500, back: 0 } };
    holdRecord('scrap', record);
    expect(heldRecords('scrap')).toEqual([{ id: record.id, body: record.body, baseRevision: 3 }]);
    expect(heldRecords('clay')).toEqual([]);
    memory.write('fawn-record:scrap:broken', '{');
    expect(heldRecords('scrap')).toHaveLength(1);
    dropHeldRecord('scrap', record.id);
    expect(heldRecords('scrap')).toEqual([]);
    expect(record.id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  }); // prettier-ignore
});
