/** The object without the keys whose value is undefined: a design has no keys for what it leaves out. */
export function without<T extends object>(value: T): T {
  return Object.fromEntries(Object.entries(value).filter(([, one]) => one !== undefined)) as T;
}
