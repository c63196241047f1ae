/** Resolves in a new task, after waiting input has been handled. */
export function nextTask(): Promise<void> {
  return new Promise((resolve) => {
    setTimeout(resolve);
  });
}
