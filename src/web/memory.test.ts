import { memory } from './memory.ts';

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
    setItem: {
      value: (name: string, text: string) => {
        if (text.length > room) throw new Error('QuotaExceededError');
        held[name] = text;
      },
    },
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
});
