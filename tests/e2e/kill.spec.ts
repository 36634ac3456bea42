import Database from 'better-sqlite3';
import { join } from 'node:path';
import { idFrom } from '../../core/course/id';
import { expect, openDemo, test } from './app';

test('a server killed fifty times while it takes changes keeps every confirmed one, and none twice', async ({ page, app }) => {
  test.setTimeout(240_000);
  await openDemo(page, app);
  const course = /\/course\/([a-z0-9]+)/.exec(page.url())![1];
  const cookie = (await page.context().cookies()).map((entry) => `${entry.name}=${entry.value}`).join('; ');
  await page.goto('about:blank');
  const headers = { cookie, 'content-type': 'application/json' };
  const at = `${app.url}/api/courses/${course}`;
  const post = (body: string) => fetch(`${at}/operations`, { method: 'POST', headers, body });
  const confirmed: string[] = [];
  let seed = 23;
  let serial = 0;
  for (let round = 0; round < 50; round++) {
    seed = (seed * 48271) % 2147483647;
    const now = (await (await fetch(at, { headers })).json()) as { course: { title: string }; revision: number };
    let [was, since] = [now.course.title, now.revision];
    let open: { id: string; body: string } | undefined;
    // One change after another until the kill cuts one off between its post and its answer.
    const posting = (async () => {
      for (;;) {
        const id = idFrom('x', 'kill', serial++);
        const value = `Title ${serial}`;
        const body = JSON.stringify({ since, changes: [{ id, group: idFrom('g', id), operation: { type: 'set', id: course, field: 'title', value, was } }] });
        open = { id, body };
        const answer = await post(body).catch(() => undefined);
        const taken = (await answer?.json().catch(() => undefined)) as { revision: number } | undefined;
        if (!answer || !taken) return;
        expect(answer.status, JSON.stringify(taken)).toBe(200);
        confirmed.push(id);
        [was, since] = [value, taken.revision];
      }
    })();
    await new Promise((go) => setTimeout(go, 10 + (seed % 60)));
    await app.restart();
    await posting;
    // What was cut off is sent again, as the window does: it is there once whether or not the server had it.
    expect((await post(open!.body)).status).toBe(200);
    confirmed.push(open!.id);
  }
  const file = new Database(join(app.folder, 'uplift.sqlite'), { readonly: true });
  const kept = (file.prepare('select id from change where course_id = ? order by revision').all(course) as { id: string }[]).map((row) => row.id);
  file.close();
  expect(confirmed.length).toBeGreaterThan(100);
  expect(new Set(kept).size).toBe(kept.length);
  expect(kept.filter((id) => confirmed.includes(id))).toEqual(confirmed);
});
