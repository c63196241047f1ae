import 'fake-indexeddb/auto';
import { jest } from '@jest/globals';

/** The browser's small memory: it outlasts a page. */
const storage: Record<string, string> = Object.create(
  {},
  {
    getItem: { value: (name: string) => storage[name] ?? null },
    setItem: { value: (name: string, text: string) => Object.assign(storage, { [name]: text }) },
    removeItem: { value: (name: string) => Reflect.deleteProperty(storage, name) },
  },
) as Record<string, string>;
Object.defineProperty(globalThis, 'localStorage', { configurable: true, value: storage });
afterAll(() => Reflect.deleteProperty(globalThis, 'localStorage'));
const texts = () => Object.keys(storage).length;

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
    expect(texts()).toBe(2);
    const next = await freshPage();
    expect(await next.read('kit:a')).toBe('typed just now');
    expect(await next.read('clay:b')).toBeNull();
    await written();
    expect(texts()).toBe(0);
  });

  it('of a page that came back is not written over by what it had handed over', async () => {
    const held = await freshPage();
    held.write('kit:c', 'before it left');
    held.leave();
    held.write('kit:c', 'after it came back');
    await written();
    expect(texts()).toBe(0);
    expect(await (await freshPage()).read('kit:c')).toBe('after it came back');
  });

  it('lasts as long as the page where the database is forbidden', async () => {
    const whole = globalThis.indexedDB;
    Object.assign(globalThis, {
      indexedDB: {
        open: () => {
          throw new Error('forbidden');
        },
      },
    });
    const held = await freshPage();
    held.write('plan:a', 'words');
    await written();
    expect([await held.read('plan:a'), await held.names('plan:')]).toEqual(['words', ['plan:a']]);
    held.forget('plan:a');
    expect(await held.read('plan:a')).toBeNull();
    Object.assign(globalThis, { indexedDB: whole });
  });
});
