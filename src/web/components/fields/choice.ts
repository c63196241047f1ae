/** One choice out of several: its value, its words, and what it is for. */
export interface Choice<V extends string> {
  readonly value: V;
  readonly title: string;
  readonly why: string;
}
