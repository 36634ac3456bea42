import type { Course } from '../../core/course/course';
import { AxeBuilder } from '@axe-core/playwright';
import { expect, test as base, type Page } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEMO } from './demo';

/** A running server of the production build on a data folder with the demo, both of this worker alone. */
export interface App {
  url: string;
  folder: string;
  /** Kills the server without warning and starts it again on the same folder. */
  restart(): Promise<void>;
  /** Tells the server to stop; gives its exit code, or undefined when it had to be killed after eight seconds. */
  stop(): Promise<number | null | undefined>;
}

async function freePort(): Promise<number> {
  return new Promise((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number };
      server.close(() => done(port));
    });
  });
}

async function start(port: number, folder: string, env: Record<string, string> = {}): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['--import', './tests/e2e/watch-network.mjs', '.output/server/index.mjs'], {
    env: {
      UPLIFT_STRANGERS: join(folder, 'strangers'),
      ...process.env,
      PORT: String(port),
      HOST: '127.0.0.1',
      UPLIFT_DATA: folder,
      ...env,
    },
    stdio: process.env.UPLIFT_LOG ? ['ignore', 'inherit', 'inherit'] : 'ignore',
  });
  for (let tries = 0; tries < 200; tries++) {
    if (
      await fetch(`http://127.0.0.1:${port}/api/health`).then(
        () => true,
        () => false,
      )
    )
      return child;
    await new Promise((go) => setTimeout(go, 50));
  }
  child.kill('SIGKILL');
  throw new Error('The server did not start.');
}

/** Runs something with a server on a data folder of its own: an empty one, where nobody is yet, or a demo. */
export async function withOwnApp(
  kind: 'empty' | 'demo',
  work: (app: App) => Promise<void>,
  env: Record<string, string> = {},
): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'uplift-e2e-'));
  if (kind === 'demo') prepareDemo(folder);
  const port = await freePort();
  let child = await start(port, folder, env);
  try {
    await work({
      url: `http://127.0.0.1:${port}`,
      folder,
      async restart() {
        child = await again(child, port, folder, env);
      },
      stop: () => stopped(child),
    });
  } finally {
    child.kill('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  }
}

async function stopped(child: ChildProcess): Promise<number | null | undefined> {
  child.kill('SIGTERM');
  return Promise.race([
    new Promise<number | null>((gone) => child.once('exit', (code) => gone(code))),
    new Promise<undefined>((late) => setTimeout(() => late(undefined), 8000)),
  ]);
}

/** Lays a copy of the demo into a folder; it was made once, before the first test. */
function prepareDemo(folder: string): void {
  cpSync(DEMO, folder, { recursive: true });
}

async function again(
  child: ChildProcess,
  port: number,
  folder: string,
  env: Record<string, string> = {},
): Promise<ChildProcess> {
  child.kill('SIGKILL');
  await new Promise((gone) => child.once('exit', gone));
  return start(port, folder, env);
}

/** Tests of the screens: each worker has an app, each test a page that asks no other host and logs no error. */
export const test = base.extend<{ page: Page; mayLog: RegExp; mayAsk: RegExp }, { app: App }>({
  // What a test means to provoke.
  mayLog: [/status of 4\d\d/, { option: true }],
  // Hosts that somebody asks on purpose.
  mayAsk: [/^$/, { option: true }],

  app: [
    async ({}, use) => {
      const folder = mkdtempSync(join(tmpdir(), 'uplift-e2e-'));
      prepareDemo(folder);
      const port = await freePort();
      let child = await start(port, folder);
      await use({
        url: `http://127.0.0.1:${port}`,
        folder,
        async restart() {
          child = await again(child, port, folder);
        },
        stop: () => stopped(child),
      });
      child.kill('SIGKILL');
      const asked = existsSync(join(folder, 'strangers')) ? readFileSync(join(folder, 'strangers'), 'utf8') : '';
      expect(asked, 'the server asked another machine').toBe('');
      rmSync(folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],

  page: async ({ page, mayLog, mayAsk }, use) => {
    const strangers: string[] = [];
    const faults: string[] = [];
    page.on('request', (request) => {
      const url = request.url();
      if (!/^http:\/\/127\.0\.0\.1:/.test(url) && !/^(data|blob):/.test(url) && !mayAsk.test(url)) strangers.push(url);
    });
    page.on('pageerror', (error) => faults.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error' && !mayLog.test(message.text())) faults.push(message.text());
    });
    await use(page);
    expect(strangers, 'asked another host').toEqual([]);
    expect(faults, 'errors on the page').toEqual([]);
  },
});

export { expect };

/** Signs in as one of the demo's people without a look at the page for it: most tests are about something else. */
async function signIn(page: Page, app: App, name: string): Promise<void> {
  const { demoPeople } = (await (await page.request.get(`${app.url}/api/start`)).json()) as {
    demoPeople: { id: string; name: string }[];
  };
  const person = demoPeople.find((each) => each.name === name)!.id;
  expect((await page.request.post(`${app.url}/api/sign-in-as`, { data: { person } })).ok()).toBe(true);
}

/** Comes in as one of the demo's people. */
export async function enter(page: Page, app: App, name = 'Ines Marlow'): Promise<void> {
  await signIn(page, app, name);
  await page.goto(app.url);
  await expect(page.getByRole('heading', { name: 'Courses', exact: true })).toBeVisible();
}

/** Chooses something from a list of the kit's. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

const ARCHIVE = readFileSync('demo/course/lending-tools-safely.uplift.zip');
const DEMO_COURSE = JSON.parse(strFromU8(unzipSync(ARCHIVE)['course.json'])) as { id: string; title: string };

/** Opens a duplicate of the demo course, the test's own; for somebody who is named the one they were given. */
export async function openDemo(page: Page, app: App, name?: string): Promise<void> {
  await signIn(page, app, name ?? 'Ines Marlow');
  const { id, title } = DEMO_COURSE;
  const made =
    name === undefined && (await page.request.post(`${app.url}/api/courses/${id}/copy`, { data: { title } }));
  await showOutline(page, app, made ? ((await made.json()) as { id: string }).id : id);
}

/** Opens the demo course out of its archive, so that its sources are of the test's own too. */
export async function openDemoArchive(page: Page, app: App): Promise<void> {
  await signIn(page, app, 'Ines Marlow');
  const made = await page.request.post(`${app.url}/api/archives`, {
    data: ARCHIVE,
    headers: { 'content-type': 'application/octet-stream' },
  });
  await showOutline(page, app, ((await made.json()) as { id: string }).id);
}

async function showOutline(page: Page, app: App, course: string): Promise<void> {
  await page.goto(`${app.url}/course/${course}/outline`);
  await expect(page.getByRole('heading', { name: 'Outline' })).toBeVisible();
}

/** Makes an empty course and stands at its sources. */
export async function newCourse(page: Page, app: App, title: string, from = 'Start from sources'): Promise<void> {
  await enter(page, app);
  await page.getByRole('button', { name: from }).click();
  await page.getByLabel('Title', { exact: true }).fill(title);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(
    page.getByRole('heading', { name: from === 'Start from sources' ? 'What do you have?' : 'What I know' }),
  ).toBeVisible();
}

/** Opens a lesson of the course at hand. */
export async function openLesson(page: Page, title: string): Promise<void> {
  await page.keyboard.press('Alt+4');
  await page.getByRole('row').getByRole('link', { name: title, exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Page of the lesson' })).toBeVisible();
}

/** Waits until everything is saved. */
export async function saved(page: Page): Promise<void> {
  await expect(page.locator('header [role=status]')).toHaveText(/^Saved/);
}

/** The course as the server holds it. */
export async function served(page: Page): Promise<{ course: Course; revision: number }> {
  const id = /\/course\/([a-z0-9]+)/.exec(page.url())![1];
  // Asked for beside the page: what a page hands over is written out value by value, which takes longer than all else.
  return (await page.request.get(new URL(`/api/courses/${id}`, page.url()).href)).json();
}

/**
 * Nothing that an automatic reader of the accessibility guidelines would object to, and nothing wider than the window.
 */
export async function looksRight(page: Page, what: 'everything' | 'colours' = 'everything'): Promise<void> {
  // In one go, without what passes: a page of ours has no frames of others, and handing each frame's part over for
  // itself takes three times as long as looking.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
  const { violations } = await (
    what === 'colours'
      ? axe.withRules(['color-contrast'])
      : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
  ).analyze();
  expect(
    violations.map(
      (each) =>
        `${each.id}: ${each.nodes
          .slice(0, 3)
          .map((node) => `${node.target.join(' ')} ${node.failureSummary?.split('\n')[1] ?? ''}`)
          .join('; ')}`,
    ),
  ).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
}
