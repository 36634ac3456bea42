import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';

/** The demo's folder, made once for all tests; each gets a copy. */
export const DEMO = join(import.meta.dirname, '../../out/demo');

/** Makes the demo before the first test. */
export default function makeDemo(): void {
  rmSync(DEMO, { recursive: true, force: true });
  const made = spawnSync(process.execPath, ['dist/prepare.mjs', DEMO], { encoding: 'utf8' });
  if (made.status !== 0) throw new Error(made.stderr);
}
