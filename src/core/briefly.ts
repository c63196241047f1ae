/** A short text that differs when a long one does (FNV-1a, 32 bits, and the length). */
export function briefly(text: string): string {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at += 1) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  return `${text.length}-${(hash >>> 0).toString(36)}`;
}
