/** Fallback where local storage is forbidden or full: it lasts until the page is closed. */
const here = new Map<string, string>();

/** Local storage, or null where it is forbidden. */
function own(): Storage | null {
  try {
    return globalThis.localStorage;
  } catch {
    return null;
  }
}

/** Texts by name in local storage. No method throws: what cannot be stored lasts until the page is closed. */
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

  /** Stores a text; false when it lasts only while the page is open. */
  write(name: string, text: string): boolean {
    try {
      const storage = own();
      if (storage) {
        storage.setItem(name, text);
        here.delete(name);
        return true;
      }
    } catch {
      // Full, or forbidden meanwhile.
    }
    here.set(name, text);
    return false;
  },

  forget(name: string): void {
    here.delete(name);
    try {
      own()?.removeItem(name);
    } catch {
      // Without local storage there is nothing to delete.
    }
  },

  /** The names with this prefix. */
  names(start: string): string[] {
    const found = new Set([...here.keys()]);
    try {
      for (const name of Object.keys(own() ?? {})) found.add(name);
    } catch {
      // Only what is in memory.
    }
    return [...found].filter((name) => name.startsWith(start));
  },
};
