/** Messages between the tabs of this browser: a record as the server has it now, or the name of a deleted one. */
export type TabNews = { readonly kind: string } & ({ readonly now: unknown } | { readonly gone: string });

const NAME = 'fawn-table';

let channel: BroadcastChannel | null = null;
const listeners = new Set<(news: TabNews) => void>();

/** The channel to the other tabs; null where the browser has none. */
function open(): BroadcastChannel | null {
  if (channel || !('BroadcastChannel' in globalThis)) return channel;
  channel = new BroadcastChannel(NAME);
  // In tests without a browser, do not keep the process running.
  (channel as { unref?: () => void }).unref?.();
  channel.onmessage = ({ data }: MessageEvent<TabNews>) => {
    for (const listen of listeners) listen(data);
  };
  return channel;
}

/** Sends a message to the other tabs of this browser. */
export function tellTabs(news: TabNews): void {
  open()?.postMessage(news);
}

/** Runs for every message of another tab; returns a function that ends it. */
export function hearTabs(listen: (news: TabNews) => void): () => void {
  open();
  listeners.add(listen);
  return () => listeners.delete(listen);
}

/** A name for this tab that survives reloading. */
export const tabId = (() => {
  let id = '';
  return (): string => {
    if (id) return id;
    const made = Math.random().toString(36).slice(2, 10);
    try {
      id = globalThis.sessionStorage.getItem(NAME) ?? made;
      globalThis.sessionStorage.setItem(NAME, id);
    } catch {
      id = made;
    }
    return id;
  };
})();
