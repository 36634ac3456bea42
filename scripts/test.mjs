// The whole check, on a fresh machine too: packages, lint, types, licences, build, tests. Ends with the counts.
import { spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { install } from './install.mjs';

process.chdir(join(import.meta.dirname, '..'));
install();
const bin = (name) => join('node_modules', '.bin', name);
const steps = [
  ['lint', bin('eslint'), ['.']],
  ['types', bin('tsc'), ['-p', '.']],
  ['licences', process.execPath, ['scripts/licences.mjs']],
  ['build', process.execPath, ['scripts/build.mjs']],
];
let passed = 0;
let failed = 0;
for (const [name, command, args] of steps) {
  console.log(`== ${name}`);
  const { status } = spawnSync(command, args, { stdio: 'inherit' });
  if (status === 0) passed++;
  else failed++;
}
console.log('== tests');
const report = join('out', 'tests.json');
rmSync(report, { force: true });
const run = spawnSync(bin('vitest'), ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${report}`], { stdio: 'inherit' });
try {
  const counts = JSON.parse(readFileSync(report, 'utf8'));
  passed += counts.numPassedTests;
  failed += counts.numFailedTests + (counts.numFailedTestSuites > 0 && counts.numFailedTests === 0 ? 1 : 0);
} catch {
  failed++;
}
if (run.status !== 0 && failed === 0) failed++;
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
