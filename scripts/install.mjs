// Installs what package-lock.json names, unless just that is installed already; and the system's browser for the tests.
import { execSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { basename } from 'node:path';
import { BROWSERS, browserPath } from './browser.mjs';

const stamp = 'node_modules/.installed-lock';

/** Brings node_modules in line with the lock file. */
export function install() {
  const wanted = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Installing packages, some minutes the first time ...');
  execSync('npm ci --no-audit --no-fund --loglevel=error', {
    stdio: 'inherit',
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' },
  });
  writeFileSync(stamp, wanted);
}

/**
 * Debian's browser without windows, which the tests of the screens drive. Where it cannot be had, the whole Chromium
 * does: the tests take half as long again.
 */
export function installBrowser() {
  if (browserPath() === BROWSERS[0]) return;
  console.log("Installing Debian's headless Chromium for the tests of the screens ...");
  apt('update', '-qq');
  for (const path of BROWSERS)
    if (path === BROWSERS[0] || !browserPath()) apt('install', '-y', '-qq', '--no-install-recommends', basename(path));
  if (!browserPath())
    throw new Error(`No browser could be installed: the tests of the screens need ${BROWSERS.join(' or ')}.`);
}

/** Where a browser is there already, a better one is neither waited for long nor asked a password for. */
function apt(...args) {
  const spare = browserPath() !== undefined;
  const sudo = process.getuid?.() === 0 ? [] : spare ? ['sudo', '-n'] : ['sudo'];
  const [command, ...rest] = [...sudo, 'apt-get', ...args];
  spawnSync(command, rest, {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    ...(spare && { timeout: 120_000 }),
  });
}
