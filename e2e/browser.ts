import { existsSync } from 'node:fs';
import { chromium, type Browser } from 'playwright-core';

const PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** WebGL by the processor alone, for the standing piece. */
const WEBGL = ['--use-gl=angle', '--use-angle=swiftshader', '--enable-unsafe-swiftshader'];

/** Starts headless Chromium without any traffic of its own; `webgl` where something is drawn in three dimensions. */
export function openBrowser(webgl: 'webgl' | 'plain' = 'plain'): Promise<Browser> {
  const executablePath = [process.env['FAWN_CHROMIUM'], ...PLACES].find((path) => path && existsSync(path));
  if (!executablePath) throw new Error('Chromium is missing: apt-get install chromium, or set FAWN_CHROMIUM.');
  return chromium.launch({
    executablePath,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      ...(webgl === 'webgl' ? WEBGL : []),
    ],
  });
}
