/** One way out of several: what is kept, what the potter reads, and what it is for. */
export interface Choice<V extends string> {
  readonly value: V;
  readonly title: string;
  readonly why: string;
}
