import 'fake-indexeddb/auto';
import { jest } from '@jest/globals';

const texts = new Map<string, string>();
jest.unstable_mockModule('./memory.ts', () => ({
  memory: {
    read: (name: string) => texts.get(name) ?? null,
    write: (name: string, text: string) => Boolean(texts.set(name, text)),
    forget: (name: string) => void texts.delete(name),
    names: (start: string) => [...texts.keys()].filter((name) => name.startsWith(start)),
  },
}));

/** A page that has just been loaded: it has nothing in its own memory. */
async function freshPage() {
  jest.resetModules();
  return (await import('./held.ts')).held;
}
const written = () => new Promise((resolve) => setTimeout(resolve, 30));

describe('what is held in the browser', () => {
  it('is there at once, and for the next page', async () => {
    const held = await freshPage();
    held.write('clay:a', 'first');
    held.write('clay:a', 'second');
    held.write('clay:b', 'other');
    expect(await held.read('clay:a')).toBe('second');
    await written();
    const next = await freshPage();
    expect(await next.read('clay:a')).toBe('second');
    expect((await next.names('clay:')).sort()).toEqual(['clay:a', 'clay:b']);
    expect(await next.names('kit:')).toEqual([]);
    next.forget('clay:a');
    expect([await next.read('clay:a'), await next.names('clay:')]).toEqual([null, ['clay:b']]);
    await written();
    expect(await (await freshPage()).read('clay:a')).toBeNull();
  });

  it('outlasts a page that goes away before the database has written', async () => {
    const held = await freshPage();
    held.write('kit:a', 'typed just now');
    held.forget('clay:b');
    held.leave();
    const next = await freshPage();
    expect(await next.read('kit:a')).toBe('typed just now');
    expect(await next.read('clay:b')).toBeNull();
    await written();
    expect(texts.size).toBe(0);
  });

  it('of a page that came back is not written over by what it had handed over', async () => {
    const held = await freshPage();
    held.write('kit:c', 'before it left');
    held.leave();
    held.write('kit:c', 'after it came back');
    await written();
    expect(texts.size).toBe(0);
    expect(await (await freshPage()).read('kit:c')).toBe('after it came back');
  });

  it('lasts as long as the page where the database is forbidden', async () => {
    const whole = globalThis.indexedDB;
    Object.assign(globalThis, { indexedDB: { open: () => { throw new Error('forbidden'); } } }); // prettier-ignore
    const held = await freshPage();
    held.write('plan:a', 'words');
    await written();
    expect([await held.read('plan:a'), await held.names('plan:')]).toEqual(['words', ['plan:a']]);
    held.forget('plan:a');
    expect(await held.read('plan:a')).toBeNull();
    Object.assign(globalThis, { indexedDB: whole });
  });
});
