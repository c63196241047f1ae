import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { Op } from 'sequelize';
import type { Database } from '../models/database.ts';

const slowHash = promisify<string, Buffer, number, Buffer>(scrypt);
const KEY_LENGTH = 32;
const SALT_LENGTH = 16;

/** How long a sign-in lasts (ms): a week of evenings. */
export const SESSION_LIFE = 7 * 24 * 3600 * 1000;

/** The door of a table that asks for a passphrase. Only hashes are held; the clock is given in for tests. */
export interface Door {
  /** A new session's token, or null when the passphrase is wrong. */
  readonly signIn: (passphrase: string) => Promise<string | null>;
  readonly isSignedIn: (token: string | undefined) => Promise<boolean>;
  readonly signOut: (token: string | undefined) => Promise<void>;
}

/** The lock of the last run, when it opens to the same passphrase: sessions that it gave out go on. */
async function sameLock(database: Database, passphrase: string): Promise<string | null> {
  const last = await database.sessions.findOne({ order: [['ends', 'DESC']] });
  if (!last) return null;
  const [salt = '', key = ''] = last.lock.split('.');
  const found = await slowHash(passphrase, Buffer.from(salt, 'base64url'), KEY_LENGTH);
  const wanted = Buffer.from(key, 'base64url');
  return wanted.length === KEY_LENGTH && timingSafeEqual(found, wanted) ? last.lock : null;
}

/**
 * Makes the door for a passphrase. Compares by scrypt with a salt, in constant time. Sessions are kept in the database and
 * survive a restart; another passphrase ends them all.
 */
export async function makeDoor(passphrase: string, database: Database, now: () => number = Date.now): Promise<Door> {
  const { sessions } = database;
  const kept = await sameLock(database, passphrase);
  const salt = kept ? Buffer.from(kept.split('.')[0] ?? '', 'base64url') : randomBytes(SALT_LENGTH);
  const wanted = await slowHash(passphrase, salt, KEY_LENGTH);
  const lock = `${salt.toString('base64url')}.${wanted.toString('base64url')}`;
  await database.write((transaction) =>
    sessions.destroy({ where: { [Op.or]: [{ lock: { [Op.ne]: lock } }, { ends: { [Op.lt]: now() } }] }, transaction }),
  );
  const nameOf = (token: string) => createHash('sha256').update(token).digest('hex');
  return {
    async signIn(given) {
      if (!timingSafeEqual(await slowHash(given, salt, KEY_LENGTH), wanted)) return null;
      const token = randomBytes(32).toString('base64url');
      const row = { hash: nameOf(token), lock, ends: now() + SESSION_LIFE };
      await database.write((transaction) => sessions.create(row, { transaction }));
      return token;
    },
    async isSignedIn(token) {
      if (token === undefined) return false;
      const found = await sessions.findByPk(nameOf(token), { raw: true });
      return found !== null && found.ends > now();
    },
    async signOut(token) {
      if (token === undefined) return;
      await database.write((transaction) => sessions.destroy({ where: { hash: nameOf(token) }, transaction }));
    },
  };
}
