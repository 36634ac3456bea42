// Installs and builds when needed, then drafts the demo course and says where to read it.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { install } from './install.mjs';

process.chdir(join(import.meta.dirname, '..'));
install();
const newest = (folder) => Math.max(0, ...readdirSync(folder, { withFileTypes: true }).map((entry) => (entry.isDirectory() ? newest(join(folder, entry.name)) : statSync(join(folder, entry.name)).mtimeMs)));
const built = existsSync('dist/cli.mjs') ? statSync('dist/cli.mjs').mtimeMs : 0;
if (['core', 'cli', 'server', 'demo', 'eval'].some((folder) => newest(folder) > built)) {
  console.log('Building ...');
  await import('./build.mjs');
}
const files = ['lending-policy.docx', 'battery-guide.pdf', 'front-desk-shift.pptx', 'twelve-years-at-the-desk.vtt', 'questions.html', 'coordinators-notes.md'].map((name) => join('demo/files', name));
const audience = 'volunteers at the front desk';
const result = spawnSync(process.execPath, ['dist/cli.mjs', 'draft', ...files, '--out', 'out/demo', '--title', 'Lending tools safely', '--audience', audience, '--keep-going'], { stdio: 'inherit' });
if (result.status === 0) console.log(`\nThe demo course is drafted. Read it in a browser: ${resolve('out/demo/course.html')}\nDraft your own: node dist/cli.mjs draft YOUR-FILES --out DIR`);
process.exitCode = result.status ?? 1;
