/** Further from the planned figure than this share of it, a reading is questioned. */
const FAR = 0.12;

/** Why a reading may be a slip; null where it may well be right. Units are those of both figures. */
export type Slip = 'turned' | 'far';

/**
 * Questions a reading: whole digits in the wrong order (48 for 84), or far from what is planned. It is never refused: pieces do
 * come out wrong.
 */
export function slipOf(read: number, planned: number): Slip | null {
  if (Math.abs(read - planned) <= FAR * planned) return null;
  const digits = (value: number) => [...String(Math.round(value))].sort().join('');
  return digits(read) === digits(planned) ? 'turned' : 'far';
}
