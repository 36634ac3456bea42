// Installs what package-lock.json names, unless just that is installed already; and the system's browser for the tests.
import { execSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

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

/** Debian's Chromium, which the tests of the screens drive. */
export function installBrowser() {
  if (existsSync('/usr/bin/chromium')) return;
  console.log("Installing Debian's Chromium for the tests of the screens ...");
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  for (const args of [
    ['apt-get', 'update', '-qq'],
    ['apt-get', 'install', '-y', '-qq', '--no-install-recommends', 'chromium'],
  ]) {
    const [command, ...rest] = [...sudo, ...args];
    spawnSync(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  }
  if (!existsSync('/usr/bin/chromium'))
    throw new Error('Chromium could not be installed: the tests of the screens need /usr/bin/chromium.');
}
