import { existsSync } from 'node:fs';
import { chromium, type Browser } from 'playwright-core';

const PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** Starts headless Chromium without any traffic of its own. */
export function openBrowser(): Promise<Browser> {
  const executablePath = [process.env['FAWN_CHROMIUM'], ...PLACES].find((path) => path && existsSync(path));
  if (!executablePath) throw new Error('Chromium is missing: apt-get install chromium, or set FAWN_CHROMIUM.');
  return chromium.launch({
    executablePath,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      // WebGL by the processor alone, for the standing piece.
      '--use-gl=angle',
      '--use-angle=swiftshader',
      '--enable-unsafe-swiftshader',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
}
