// Times learners and drafting on the built server: 200 learners at once reading and answering; the desk while a long
// source is drafted; packages. Prints, asserts nothing.
import autocannon from 'autocannon';
import Database from 'better-sqlite3';
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { takeOutline } from '../core/course/taking';
import { allLessons } from '../core/course/course';
import { writePackage } from '../core/exchange/package';
import { PACKAGE_FORMATS } from '../core/learning/packages';
import { USUAL_RULES } from '../core/learning/rules';
import { checksIn, lessonsOf } from '../core/learning/view';
import { readArchive } from '../core/exchange/archive';
import { importArchive } from '../server/desk/archive';
import { OPERATION_VERSION } from '../server/desk/courses';
import { freshId } from '../server/ids';
import { hashPassword } from '../server/rights/password';
import { openInstallation } from '../server/utils/installation';
import { playerFiles } from '../server/player';
import { aLearnersCourse } from '../tests/builders';
import { briefFrom } from '../core/brief/given';
import { startDrafting } from '../server/jobs/drafting';

const LEARNERS = 200;
const PORT = '3419';
const url = `http://127.0.0.1:${PORT}`;
const owner = 'pinesmarlowa';
const ms = (value: number) => `${value.toFixed(1)} ms`;

// The drafting worker keeps no process alive by itself.
const alive = setInterval(() => undefined, 1000);
const folder = mkdtempSync(join(tmpdir(), 'uplift-bench-'));
const desk = openInstallation(folder);
desk.people.add(
  { id: owner, name: 'Ines', login: 'ines', role: 'owner' },
  await hashPassword('a long password'),
  desk.now(),
);
const { id: course } = importArchive(
  desk,
  readArchive(new Uint8Array(readFileSync('demo/course/lending-tools-safely.uplift.zip'))),
  owner,
);
const release = desk.releases.make(course, { note: '', access: 'link', rules: USUAL_RULES, move: false }, owner);
const { view } = desk.releases.frozen(release.id);
const link = desk.releases.link(course)!;
const learners = Array.from(
  { length: LEARNERS },
  (_, at) => desk.learners.begin(course, release, { name: `Learner ${at}` }).key,
);
packages();
await drafting();
await desk.drafter.stop();
desk.db.close();
clearInterval(alive);

const child = spawn(process.execPath, ['.output/server/index.mjs'], {
  env: { ...process.env, PORT, HOST: '127.0.0.1', UPLIFT_DATA: folder },
  stdio: 'ignore',
});
try {
  for (
    let tries = 0;
    tries < 100 &&
    !(await fetch(`${url}/api/start`).then(
      () => true,
      () => false,
    ));
    tries++
  )
    await new Promise((go) => setTimeout(go, 100));
  await load();
} finally {
  child.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
}

/**
 * Learners at once, each with a place of their own: reads the course, then reads and answers lesson after lesson as
 * fast as the server answers.
 */
async function load(): Promise<void> {
  const lessons = lessonsOf(view);
  const cookies = learners.map((key) => `learner-${link}=${key}`);
  let posted = 0;
  let next = 0;
  const learner = (client: autocannon.Client) => {
    const cookie = cookies[next++ % cookies.length];
    const events = lessons.flatMap((lesson) => [
      ...checksIn(lesson).map((check) => ({
        kind: 'answer',
        lesson: lesson.id,
        check,
        response: firstOption(view.checks.find((each) => each.id === check)),
      })),
      { kind: 'read', lesson: lesson.id },
    ]);
    client.setRequests([
      { method: 'GET', path: `/api/learn/${link}/course`, headers: { cookie } },
      ...events.map((event) => ({
        method: 'POST' as const,
        path: `/api/learn/${link}/events`,
        headers: { cookie, 'content-type': 'application/json' },
        setupRequest: (request: autocannon.Request) => ({
          ...request,
          body: JSON.stringify({ events: [{ ...event, id: freshId('e'), at: Date.now() }] }),
        }),
        onResponse: (status: number) => void (status === 200 && posted++),
      })),
    ]);
  };
  const bare = await fired({ url: `${url}/api/start`, connections: LEARNERS, duration: 5 });
  const flatOut = await fired({ url, connections: LEARNERS, duration: 10, setupClient: learner });
  const paced = await fired({
    url,
    connections: LEARNERS,
    duration: 10,
    overallRate: LEARNERS / 2,
    setupClient: learner,
  });
  const file = new Database(join(folder, 'uplift.sqlite'), { readonly: true });
  const kept = (file.prepare('select count(*) as count from attempt').get() as { count: number }).count;
  file.close();
  const against = ({ p95 }: Fired) => `${(p95 / bare.p95).toFixed(1)} x the bare route`;
  console.log(`a bare route, ${LEARNERS} at once: ${bare.line}`);
  console.log(
    `${LEARNERS} learners at once, each doing something every two seconds: ${paced.line}; ${against(paced)} (p95 under 100 ms is asked)`,
  );
  console.log(
    `${LEARNERS} learners at once without a pause, as much as the server takes: ${flatOut.line}; ${against(flatOut)}`,
  );
  console.log(
    `answers confirmed ${posted}, kept ${kept} (those under way at the end are kept too), failed requests ${flatOut.failed + paced.failed} (none may be lost)`,
  );
}

interface Fired {
  p95: number;
  failed: number;
  line: string;
}

/** Runs the load tool and takes the time of every answer. */
function fired(options: autocannon.Options): Promise<Fired> {
  return new Promise((done, failed) => {
    const times: number[] = [];
    const instance = autocannon(options, (error, result) => {
      if (error) return failed(error as Error);
      times.sort((a, b) => a - b);
      const p95 = times[Math.floor(times.length * 0.95)] ?? 0;
      done({
        p95,
        failed: result.errors + result.non2xx,
        line: `median ${ms(times[Math.floor(times.length / 2)] ?? 0)}, p95 ${ms(p95)}, ${Math.round(result.requests.average)} a second`,
      });
    });
    instance.on('response', (_client, _status, _bytes, time) => void times.push(time));
  });
}

/**
 * A whole long source drafted as a job; what the server's own thread is kept from doing meanwhile, and how fast the
 * desk answers.
 */
async function drafting(): Promise<void> {
  const at = process.argv.indexOf('--shared');
  const source =
    at > 0 ? join(process.argv[at + 1], 'corpus/policy.en.epub') : resolve('demo/files/lending-policy.docx');
  if (!existsSync(source)) return console.log(`no ${source}: drafting is not timed`);
  const id = desk.courses.create('Long', briefFrom({}, 'en'), owner);
  const added = await desk.sources.addFile(id, source, source.split('/').pop()!, owner);
  if (!added.ok) throw new Error(added.problem.code);
  const { nodes } = await desk.drafter.ask('outline', {
    course: desk.courses.load(id).course,
    sources: desk.sources.keys(id),
  });
  const change = (operation: Parameters<typeof desk.courses.post>[1][number]['operation']) => ({
    id: freshId('x'),
    group: freshId('g'),
    actor: { person: owner },
    version: OPERATION_VERSION,
    operation,
  });
  desk.courses.post(id, takeOutline(desk.courses.load(id).course, nodes).map(change), 0);
  const lessons = allLessons(desk.courses.load(id).course).map((lesson) => lesson.id);
  const delay = monitorEventLoopDelay({ resolution: 1 });
  const small: number[] = [];
  delay.enable();
  const start = performance.now();
  startDrafting(desk, id, lessons, owner);
  let going = true;
  void desk.jobs.idle().then(() => void (going = false));
  while (going) {
    await new Promise((go) => setTimeout(go, 15));
    const before = performance.now();
    const { course: now } = desk.courses.load(id);
    desk.courses.post(
      id,
      [change({ type: 'set', id, field: 'title', value: `Long ${small.length}`, was: now.title })],
      0,
    );
    small.push(performance.now() - before);
  }
  delay.disable();
  const sorted = small.toSorted((a, b) => a - b);
  console.log(
    `${source.split('/').pop()} drafted, ${lessons.length} lessons: ${((performance.now() - start) / 1000).toFixed(1)} s; meanwhile a small change: p95 ${ms(sorted[Math.floor(sorted.length * 0.95)] ?? 0)} (100 is asked); longest stall of the server's thread: ${ms(delay.max / 1e6)} (200 is asked)`,
  );
}

function packages(): void {
  const frozen = aLearnersCourse(100, 3);
  const player = playerFiles();
  for (const format of PACKAGE_FORMATS) {
    const start = performance.now();
    const bytes = writePackage({ id: 'rbenchbench2', number: 1, rules: USUAL_RULES, frozen }, format, player);
    console.log(
      `a package of 100 lessons, ${format}: ${ms(performance.now() - start)}, ${Math.round(bytes.length / 1024)} kB (2 s is asked)`,
    );
  }
}

/** The course of this bench asks by choices only. */
function firstOption(check: (typeof view.checks)[number] | undefined): string {
  if (check?.kind !== 'choice') throw new Error('The bench knows how to answer choices.');
  return check.options[0].id;
}
