/** A ring sector that is owned: the radii of its two arcs about one centre (mm), and its sweep (degrees). */
export interface ArcTemplate {
  readonly inner: number;
  readonly outer: number;
  readonly sweep: number;
}

/** Limits of an owned template's figures (mm, degrees). */
export const TEMPLATE_LIMITS = {
  radius: { above: 0, greatest: 5000 },
  sweep: { above: 0, least: 1, greatest: 359.9 },
} as const;
