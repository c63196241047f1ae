/** The object without the keys whose value is undefined: what is left out of a design is not written into it. */
export function without<T extends object>(value: T): T {
  return Object.fromEntries(Object.entries(value).filter(([, one]) => one !== undefined)) as T;
}
