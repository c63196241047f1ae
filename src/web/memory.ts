/** Fallback where the browser's storage is forbidden or full: it lasts as long as the page. */
const here = new Map<string, string>();

/** The browser's memory, or null where the person has forbidden it. */
function own(): Storage | null {
  try {
    return globalThis.localStorage;
  } catch {
    return null;
  }
}

/** Texts that this browser remembers by name. No verb throws: what cannot be stored is held until the page goes away. */
export const memory = {
  read(name: string): string | null {
    const held = here.get(name);
    if (held !== undefined) return held;
    try {
      return own()?.getItem(name) ?? null;
    } catch {
      return null;
    }
  },

  /** Stores a text; false when it is only held while the page is open. */
  write(name: string, text: string): boolean {
    try {
      const storage = own();
      if (storage) {
        storage.setItem(name, text);
        here.delete(name);
        return true;
      }
    } catch {
      // Full, or forbidden since.
    }
    here.set(name, text);
    return false;
  },

  forget(name: string): void {
    here.delete(name);
    try {
      own()?.removeItem(name);
    } catch {
      // What cannot be reached is not remembered either.
    }
  },

  /** Names that begin alike. */
  names(start: string): string[] {
    const found = new Set([...here.keys()]);
    try {
      for (const name of Object.keys(own() ?? {})) found.add(name);
    } catch {
      // Only what is held here.
    }
    return [...found].filter((name) => name.startsWith(start));
  },
};
