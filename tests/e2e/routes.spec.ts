import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, newCourse, openDemo, served, test } from './app';

/** Calls a route from the page, as whoever is signed in. */
const call = (page: Parameters<typeof served>[0], method: string, path: string, body?: unknown) =>
  page.evaluate(
    async ([how, where, what]) => {
      const answer = await fetch(where as string, {
        method: how as string,
        ...(what !== undefined && {
          headers: { 'content-type': 'application/json' },
          body: typeof what === 'string' ? what : JSON.stringify(what),
        }),
      });
      return {
        status: answer.status,
        body: (await answer.json().catch(() => null)) as {
          data?: { code?: string; place?: string; message?: string };
        } | null,
      };
    },
    [method, path, body] as const,
  );

test.use({ mayLog: /status of 4\d\d/ });

test('bad input is refused with a reason and changes nothing', async ({ page, app }) => {
  await openDemo(page, app);
  const { course, revision } = await served(page);
  const at = `/api/courses/${(course as unknown as { id: string }).id}`;
  const change = (operation: unknown) => ({
    since: revision,
    changes: [{ id: 'xabcdefghij2', group: 'gabcdefghij2', operation }],
  });
  for (const [body, code] of [
    [{ since: revision }, 'bad-input'],
    [{ since: revision, changes: [], admin: true }, 'bad-input'],
    ['{"since":', undefined],
    [[], 'bad-input'],
  ] as const) {
    const { status, body: said } = await call(page, 'POST', `${at}/operations`, body);
    expect(status).toBeGreaterThanOrEqual(400);
    if (code) expect(said?.data?.code).toBe(code);
  }
  for (const operation of [
    { type: 'explode' },
    { type: 'set', id: 'labcdefghij2', field: 'title', value: 'X', was: 'Y' },
    { type: 'set', id: course.modules[0].lessons[0].id, field: '__proto__', value: {}, was: null },
    { type: 'insert', kind: 'lesson', parent: course.modules[0].title, after: null, node: {} },
  ]) {
    const { status, body } = await call(page, 'POST', `${at}/operations`, change(operation));
    expect(status).toBe(200);
    expect((body as unknown as { refused: unknown[] }).refused).toHaveLength(1);
  }
  expect((await served(page)).revision).toBe(revision);
  expect((await call(page, 'POST', '/api/courses', { title: '' })).body?.data?.place).toBe('title');
  expect((await call(page, 'POST', `${at}/undo`, { since: revision })).body?.data?.code).toBe('nothing-to-undo');
  expect((await call(page, 'GET', `${at}/sources/sabcdefghij2`)).status).toBe(404);
  expect((await call(page, 'POST', `${at}/jobs`, { lessons: ['labcdefghij2'] })).body?.data?.code).toBe('gone');
  expect((await call(page, 'POST', '/api/archives', 'PK no archive')).status).toBe(422);
});

test('files that are hostile or empty are refused, and the desk goes on', async ({ page, app }) => {
  await newCourse(page, app, 'Hostile');
  const files: [string, string][] = [
    ['empty.pdf', ''],
    ['page.exe', 'MZ'],
    ['picture.docx', '\u0089PNG\r\n'],
    ['scan.pdf', '%PDF-1.4\n%%EOF'],
    ['..\\..\\evil.md', '# Fine\n\nA member must return every saw clean and dry before noon.\n'],
  ];
  const id = /\/course\/([a-z0-9]+)/.exec(page.url())![1];
  const answers = await page.evaluate(
    async ([course, list]) => {
      const all = [];
      for (const [name, text] of list) {
        const answer = await fetch(`/api/courses/${course}/sources?name=${encodeURIComponent(name)}`, {
          method: 'PUT',
          body: text,
        });
        all.push({ name, status: answer.status, body: await answer.json() });
      }
      return all;
    },
    [id, files] as const,
  );
  for (const { status, body } of answers.slice(0, 4)) {
    expect(status).toBe(422);
    expect(body.data.message.length).toBeGreaterThan(20);
  }
  expect(answers[4]).toMatchObject({ status: 200, body: { source: { file_name: 'evil.md' } } });
  expect((await call(page, 'POST', `/api/courses/${id}/sources`, { title: 'Nothing', text: '   ' })).status).toBe(422);
});

test('scripts in a source are shown as words and do not run', async ({ page, app }) => {
  await newCourse(page, app, 'Scripts');
  const path = join(app.folder, 'scripts.html');
  writeFileSync(
    path,
    '<html><body><h1>Rules</h1><p>A member must return <b onclick="window.ran=1">every saw</b> clean.</p><script>window.ran=1</' +
      'script><img src=x onerror="window.ran=1"><p>&lt;script&gt;window.ran=1&lt;/script&gt; is only text.</p></body></html>',
  );
  await page.getByLabel('Files to add').setInputFiles(path);
  await page.getByRole('cell').getByRole('link').first().click();
  await expect(page.locator('.passage').first()).toContainText('every saw');
  await expect(page.locator('.text')).toContainText('<script>window.ran=1</script> is only text.');
  expect(await page.evaluate(() => (window as unknown as { ran?: number }).ran)).toBeUndefined();
});

test('twenty files at once do not starve the desk', async ({ page, app }) => {
  test.setTimeout(120_000);
  await newCourse(page, app, 'Many');
  const id = /\/course\/([a-z0-9]+)/.exec(page.url())![1];
  const slowest = await page.evaluate(async (course) => {
    const text = (number: number) =>
      `# Shelf ${number}\n\n${Array.from({ length: 60 }, (_, at) => `A member must put tool ${number * 100 + at} back on shelf ${number} before the desk closes on day ${at}.`).join('\n\n')}\n`;
    const uploads = Array.from({ length: 20 }, (_, number) =>
      fetch(`/api/courses/${course}/sources?name=shelf-${number}.md`, { method: 'PUT', body: text(number) }),
    );
    const times: number[] = [];
    for (let time = 0; time < 20; time++) {
      const start = performance.now();
      await fetch('/api/start');
      times.push(performance.now() - start);
      await new Promise((go) => setTimeout(go, 60));
    }
    const done = await Promise.all(uploads);
    return { times, ok: done.filter((answer) => answer.ok).length };
  }, id);
  expect(slowest.ok).toBe(20);
  expect(slowest.times).toHaveLength(20);
});
