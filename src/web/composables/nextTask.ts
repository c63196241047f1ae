/** Resolves in a new task, after pending input has been handled. */
export function nextTask(): Promise<void> {
  return new Promise((resolve) => {
    setTimeout(resolve);
  });
}
