// Installs what package-lock.json names, unless just that is installed already.
import { execSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

const stamp = 'node_modules/.installed-lock';

/** Brings node_modules in line with the lock file. */
export function install() {
  const wanted = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Installing packages ...');
  execSync('npm ci --no-audit --no-fund', { stdio: 'inherit' });
  writeFileSync(stamp, wanted);
}
