import { readFileSync } from 'node:fs';
import { isLoopback, readConfig, SETTINGS } from './config.ts';

describe('readConfig', () => {
  it('listens on this machine alone unless told otherwise', () => {
    expect(readConfig({}, '/table')).toEqual({
      address: '127.0.0.1',
      port: 4310,
      dataFolder: '/table/data',
      logLevel: 'info',
      passphrase: null,
      proxies: ['loopback'],
    });
  });

  it('takes every setting from the environment', () => {
    const environment = {
      FAWN_ADDRESS: '0.0.0.0',
      FAWN_PORT: '0',
      FAWN_DATA: '/elsewhere',
      FAWN_LOG: 'warn',
      FAWN_PASSPHRASE: 'under the fawn',
      FAWN_PROXIES: '10.0.0.0/8, fd00::1,loopback',
    };
    expect(readConfig(environment, '/table')).toEqual({
      address: '0.0.0.0',
      port: 0,
      dataFolder: '/elsewhere',
      logLevel: 'warn',
      passphrase: 'under the fawn',
      proxies: ['10.0.0.0/8', 'fd00::1', 'loopback'],
    });
    expect(readConfig({ FAWN_PROXIES: 'none' }, '/table').proxies).toEqual([]);
  });

  it.each([
    [{ FAWN_ADDRESS: '0.0.0.0' }, /Set FAWN_PASSPHRASE/],
    [{ FAWN_ADDRESS: '192.168.1.5' }, /other machines can reach/],
    [{ FAWN_ADDRESS: '127.0.0.1.example' }, /other machines can reach/],
    [{ FAWN_PASSPHRASE: 'short' }, /at least 8/],
    [{ FAWN_PORT: 'http' }, /FAWN_PORT is http/],
    [{ FAWN_PORT: '70000' }, /0 to 65535/],
    [{ FAWN_LOG: 'chatty' }, /FAWN_LOG is chatty/],
    [{ FAWN_PROXIES: 'true' }, /FAWN_PROXIES has true/],
    [{ FAWN_PROXIES: '10.0.0.1, 10.0.0.0/33' }, /FAWN_PROXIES has 10.0.0.0\/33/],
    [{ FAWN_PROXIES: 'none, loopback' }, /FAWN_PROXIES has none/],
  ])('refuses to start with %j and says why', (environment, words) => {
    expect(() => readConfig(environment, '/table')).toThrow(words);
  });

  it.each([
    ['127.0.0.1', true],
    ['127.9.9.9', true],
    ['::1', true],
    ['localhost', true],
    ['0.0.0.0', false],
    ['::', false],
  ])('knows that %s is this machine alone: %s', (address, alone) => {
    expect(isLoopback(address)).toBe(alone);
  });

  it('has each setting in the README with its default', () => {
    const readme = readFileSync('README.md', 'utf8');
    for (const { variable, fallback } of Object.values(SETTINGS)) {
      expect(readme).toMatch(new RegExp(`\\| \`${variable}\`\\s+\\| ${fallback ? `\`${fallback}\`` : 'none'}\\s+\\|`));
    }
  });
});
