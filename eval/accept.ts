// Runs the command line over the corpus and the hostile files, and independent checkers over what it writes.
import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join, resolve } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { readFileSync } from 'node:fs';
import { demoFiles, documents, sharedFolder } from './corpus';
import { HOSTILE } from './expected';
import { acceptPackages } from './packages';

/**
 * A bound against hanging, no measure of speed: the largest, 20 MB in one line and all of it a course, takes about 20 s
 * on two quiet cores.
 */
const SLOWEST_SECONDS = 60;
const MOST_MEGABYTES = 1024;
const shared = sharedFolder();
let passed = 0;
let failed = 0;

/** Counts a check and says what failed. */
function check(name: string, problems: string[]): void {
  if (problems.length === 0) passed++;
  else {
    failed++;
    console.log(`FAILED ${name}: ${problems.join('; ')}`);
  }
}

interface Ran {
  code: number;
  seconds: number;
  megabytes: number;
  said: string;
  folder: string;
}

/** Drafts in an empty folder of its own, so that anything written elsewhere is seen. */
function draft(paths: readonly string[], more: readonly string[] = []): Ran {
  const folder = mkdtempSync(join(tmpdir(), 'accept-'));
  const start = performance.now();
  const run = spawnSync(
    '/usr/bin/time',
    [
      '-f',
      'peak %M',
      process.execPath,
      resolve('dist/cli.mjs'),
      'draft',
      ...paths.map((path) => resolve(path)),
      '--out',
      'out',
      ...more,
    ],
    { cwd: folder, encoding: 'utf8' },
  );
  const megabytes = Number(/peak (\d+)/.exec(run.stderr)?.[1] ?? 0) / 1024;
  return {
    code: run.status ?? -1,
    seconds: (performance.now() - start) / 1000,
    megabytes,
    said: run.stderr
      .trim()
      .split('\n')
      .filter((line) => !line.startsWith('peak'))
      .join(' | '),
    folder,
  };
}

const ours = (ran: Ran) =>
  readdirSync(ran.folder)
    .filter((name) => name !== 'out')
    .map((name) => `wrote ${name} outside its folder`);

console.log('== corpus');
for (const { name, path, words } of documents(shared)) {
  const ran = draft([path]);
  const allowed = name.endsWith('.tsv') ? [3] : words > 2000 || words === 0 ? [0] : [0, 4];
  check(name, [
    ...(allowed.includes(ran.code) ? [] : [`exit ${ran.code}: ${ran.said}`]),
    ...ours(ran),
    ...(ran.code === 0 ? checkPage(join(ran.folder, 'out/course.html')) : []),
  ]);
  console.log(`${name}: exit ${ran.code}, ${ran.seconds.toFixed(1)} s, ${ran.megabytes.toFixed(0)} MB`);
  rmSync(ran.folder, { recursive: true });
}

console.log('== hostile');
const hostile = join(shared, 'hostile');
const unlisted = readdirSync(hostile).filter((name) => name !== 'NOTES.tsv' && !(name in HOSTILE));
check('every hostile file has its expected code', unlisted);
for (const [name, expected] of Object.entries(HOSTILE)) hostileFile(join(hostile, name), expected);
const line = join(mkdtempSync(join(tmpdir(), 'accept-')), 'one-line-20MB.txt');
writeFileSync(line, gunzipSync(readFileSync(join(hostile, 'one-line-20MB.txt.gz'))));
hostileFile(line, undefined);
check(
  'nothing was unpacked elsewhere',
  ['/tmp/evil.txt', '/abs.txt', '/tmp/pwned'].filter((path) => existsSync(path)).map((path) => `${path} is there`),
);

console.log('== demo');
const ran = draft(demoFiles());
check('demo', [
  ...(ran.code === 0 ? [] : [ran.said]),
  ...checkPage(join(ran.folder, 'out/course.html')),
  ...axe(join(ran.folder, 'out/course.html')),
]);

console.log('== packages');
acceptPackages('demo', 'demo/course/lending-tools-safely.uplift.zip', shared, check);
// English with checks, German without, and Arabic, which runs from right to left.
for (const name of [
  'sudo-troubleshooting.en.md',
  'postfix-sasl.en.converted.docx',
  'debmake-doc.de.epub',
  'elephantsdream.captions.ar.vtt',
]) {
  const drafted = draft([join(shared, 'corpus', name)]);
  if (drafted.code === 0) acceptPackages(name, join(drafted.folder, 'out/course.uplift.zip'), shared, check);
  else console.log(`${name}: ${drafted.said}`);
  rmSync(drafted.folder, { recursive: true });
}

console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;

function hostileFile(path: string, expected: number | undefined): void {
  const result = draft([path]);
  check(basename(path), [
    ...(expected === undefined
      ? [0, 3, 4].includes(result.code)
        ? []
        : [`exit ${result.code}`]
      : result.code === expected
        ? []
        : [`exit ${result.code} instead of ${expected}`]),
    ...(result.seconds > SLOWEST_SECONDS ? [`${result.seconds.toFixed(0)} s`] : []),
    ...(result.megabytes > MOST_MEGABYTES ? [`${result.megabytes.toFixed(0)} MB`] : []),
    ...(result.code !== 0 && result.said.length < 60 ? ['says too little'] : []),
    ...ours(result),
  ]);
  console.log(
    `${basename(path)}: exit ${result.code}, ${result.seconds.toFixed(1)} s, ${result.megabytes.toFixed(0)} MB: ${result.said
      .split(' | ')
      .filter((part) => /not read:|needed/.test(part))
      .join(' ')
      .trim()
      .slice(0, 160)}`,
  );
  rmSync(result.folder, { recursive: true });
}

function checkPage(page: string): string[] {
  return tool('validate-html.sh', [page]);
}

function axe(page: string): string[] {
  return tool('axe.mjs', [page]);
}

/** Runs a checker; its refusal is a problem, and so is its absence. */
function tool(name: string, args: string[]): string[] {
  const path = resolve(shared, 'tools', name);
  if (!existsSync(path)) return [`${name} is missing`];
  try {
    execFileSync(name.endsWith('.mjs') ? process.execPath : 'bash', [path, ...args], {
      encoding: 'utf8',
      stdio: 'pipe',
      maxBuffer: 1 << 26,
    });
    return [];
  } catch (error) {
    const { status, stdout, stderr } = error as { status: number; stdout: string; stderr: string };
    return [`${name} says ${status}: ${`${stdout}${stderr}`.trim().split('\n').slice(0, 3).join(' ')}`];
  }
}
