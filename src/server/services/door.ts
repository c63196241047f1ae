import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';

const slowHash = promisify<string, Buffer, number, Buffer>(scrypt);
const KEY_LENGTH = 32;

/** How long a sign-in lasts (ms): a week of evenings. */
export const SESSION_LIFE = 7 * 24 * 3600 * 1000;

/** The door of a table that asks for a passphrase. Only hashes are held; the clock is given in for tests. */
export interface Door {
  /** A new session's token, or null when the passphrase is wrong. */
  readonly signIn: (passphrase: string) => Promise<string | null>;
  readonly isSignedIn: (token: string | undefined) => boolean;
  readonly signOut: (token: string | undefined) => void;
}

/** Makes the door for a passphrase. Compares by scrypt with a fresh salt, in constant time. */
export async function makeDoor(passphrase: string, now: () => number = Date.now): Promise<Door> {
  const salt = randomBytes(16);
  const wanted = await slowHash(passphrase, salt, KEY_LENGTH);
  const sessions = new Map<string, number>();
  const nameOf = (token: string) => createHash('sha256').update(token).digest('hex');
  return {
    async signIn(given) {
      if (!timingSafeEqual(await slowHash(given, salt, KEY_LENGTH), wanted)) return null;
      const token = randomBytes(32).toString('base64url');
      for (const [name, ends] of sessions) if (ends < now()) sessions.delete(name);
      sessions.set(nameOf(token), now() + SESSION_LIFE);
      return token;
    },
    isSignedIn: (token) => token !== undefined && (sessions.get(nameOf(token)) ?? 0) > now(),
    signOut: (token) => {
      if (token !== undefined) sessions.delete(nameOf(token));
    },
  };
}
