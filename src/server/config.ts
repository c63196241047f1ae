import { isIP } from 'node:net';
import { resolve } from 'node:path';

/** The server's settings. */
export interface Config {
  readonly address: string;
  readonly port: number;
  readonly dataFolder: string;
  readonly logLevel: string;
  readonly passphrase: string | null;
  /** Proxies that are trusted to say who is asking. */
  readonly proxies: readonly string[];
}

/** One setting: the variable that sets it, its default, and what it means. The README prints this table. */
export interface Setting {
  readonly variable: string;
  readonly fallback: string;
  readonly meaning: string;
}

/** All settings by their names. */
export const SETTINGS = {
  address: {
    variable: 'FAWN_ADDRESS',
    fallback: '127.0.0.1',
    meaning: 'address to listen on; any other than this machine asks for FAWN_PASSPHRASE',
  },
  port: { variable: 'FAWN_PORT', fallback: '4310', meaning: 'port to listen on; 0 takes any free one' },
  dataFolder: { variable: 'FAWN_DATA', fallback: 'data', meaning: 'folder of the database file' },
  logLevel: {
    variable: 'FAWN_LOG',
    fallback: 'info',
    meaning: 'how much the log says: silent, error, warn, info or debug',
  },
  passphrase: { variable: 'FAWN_PASSPHRASE', fallback: '', meaning: 'asked for at the door when it is set' },
  proxies: {
    variable: 'FAWN_PROXIES',
    fallback: 'loopback',
    meaning: 'proxies trusted to say who is asking: loopback, none, or addresses separated by commas',
  },
} as const satisfies Record<string, Setting>;

const LOG_LEVELS = ['silent', 'error', 'warn', 'info', 'debug'];

/** Shortest passphrase that may guard a table on the network (characters). */
const LEAST_PASSPHRASE = 8;

/** An address of a proxy, or a network of them such as 10.0.0.0/8. */
function isNetwork(text: string): boolean {
  const [address = '', bits, ...more] = text.split('/');
  const most = { 0: -1, 4: 32, 6: 128 }[isIP(address)] ?? -1;
  return more.length === 0 && most > 0 && (bits === undefined || (/^\d{1,3}$/.test(bits) && Number(bits) <= most));
}

/** Addresses that only this machine reaches. */
export function isLoopback(address: string): boolean {
  return /^127(\.\d{1,3}){3}$/.test(address) || address === '::1' || address === 'localhost';
}

/**
 * Reads the settings from the environment.
 *
 * @throws Error with a message for the person at the keyboard when a setting cannot be used, or when the table would be
 *   open to the network without a passphrase
 */
export function readConfig(environment: Readonly<Record<string, string | undefined>>, folder: string): Config {
  const text = (setting: Setting) => environment[setting.variable] || setting.fallback;
  const address = text(SETTINGS.address);
  const port = Number(text(SETTINGS.port));
  const logLevel = text(SETTINGS.logLevel);
  const passphrase = text(SETTINGS.passphrase) || null;
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`FAWN_PORT is ${text(SETTINGS.port)}: it must be a whole number from 0 to 65535.`);
  }
  if (!LOG_LEVELS.includes(logLevel)) throw new Error(`FAWN_LOG is ${logLevel}: it must be ${LOG_LEVELS.join(', ')}.`);
  if (!isLoopback(address) && passphrase === null) {
    throw new Error(
      `FAWN_ADDRESS is ${address}, which other machines can reach. Set FAWN_PASSPHRASE as well, or leave FAWN_ADDRESS at 127.0.0.1.`,
    );
  }
  if (passphrase !== null && passphrase.length < LEAST_PASSPHRASE) {
    throw new Error(`FAWN_PASSPHRASE must have at least ${LEAST_PASSPHRASE} characters.`);
  }
  const named = text(SETTINGS.proxies)
    .split(',')
    .map((one) => one.trim());
  const proxies = named.length === 1 && named[0] === 'none' ? [] : named;
  const unknown = proxies.find((one) => one !== SETTINGS.proxies.fallback && !isNetwork(one));
  if (unknown !== undefined) {
    throw new Error(`FAWN_PROXIES has ${unknown}: it must be loopback, none, or addresses separated by commas.`);
  }
  return { address, port, logLevel, passphrase, proxies, dataFolder: resolve(folder, text(SETTINGS.dataFolder)) };
}
