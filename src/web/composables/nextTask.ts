/** Resolves in a task of its own: what the page was asked meanwhile is answered first. */
export function nextTask(): Promise<void> {
  return new Promise((resolve) => {
    setTimeout(resolve);
  });
}
