/** The face of the finished piece that a length is measured over, or that lies up on the table. */
export type Face = 'inside' | 'outside';

/** Both faces. */
export const FACES: readonly Face[] = ['inside', 'outside'];
