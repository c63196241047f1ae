import type { DesignWrite } from '../../contract/api.ts';

const key = (id: string) => `fawn-draft:${id}`;

/** Holds a change in this browser until the server has acknowledged it. */
export function holdDraft(id: string, write: DesignWrite): void {
  try {
    localStorage.setItem(key(id), JSON.stringify(write));
  } catch {
    // A full or forbidden store: the change still lives on the screen and is sent again.
  }
}

/** The change that the server never acknowledged, if there is one. */
export function heldDraft(id: string): DesignWrite | null {
  try {
    const text = localStorage.getItem(key(id));
    return text ? (JSON.parse(text) as DesignWrite) : null;
  } catch {
    return null;
  }
}

export function dropDraft(id: string): void {
  localStorage.removeItem(key(id));
}
