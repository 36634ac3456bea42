import Database from 'better-sqlite3';
import { join } from 'node:path';
import { readFileSync } from 'node:fs';
import { canonicalJson } from '../../core/document/canonical';
import { allLessons, type Course } from '../../core/course/course';
import { takeOutline, type OutlineNodes } from '../../core/course/taking';
import { idFrom } from '../../core/document/id';
import { lessonsOf, type LearnerCourse } from '../../core/learning/view';
import { expect, openDemo, test } from './app';

/** Rounds, each ended by a kill; UPLIFT_KILLS asks for more than the check takes its time for. */
const KILLS = Number(process.env.UPLIFT_KILLS ?? 10);
const ROUNDS = Number(process.env.UPLIFT_KILLS ?? 4);

test('a server killed again and again while it takes changes keeps every confirmed one, and none twice', async ({
  page,
  app,
}) => {
  test.setTimeout(480_000);
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
  for (let round = 0; round < KILLS; round++) {
    seed = (seed * 48271) % 2147483647;
    const now = (await (await fetch(at, { headers })).json()) as { course: { title: string }; revision: number };
    let [was, since] = [now.course.title, now.revision];
    let open: { id: string; body: string } | undefined;
    // One change after another until the kill cuts one off between its post and its answer.
    const posting = (async () => {
      for (;;) {
        const id = idFrom('x', 'kill', serial++);
        const value = `Title ${serial}`;
        const body = JSON.stringify({
          since,
          changes: [{ id, group: idFrom('g', id), operation: { type: 'set', id: course, field: 'title', value, was } }],
        });
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
  const kept = (
    file.prepare('select id from change where course_id = ? order by revision').all(course) as { id: string }[]
  ).map((row) => row.id);
  file.close();
  expect(confirmed.length).toBeGreaterThan(KILLS * 2);
  expect(new Set(kept).size).toBe(kept.length);
  expect(kept.filter((id) => confirmed.includes(id))).toEqual(confirmed);
});

test('a server killed again and again while it drafts, releases, reads files and takes edits and answers: the same draft, everything confirmed once', async ({
  page,
  app,
}) => {
  test.setTimeout(480_000 + ROUNDS * 10_000);
  await openDemo(page, app);
  const demo = /\/course\/([a-z0-9]+)/.exec(page.url())![1];
  const cookie = (await page.context().cookies()).map((entry) => `${entry.name}=${entry.value}`).join('; ');
  await page.goto('about:blank');
  const ask = async <T>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = { cookie },
  ): Promise<T> => {
    const raw = body instanceof Uint8Array;
    const answer = await fetch(`${app.url}/api/${path}`, {
      method,
      headers: {
        ...headers,
        ...(body !== undefined && { 'content-type': raw ? 'application/octet-stream' : 'application/json' }),
      },
      body: raw ? (body as BodyInit) : body === undefined ? undefined : JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status}`);
    return (
      answer.headers.get('content-type')?.includes('json')
        ? await answer.json()
        : new Uint8Array(await answer.arrayBuffer())
    ) as T;
  };
  const held = async (id: string) => (await ask<{ course: Course }>('GET', `courses/${id}`)).course;

  // A course with its outline taken and every lesson blank, twice.
  const { id: whole } = await ask<{ id: string }>('POST', 'courses', { title: 'Drafted whole' });
  for (const name of ['lending-policy.docx', 'battery-guide.pdf', 'coordinators-notes.md'])
    await ask('PUT', `courses/${whole}/sources?name=${name}`, new Uint8Array(readFileSync(`demo/files/${name}`)));
  const { nodes } = await ask<{ nodes: OutlineNodes }>('POST', `courses/${whole}/outline`, {});
  await ask('POST', `courses/${whole}/operations`, {
    since: 0,
    changes: takeOutline(await held(whole), nodes).map((operation, at) => ({
      id: idFrom('x', 'outline', at),
      group: idFrom('g', 'outline'),
      operation,
    })),
  });
  const { id: broken } = await ask<{ id: string }>(
    'POST',
    'archives',
    await ask<Uint8Array>('GET', `courses/${whole}/archive`),
  );
  const lessons = allLessons(await held(whole)).map((lesson) => lesson.id);
  const under = async (id: string) =>
    (await ask<{ state: string; steps: { state: string }[] }[]>('GET', `courses/${id}/jobs`)).some(
      (job) => job.state === 'running',
    );
  await ask('POST', `courses/${whole}/jobs`, { lessons });
  while (await under(whole)) await new Promise((go) => setTimeout(go, 50));

  const rules = { lesson: 'read', course: 'lessons', share: 1, order: 'free' };
  const releases = [
    (
      await ask<{ id: string }>('POST', `courses/${demo}/releases`, {
        note: 'first',
        access: 'link',
        rules,
        move: false,
      })
    ).id,
  ];
  const { link } = await ask<{ link: string }>('GET', `courses/${demo}/releases`);
  const begun = await fetch(`${app.url}/api/learn/${link}/begin`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{"name":"Steady"}',
  });
  const learner = { cookie: begun.headers.get('set-cookie')!.split(';')[0] };
  const places = lessonsOf(
    (await ask<{ course: LearnerCourse }>('GET', `learn/${link}/course`, undefined, learner)).course,
  );

  const answers: string[] = [];
  const edits: string[] = [];
  const uploads: string[] = [];
  let serial = 0;
  let seed = 31;
  for (let round = 0; round < ROUNDS; round++) {
    seed = (seed * 48271) % 2147483647;
    const event = () => ({
      id: idFrom('e', 'kill', serial++),
      kind: 'read',
      lesson: places[serial % places.length].id,
      at: serial,
    });
    let open: ReturnType<typeof event> | undefined;
    const answering = (async () => {
      for (;;) {
        open = event();
        if (
          await ask('POST', `learn/${link}/events`, { events: [open] }, learner).then(
            () => true,
            () => false,
          )
        )
          answers.push(open.id);
        else return;
      }
    })();
    const releasing = ask<{ id: string }>('POST', `courses/${demo}/releases`, {
      note: `round ${round}`,
      access: 'nobody',
      rules,
      move: false,
    }).then(
      (made) => void releases.push(made.id),
      () => undefined,
    );
    const edit = async (number: number) => {
      const now = await ask<{ course: Course; revision: number }>('GET', `courses/${demo}`).catch(() => undefined);
      const change = {
        id: idFrom('x', 'round', round, number),
        group: idFrom('g', 'round', round, number),
        operation: { type: 'set', id: demo, field: 'title', value: `Title ${round} ${number}`, was: now?.course.title },
      };
      const taken =
        now &&
        (await ask<{ accepted: string[] }>('POST', `courses/${demo}/operations`, {
          since: now.revision,
          changes: [change],
        }).catch(() => undefined));
      if (!taken) return false;
      edits.push(...taken.accepted);
      return true;
    };
    const editing = (async () => {
      for (let number = 0; await edit(number); number++);
    })();
    const name = `round-${round}.md`;
    const upload = () =>
      ask(
        'PUT',
        `courses/${demo}/sources?name=${name}`,
        new TextEncoder().encode(
          `# Round ${round}\n\nA member must hang key number ${round} on its own hook before noon.\n`,
        ),
      );
    const uploading = upload().then(
      () => true,
      () => false,
    );
    if (round === 0) await ask('POST', `courses/${broken}/jobs`, { lessons });
    await new Promise((go) => setTimeout(go, 20 + (seed % 700)));
    await app.restart();
    await Promise.all([answering, releasing, editing]);
    // What was cut off is given again, as its author would.
    if (!(await uploading)) await upload();
    uploads.push(name);
    await ask('POST', `learn/${link}/events`, { events: [open] }, learner);
    answers.push(open!.id);
  }
  while (await under(broken)) await new Promise((go) => setTimeout(go, 50));
  const drafted = (course: Course) =>
    canonicalJson([course.modules, course.objectives, course.checks]).replaceAll(course.id, 'u');
  expect(drafted(await held(broken))).toBe(drafted(await held(whole)));
  expect(allLessons(await held(broken)).every((lesson) => lesson.blocks.length > 0)).toBe(true);

  const file = new Database(join(app.folder, 'uplift.sqlite'), { readonly: true });
  const kept = (file.prepare('select id from attempt order by serial').all() as { id: string }[]).map((row) => row.id);
  const changes = (
    file.prepare('select id from change where course_id = ? order by revision').all(demo) as { id: string }[]
  ).map((row) => row.id);
  const given = (
    file
      .prepare(
        'select file_name from course_source join source_version using (source_id, version) where course_id = ? order by position',
      )
      .all(demo) as { file_name: string }[]
  ).map((row) => row.file_name);
  const made = file
    .prepare('select id, number, document from release where course_id = ? order by number')
    .all(demo) as { id: string; number: number; document: string }[];
  expect(file.pragma('integrity_check', { simple: true })).toBe('ok');
  file.close();
  expect(new Set(kept).size).toBe(kept.length);
  expect(kept.filter((id) => answers.includes(id))).toEqual(answers);
  expect(new Set(changes).size).toBe(changes.length);
  expect(edits.filter((id) => !changes.includes(id))).toEqual([]);
  expect(given.filter((name) => name.startsWith('round-'))).toEqual(uploads);
  expect(made.map((row) => row.number)).toEqual(made.map((_, at) => at + 1));
  expect(made.filter((row) => releases.includes(row.id)).map((row) => row.id)).toEqual(releases);
  for (const row of made)
    expect(lessonsOf((JSON.parse(row.document) as { view: LearnerCourse }).view)).toHaveLength(places.length);
});
