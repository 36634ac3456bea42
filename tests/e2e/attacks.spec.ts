import { connect } from 'node:net';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { expect, test, withOwnApp, type App } from './app';

// What somebody who means harm sends, past any screen. Each class is tried on more than one route, field or form.

/** A session of one of the demo's people. */
async function session(app: App, person: 'pinesmarlowa' | 'ptomashbyaaa'): Promise<string> {
  const answer = await fetch(`${app.url}/api/sign-in-as`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ person }),
  });
  return answer.headers.get('set-cookie')!.split(';')[0];
}
interface Said {
  status: number;
  body: Record<string, never> & { data?: { code?: string }; id?: string; link?: string };
}
async function call(app: App, cookie: string, method: string, path: string, body?: unknown): Promise<Said> {
  const answer = await fetch(`${app.url}${path}`, {
    method,
    headers: {
      cookie,
      ...(body !== undefined && !(body instanceof Uint8Array) && { 'content-type': 'application/json' }),
    },
    ...(body !== undefined && { body: body instanceof Uint8Array ? Buffer.from(body) : JSON.stringify(body) }),
  });
  return { status: answer.status, body: (await answer.json().catch(() => ({}))) as Said['body'] };
}
/** Bytes sent as they are; the first line of the answer, and what follows. */
function raw(app: App, text: string): Promise<{ status: number; text: string }> {
  return new Promise((done, failed) => {
    const socket = connect(Number(new URL(app.url).port), '127.0.0.1', () => socket.write(text));
    let got = '';
    socket.on('data', (data: Buffer) => void (got += data.toString('latin1')));
    socket.on('error', failed);
    socket.on('close', () => done({ status: Number(/^HTTP\/1\.1 (\d+)/.exec(got)?.[1] ?? 0), text: got }));
  });
}
const demoCourse = async (app: App, cookie: string) =>
  ((await call(app, cookie, 'GET', '/api/courses')).body as unknown as { id: string }[])[0].id;
const idOfSources = async (app: App, cookie: string, course: string) =>
  (await call(app, cookie, 'GET', `/api/courses/${course}/sources`)).body as unknown as {
    id: string;
    title: string;
    version: string;
  }[];

test('addresses written oddly lead nobody in', async () => {
  await withOwnApp('demo', async (app) => {
    const ines = await session(app, 'pinesmarlowa');
    const course = await demoCourse(app, ines);
    const [source] = await idOfSources(app, ines, course);
    const targets = [
      `api/courses/${course}`,
      `api/courses/${course}/sources/${source.id}`,
      `api/courses/${course}/archive`,
      'api/people',
      'api/courses',
    ];
    const ways = [
      (path: string) => `/\\${path}`,
      (path: string) => `\\${path.replaceAll('/', '\\')}`,
      (path: string) => `/${path.replace('api/', 'api\\')}`,
      (path: string) => `//${path}`,
      (path: string) => `/./${path}`,
      (path: string) => `/x/../${path}`,
      (path: string) => `/${path.replace('api', '%61pi')}`,
      (path: string) => `/${path.replace('/', '%2f')}`,
      (path: string) => `/${path.replace('/', '%5c')}`,
      (path: string) => `/${path}/`,
      (path: string) => `/${path}//`,
      (path: string) => `/API/${path.slice(4)}`,
      (path: string) => `/${path};x`,
      (path: string) => `/${path}%00`,
      (path: string) => `http://x/${path}`,
      (path: string) => `/learn/../${path}`,
      (path: string) => `/_nuxt/..%2f..%2f${path}`,
    ];
    for (const target of targets) {
      for (const way of ways) {
        const { status, text } = await raw(
          app,
          `GET ${way(target)} HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n`,
        );
        expect(text, `${way(target)} ${status}`).not.toMatch(/"(?:login|passages|modules|role)":|application\/zip/);
        expect([0, 200, 400, 401, 403, 404].includes(status), `${way(target)} ${status}`).toBe(true);
      }
    }
  });
});

test('bodies beyond measure are refused before they cost anything, and the server goes on', async () => {
  await withOwnApp('demo', async (app) => {
    const ines = await session(app, 'pinesmarlowa');
    const course = await demoCourse(app, ines);
    const many = Object.fromEntries(Array.from({ length: 160_000 }, (_, at) => [`k${at}`, at]));
    const deep = `${'['.repeat(5000)}${']'.repeat(5000)}`;
    const start = Date.now();
    for (const [method, path] of [
      ['POST', '/api/sign-in'],
      ['POST', '/api/first-owner'],
      ['POST', '/api/sign-in-as'],
      ['POST', `/api/courses/${course}/versions`],
      ['POST', `/api/courses/${course}/undo`],
      ['PUT', `/api/courses/${course}/members`],
      ['POST', `/api/courses/${course}/topics`],
      ['PUT', '/api/me/password'],
    ]) {
      expect((await call(app, ines, method, path, many)).status, path).toBe(413);
      const { status } = await raw(
        app,
        `${method} ${path} HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: ${ines}\r\nContent-Type: application/json\r\nContent-Length: ${deep.length}\r\nConnection: close\r\n\r\n${deep}`,
      );
      expect(status, path).toBe(413);
    }
    // Said to be small, or of no length said, and large all the same.
    const chunked = (path: string) =>
      raw(
        app,
        `POST ${path} HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: ${ines}\r\nContent-Type: application/json\r\nTransfer-Encoding: chunked\r\nConnection: close\r\n\r\n${'10000\r\n' + 'x'.repeat(0x10000) + '\r\n'}0\r\n\r\n`,
      );
    expect((await chunked('/api/sign-in')).status).toBe(413);
    const huge = {
      since: 0,
      changes: [
        {
          id: 'xabcdefghij2',
          group: 'gabcdefghij2',
          operation: { type: 'set', id: course, field: 'title', value: 'x'.repeat(20_000_000), was: '' },
        },
      ],
    };
    expect((await call(app, ines, 'POST', `/api/courses/${course}/operations`, huge)).status).toBe(413);
    expect((await call(app, ines, 'GET', '/api/courses')).status).toBe(200);
    // Far from a test of speed: before, one of these held everybody for half a minute.
    expect(Date.now() - start).toBeLessThan(30_000);
  });
});

test('what no course may hold is refused by its log, one by one', async () => {
  await withOwnApp('demo', async (app) => {
    const ines = await session(app, 'pinesmarlowa');
    const course = await demoCourse(app, ines);
    const { course: now, revision } = (await call(app, ines, 'GET', `/api/courses/${course}`)).body as unknown as {
      course: {
        modules: { lessons: { id: string; blocks: { id: string; kind: string; body: { checkId: string } }[] }[] }[];
        checks: { id: string; key: string; options: unknown[] }[];
      };
      revision: number;
    };
    const lesson = now.modules[0].lessons[0];
    const [check] = now.checks;
    const made = { at: 1, by: 'x', why: 'kept' };
    const evil: unknown[] = [
      { type: 'remove', id: lesson.id, bin: {} },
      { type: 'remove', id: lesson.id, bin: { kind: 'lesson', parent: course, after: null, node: {} } },
      { type: 'remove', id: check.id },
      { type: 'set', id: check.id, field: 'key', value: 'anothinghere2', was: check.key },
      { type: 'set', id: check.id, field: 'options', value: [], was: check.options },
      {
        type: 'insert',
        kind: 'block',
        parent: lesson.id,
        after: null,
        node: { id: 'bevilevilevi2', kind: 'check', body: { checkId: 'knothinghere2' } },
      },
      {
        type: 'insert',
        kind: 'block',
        parent: lesson.id,
        after: null,
        node: {
          id: 'bevilevilevi3',
          kind: 'text',
          body: {
            text: [{ type: 'text', text: 'x', marks: [{ type: 'link', attrs: { href: 'javascript:alert(1)' } }] }],
          },
        },
      },
      {
        type: 'insert',
        kind: 'take',
        parent: course,
        after: null,
        node: { id: 'tevilevilevi2', of: lesson.id, field: 'page', value: { lesson: 7 }, made },
      },
      {
        type: 'insert',
        kind: 'take',
        parent: course,
        after: null,
        node: { id: 'tevilevilevi3', of: lesson.id, field: '__proto__', value: {}, made },
      },
      { type: 'set', id: course, field: 'bin', value: [], was: null },
      { type: 'set', id: course, field: 'id', value: 'uevilevilevi2', was: course },
      { type: 'move', id: lesson.id, parent: lesson.id, after: null },
      { type: 'set', id: lesson.id, field: 'objectiveIds', value: ['onothinghere2'], was: [] },
    ];
    for (const [at, operation] of evil.entries()) {
      const { status, body } = await call(app, ines, 'POST', `/api/courses/${course}/operations`, {
        since: revision,
        changes: [
          {
            id: `xevilevilev${String.fromCharCode(97 + at)}`,
            group: `gevilevilev${String.fromCharCode(97 + at)}`,
            operation,
          },
        ],
      });
      expect(status, JSON.stringify(operation)).toBe(200);
      expect((body as unknown as { refused: unknown[] }).refused, JSON.stringify(operation)).toHaveLength(1);
    }
    expect((await call(app, ines, 'GET', `/api/courses/${course}`)).body).toMatchObject({ revision });
    const archive = await fetch(`${app.url}/api/courses/${course}/archive`, { headers: { cookie: ines } });
    expect((await call(app, ines, 'POST', '/api/archives', new Uint8Array(await archive.arrayBuffer()))).status).toBe(
      200,
    );
  });
});

test('a reviewer reads what the course uses, no more: no newer version, no course of their own with it, and nothing once they are out', async () => {
  await withOwnApp('demo', async (app) => {
    const [ines, tom] = [await session(app, 'pinesmarlowa'), await session(app, 'ptomashbyaaa')];
    const course = await demoCourse(app, ines);
    const sources = await idOfSources(app, tom, course);
    const policy = sources[0];
    const evil = strToU8('# Lending policy\n\nA member must never return anything.\n');
    expect(
      (await call(app, tom, 'PUT', `/api/courses/${course}/sources/${policy.id}?name=policy.md`, evil)).status,
    ).toBe(403);
    const { body } = await call(app, tom, 'POST', '/api/courses', { title: 'Toms' });
    const toms = body.id!;
    // He cannot take it into a course of his own, where he is an author, nor put a version by that way.
    expect((await call(app, tom, 'POST', `/api/courses/${toms}/shelf`, { sources: [policy.id] })).body).toEqual({
      added: 0,
    });
    expect(
      (await call(app, tom, 'PUT', `/api/courses/${toms}/sources/${policy.id}?name=policy.md`, evil)).status,
    ).toBeGreaterThanOrEqual(403);
    for (const path of ['', '/versions'])
      expect((await call(app, tom, 'GET', `/api/courses/${toms}/sources/${policy.id}${path}`)).status).toBe(404);
    expect(
      (await call(app, tom, 'PUT', `/api/courses/${toms}/sources/${policy.id}/version`, { version: policy.version }))
        .status,
    ).toBe(404);
    expect(
      (await call(app, tom, 'PUT', `/api/shelf/${policy.id}/people`, { person: 'pinesmarlowa', may: 'none' })).status,
    ).toBe(404);
    expect((await call(app, tom, 'PUT', `/api/shelf/${policy.id}`, { away: true })).status).toBe(404);
    // Shared with him to use, he may take it; to change it he needs more.
    await call(app, ines, 'PUT', `/api/shelf/${policy.id}/people`, { person: 'ptomashbyaaa', may: 'use' });
    expect((await call(app, tom, 'POST', `/api/courses/${toms}/shelf`, { sources: [policy.id] })).body).toEqual({
      added: 1,
    });
    expect(
      (await call(app, tom, 'PUT', `/api/courses/${toms}/sources/${policy.id}?name=policy.md`, evil)).body.data?.code,
    ).toBe('not-yours-to-change');
    await call(app, ines, 'PUT', `/api/shelf/${policy.id}/people`, { person: 'ptomashbyaaa', may: 'change' });
    expect((await call(app, tom, 'PUT', `/api/courses/${toms}/sources/${policy.id}?name=policy.md`, evil)).status).toBe(
      200,
    );
    // Her course goes on with the version it uses; she sees who put which, and goes back by what was put last.
    expect((await idOfSources(app, ines, course))[0].version).toBe(policy.version);
    const { versions } = (await call(app, ines, 'GET', `/api/courses/${course}/sources/${policy.id}/versions`))
      .body as unknown as { versions: { by: string; used: boolean; version: string }[] };
    expect(versions.map((line) => [line.by, line.used])).toEqual([
      ['Tom Ashby', false],
      ['Ines Marlow', true],
    ]);
    expect(
      (await call(app, tom, 'PUT', `/api/courses/${toms}/sources/${policy.id}/version`, { version: policy.version }))
        .status,
    ).toBe(200);
    // Out of the course, he reads nothing of it any more: neither the other sources, nor by search or shelf.
    await call(app, ines, 'PUT', `/api/courses/${course}/members`, { person: 'ptomashbyaaa', role: 'none' });
    for (const path of [
      `/sources/${sources[1].id}`,
      '/sources',
      '/passages?ids=paaaaaaaaaa',
      '/search?typed=battery',
      '/archive',
      '/events',
      '',
    ])
      expect((await call(app, tom, 'GET', `/api/courses/${course}${path}`)).status, path).toBe(404);
    const shelf = (await call(app, tom, 'GET', '/api/shelf')).body as unknown as { id: string }[];
    expect(shelf.map((row) => row.id)).toEqual([policy.id]);
    expect(JSON.stringify((await call(app, tom, 'GET', '/api/shelf/search?typed=charger')).body)).not.toContain(
      sources[1].id,
    );
  });
});

test('an archive opens nothing that lies here, and is taken whole or not at all', async () => {
  await withOwnApp('demo', async (app) => {
    const [ines, tom] = [await session(app, 'pinesmarlowa'), await session(app, 'ptomashbyaaa')];
    const course = await demoCourse(app, ines);
    const files = unzipSync(
      new Uint8Array(
        await (await fetch(`${app.url}/api/courses/${course}/archive`, { headers: { cookie: ines } })).arrayBuffer(),
      ),
    );
    const changed = (change: (name: string, value: never) => unknown) =>
      zipSync(
        Object.fromEntries(
          Object.entries(files).map(([name, bytes]) => [
            name,
            name.endsWith('.json')
              ? strToU8(
                  JSON.stringify(change(name, JSON.parse(strFromU8(bytes)) as never) ?? JSON.parse(strFromU8(bytes))),
                )
              : bytes,
          ]),
        ),
      );
    const bring = (bytes: Uint8Array) => call(app, tom, 'POST', '/api/archives?name=a.zip', bytes);
    const count = async () => ((await call(app, tom, 'GET', '/api/courses')).body as unknown as unknown[]).length;
    const before = await count();
    // A stub with the right id and version; a version that is not that of the content; passages under other names.
    type Held = {
      passages: { id: string; text: string; marks?: unknown[]; locator: object }[];
      root: { passages: string[]; sections: unknown[] };
      address?: string;
      version: string;
      pictures: unknown[];
    };
    for (const change of [
      (source: Held) => ({
        ...source,
        passages: source.passages.slice(0, 1),
        root: { ...source.root, passages: [source.passages[0].id], sections: [] },
      }),
      (source: Held) => ({ ...source, version: 'f'.repeat(64) }),
      (source: Held) => ({ ...source, address: 'javascript:alert(1)' }),
      (source: Held) => ({ ...source, address: 'data:text/html,x' }),
      (source: Held) => ({
        ...source,
        passages: source.passages.map((passage, at) =>
          at === 0
            ? { ...passage, text: 'Word', marks: [{ from: 0, to: 4, kind: 'link', href: 'javascript:alert(1)' }] }
            : passage,
        ),
      }),
      (source: Held) => ({
        ...source,
        passages: source.passages.map((passage, at) =>
          at === 0 ? { ...passage, marks: [{ from: 0, to: 99_999, kind: 'strong' }] } : passage,
        ),
      }),
      (source: Held) => ({ ...source, passages: [...source.passages, source.passages[0]] }),
      (source: Held) => ({ ...source, extra: 1 }),
      (source: Held) => ({ ...source, pictures: [{ hash: '../../etc', type: 'image/png', alt: '' }] }),
    ]) {
      const { status, body } = await bring(
        changed((name, value) => (name.startsWith('sources/') ? change(value as Held) : undefined)),
      );
      expect(status, change.toString()).toBe(422);
      expect(body.data?.code).toBe('bad-document');
    }
    for (const change of [
      (value: object) => ({ ...value, bin: [{}] }),
      (value: object) => ({ ...value, checks: [] }),
      (value: object) => ({ ...value, id: 7 }),
    ])
      expect((await bring(changed((name, value) => (name === 'course.json' ? change(value) : undefined)))).status).toBe(
        422,
      );
    expect((await bring(strToU8('PK nothing'))).status).toBe(422);
    expect(await count()).toBe(before);
    // A course called like a word of its documents: nothing but its id is exchanged, and the home page stands.
    const text = changed(
      (_, value) => JSON.parse(JSON.stringify(value).replaceAll(`"${course}"`, '"paragraphs"')) as unknown,
    );
    expect((await bring(text)).status).toBe(200);
    expect(await count()).toBe(before + 1);
    // What came in is his own: another source than hers, under another id.
    const his = ((await call(app, tom, 'GET', '/api/courses')).body as unknown as { id: string; role: string }[]).find(
      (row) => row.role === 'author',
    )!.id;
    const [hers, copies] = [await idOfSources(app, ines, course), await idOfSources(app, tom, his)];
    expect(copies.map((row) => row.version)).toEqual(hers.map((row) => row.version));
    expect(copies.some((row) => hers.some((other) => other.id === row.id))).toBe(false);
    expect(
      (
        await call(
          app,
          tom,
          'PUT',
          `/api/courses/${his}/sources/${copies[0].id}?name=policy.md`,
          strToU8('# Mine\n\nA member must return every tool before noon on Friday.\n'),
        )
      ).status,
    ).toBe(200);
    expect((await idOfSources(app, ines, course))[0].version).toBe(hers[0].version);
  });
});

test('learners come no further than they are, no more often than people do, and under names that can be seen', async () => {
  await withOwnApp('demo', async (app) => {
    const ines = await session(app, 'pinesmarlowa');
    const course = await demoCourse(app, ines);
    await call(app, ines, 'POST', `/api/courses/${course}/releases`, {
      note: '',
      access: 'link',
      move: false,
      rules: { lesson: 'read', course: 'lessons', share: 0.8, order: 'forced' },
    });
    const { link } = (await call(app, ines, 'GET', `/api/courses/${course}/releases`)).body;
    const at = `/api/learn/${link}`;
    for (const name of ['Ada\u0000', 'Ada\u202egnp', '\u200b\u200b', '   ', 'x'.repeat(81)])
      expect((await call(app, '', 'POST', `${at}/begin`, { name })).status, JSON.stringify(name)).toBe(422);
    const begun = await fetch(`${app.url}${at}/begin`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Ada 阿达' }),
    });
    const ada = begun.headers.get('set-cookie')!.split(';')[0];
    const view = (await call(app, ada, 'GET', `${at}/course`)).body as unknown as {
      course: {
        modules: { lessons: { id: string; blocks: { kind: string; body: { checkId: string } }[] }[] }[];
        checks: { id: string; options: { id: string }[] }[];
      };
    };
    const lessons = view.course.modules.flatMap((module) => module.lessons);
    const last = lessons.at(-1)!;
    const asked =
      last.blocks.find((block) => block.kind === 'check') ??
      lessons.flatMap((lesson) => lesson.blocks).find((block) => block.kind === 'check')!;
    const option = view.course.checks.find((check) => check.id === asked.body.checkId)!.options[0].id;
    const send = (events: object[]) => call(app, ada, 'POST', `${at}/events`, { events });
    const told = (
      await send([
        { id: 'eaaaaaaaaaaa', kind: 'read', lesson: last.id, at: 1 },
        { id: 'ebbbbbbbbbbb', kind: 'answer', lesson: lessons[0].id, check: asked.body.checkId, option, at: 1 },
        { id: 'ecccccccccccc', kind: 'read', lesson: lessons[0].id, at: 1 },
      ])
    ).body as unknown as { read: string[]; refused: { id: string; code: string }[] };
    expect(told.read).toEqual([lessons[0].id]);
    expect(told.refused.map((each) => each.id)).toContain('eaaaaaaaaaaa');
    for (const time of [-1, 1e300, 8.64e15 + 1, 'now', null])
      expect(
        (await send([{ id: 'edddddddddddd', kind: 'read', lesson: lessons[1].id, at: time }])).status,
        String(time),
      ).toBe(422);
    expect((await call(app, '', 'POST', `${at}/return`, { key: 'x'.repeat(20) })).body.data?.code).toBe('wrong-key');
    const tries = await Promise.all(
      Array.from({ length: 30 }, () => call(app, '', 'POST', `${at}/return`, { key: 'y'.repeat(20) })),
    );
    expect(tries.filter((each) => each.status === 429).length).toBeGreaterThanOrEqual(10);
    const crowd = await Promise.all(
      Array.from({ length: 80 }, (_, number) => call(app, '', 'POST', `${at}/begin`, { name: `Crowd ${number}` })),
    );
    expect(crowd.filter((each) => each.status === 200).length).toBeLessThanOrEqual(60);
    expect(crowd.filter((each) => each.status === 429).length).toBeGreaterThanOrEqual(19);
  });
});

test('a sign-in is tried ten times, not sixty at once; the owner comes in from elsewhere', async () => {
  await withOwnApp(
    'demo',
    async (app) => {
      const guess = (password: string, address: string) =>
        fetch(`${app.url}/api/sign-in`, {
          method: 'POST',
          headers: { 'content-type': 'application/json', 'x-forwarded-for': address },
          body: JSON.stringify({ login: 'ines', password }),
        }).then(async (answer) => ({
          status: answer.status,
          text: await answer.text(),
          cookie: answer.headers.get('set-cookie') ?? '',
        }));
      const all = await Promise.all(Array.from({ length: 60 }, (_, at) => guess(`guess number ${at}`, '10.0.0.1')));
      expect(all.filter((each) => each.status === 401)).toHaveLength(10);
      expect(all.find((each) => each.status === 429)!.text).toMatch(/Wait \d+ minutes/);
      expect((await guess('fernhollow-desk', '10.0.0.1')).status).toBe(429);
      await app.restart();
      expect((await guess('fernhollow-desk', '10.0.0.1')).status).toBe(429);
      const owner = await guess('fernhollow-desk', '10.0.0.2');
      expect(owner.status).toBe(200);
      expect(owner.cookie).toMatch(/Secure/);
    },
    { UPLIFT_PROXY: '1', UPLIFT_ADDRESS: 'https://desk.example' },
  );
});

test.describe('a server that is unwell', () => {
  test.use({ mayLog: /status of [45]\d\d/ });

  test('a folder that is not well says so, on screen and by its health address, and works again when it is mended', async ({
    page,
  }) => {
    await withOwnApp('empty', async (app) => {
      const { rmSync, writeFileSync } = await import('node:fs');
      expect((await fetch(`${app.url}/api/health`).then((answer) => answer.json())) as object).toMatchObject({
        state: 'well',
      });
      for (const end of ['', '-wal', '-shm']) rmSync(`${app.folder}/uplift.sqlite${end}`, { force: true });
      writeFileSync(`${app.folder}/uplift.sqlite`, '');
      await app.restart();
      const answer = await fetch(`${app.url}/api/health`);
      expect(answer.status).toBe(503);
      expect(await answer.json()).toMatchObject({ state: 'data-missing' });
      await page.goto(app.url);
      await expect(page.getByRole('alert')).toContainText('Nothing was begun anew');
      rmSync(`${app.folder}/uplift.sqlite`);
      await expect(page.getByText('Nobody is here yet')).toBeVisible({ timeout: 20_000 });
    });
  });
});

test('slow files of one person leave the others a reader', async () => {
  await withOwnApp('demo', async (app) => {
    const [ines, tom] = [await session(app, 'pinesmarlowa'), await session(app, 'ptomashbyaaa')];
    const course = await demoCourse(app, ines);
    const toms = (await call(app, tom, 'POST', '/api/courses', { title: 'Toms' })).body.id!;
    // Each a different text that takes seconds to be read and understood.
    const slow = (seed: number) =>
      strToU8(
        `# Part ${seed}\n\n${Array.from({ length: 2_000 }, (_, at) => `The member ${seed * at} must bring tool ${at} back before noon unless the desk is closed on day ${at + seed}.`).join(' ')}`,
      );
    const finished: string[] = [];
    const hers = [1, 2, 3, 4, 5].map(async (seed) => {
      const { status } = await call(
        app,
        ines,
        'PUT',
        `/api/courses/${course}/sources?name=slow-${seed}.md`,
        slow(seed),
      );
      finished.push(`slow ${status}`);
    });
    await new Promise((go) => setTimeout(go, 300));
    expect(
      (
        await call(
          app,
          tom,
          'PUT',
          `/api/courses/${toms}/sources?name=small.md`,
          strToU8('# Mine\n\nA member must return every tool before noon.\n'),
        )
      ).status,
    ).toBe(200);
    finished.push('small');
    await Promise.all(hers);
    expect(finished.indexOf('small')).toBeLessThan(3);
    expect(finished.filter((each) => each === 'slow 200')).toHaveLength(5);
  });
});
