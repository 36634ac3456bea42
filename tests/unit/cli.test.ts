import { execFileSync, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { describe, expect, it, vi } from 'vitest';
import { readArguments, UseError } from '../../cli/arguments';
import { say, worded } from '../../server/words/problems';
import { run } from '../../cli/run';
import type { Course } from '../../core/course/course';
import { readArchive } from '../../core/exchange/archive';
import { aDocx, wordParagraph } from './reading/zips';

const folder = () => mkdtempSync(join(tmpdir(), 'uplift-'));
const put = (name: string, content: string | Uint8Array) => {
  const path = join(folder(), name);
  writeFileSync(path, content);
  return path;
};
const POLICY = 'demo/files/lending-policy.docx';

async function call(...argv: string[]): Promise<{ code: number; said: string; printed: string }> {
  const lines: string[] = [];
  let printed = '';
  const code = await run(
    argv,
    { print: (text) => void (printed += text), tell: (line) => void lines.push(line) },
    new AbortController().signal,
  );
  return { code, said: lines.join('\n'), printed };
}

describe('exit codes', () => {
  it('0: a course is made, with all its files and nothing else', async () => {
    const out = folder();
    const { code, said } = await call('draft', POLICY, '--out', out, '--title', 'Lending');
    expect(code).toBe(0);
    expect(readdirSync(out).sort()).toEqual([
      'course.html',
      'course.json',
      'course.uplift.zip',
      'report.json',
      'timings.json',
    ]);
    expect(said).toMatch(/made .*: [\d.]+ min, \d+ modules/);
    const document = JSON.parse(readFileSync(join(out, 'course.json'), 'utf8')) as {
      course: { title: string };
      computed: { minutes: number };
    };
    expect(document.course.title).toBe('Lending');
    expect(document.computed.minutes).toBeGreaterThan(5);
    expect(readArchive(new Uint8Array(readFileSync(join(out, 'course.uplift.zip')))).document.course).toEqual(
      document.course,
    );
  });

  it.each([
    ['no source', ['draft', '--out', 'x'], /No source/],
    ['no place to write', ['draft', 'a.md'], /--out/],
    ['an unknown command', ['paint', 'a.md'], /no command/],
    ['an unknown option', ['draft', 'a.md', '--out', 'x', '--colour', 'red'], /colour/],
    ['a number that is none', ['draft', 'a.md', '--out', 'x', '--minutes', 'long'], /needs a number/],
    ['a size out of range', ['draft', 'a.md', '--out', 'x', '--modules', '0'], /not possible/],
    ['two sizes', ['draft', 'a.md', '--out', 'x', '--minutes', '9', '--modules', '2'], /not both/],
    ['an unknown format', ['draft', 'a.md', '--out', 'x', '--formats', 'poem'], /no format/],
    ['a language that is none', ['draft', 'a.md', '--out', 'x', '--language', 'English'], /not possible/],
  ])('2: %s', async (_, argv, words) => {
    const { code, said } = await call(...argv);
    expect(code).toBe(2);
    expect(said).toMatch(words);
  });

  it('3: a source cannot be read; it is named with the reason, and nothing is written', async () => {
    const out = join(folder(), 'out');
    const { code, said } = await call('draft', POLICY, put('broken.docx', 'PK\u0003\u0004 not really'), '--out', out);
    expect(code).toBe(3);
    expect(said).toMatch(/broken\.docx: the file is damaged/);
    expect(existsSync(out)).toBe(false);
  });

  it('3: a source that is not there, and a folder without pages', async () => {
    expect(await call('read', '/nowhere/a.md')).toMatchObject({ code: 3, said: expect.stringMatching(/no such file/) });
    expect(await call('read', folder())).toMatchObject({ code: 3, said: expect.stringMatching(/no HTML pages/) });
  });

  it('0: with --keep-going the others are used, and the same matter only once', async () => {
    const { code, said } = await call(
      'draft',
      POLICY,
      '/nowhere/a.md',
      POLICY,
      '--out',
      folder(),
      '--keep-going',
      '--formats',
      'html',
    );
    expect(code).toBe(0);
    expect(said).toMatch(/used once/);
  });

  it('4: nothing to make a course of', async () => {
    const { code, said } = await call(
      'draft',
      put('short.md', '# Short\n\n## Licence\n\nAll rights reserved by us, and no warranty of any kind.\n'),
      '--out',
      folder(),
    );
    expect(code).toBe(4);
    expect(said).toMatch(/Add a source/);
  });

  it('130: stopped, and nothing written', async () => {
    const out = join(folder(), 'out');
    const child = spawn(
      process.execPath,
      ['dist/cli.mjs', 'draft', POLICY, 'demo/files/battery-guide.pdf', '--out', out],
      { stdio: ['ignore', 'ignore', 'pipe'] },
    );
    child.stderr.once('data', () => child.kill('SIGINT'));
    expect(await new Promise((done) => child.on('close', done))).toBe(130);
    expect(existsSync(out)).toBe(false);
  });
});

describe('the other commands', () => {
  it('read prints sections, passages and claims', async () => {
    const { code, printed } = await call('read', 'demo/files/coordinators-notes.md');
    const [{ source, claims }] = JSON.parse(printed) as [
      { source: { title: string; passages: unknown[] }; claims: unknown[] },
    ];
    expect([code, source.title]).toEqual([0, "Coordinator's notes for the desk course"]);
    expect(claims.length).toBeGreaterThan(5);
  });

  it('draft takes a brief and an outline of one’s own from files; what the line says goes before the brief', async () => {
    const out = folder();
    const brief = put('brief.json', JSON.stringify({ title: 'From the file', minutes: 20, questions: 1 }));
    const own = put('own.csv', 'Module,Lesson,Objective\nLending,Who may borrow,Tell who may borrow\n,Unicorns,\n');
    const { code } = await call('draft', POLICY, '--out', out, '--brief', brief, '--minutes', '9', '--outline', own);
    expect(code).toBe(0);
    const { course } = JSON.parse(readFileSync(join(out, 'course.json'), 'utf8')) as {
      course: Course;
    };
    expect([course.title, course.brief.size.minutes, course.brief.size.questionsPerLesson]).toEqual([
      'From the file',
      9,
      1,
    ]);
    expect(course.modules.map((module) => [module.title, ...module.lessons.map(({ title }) => title)])).toEqual([
      ['Lending', 'Who may borrow', 'Unicorns'],
    ]);
    expect(course.objectives.some(({ text }) => text === 'Tell who may borrow')).toBe(true);
    expect(course.answers?.map(({ question }) => question)).toEqual(['What is to be taught under “Unicorns”?']);
  });

  it('outline --compare lays one’s own outline beside the drafted one', async () => {
    const own = put(
      'own.opml',
      '<opml version="2.0"><body><outline text="Lending"><outline text="Members and borrowing rights"/><outline text="Unicorns"/></outline></body></opml>',
    );
    const { code, printed } = await call('outline', POLICY, '--compare', own);
    expect(code).toBe(0);
    const rows = JSON.parse(printed) as {
      kind: string;
      fit: string;
      mine?: { title: string };
      drafted?: { title: string };
    }[];
    expect(rows.find(({ mine }) => mine?.title === 'Members and borrowing rights')?.drafted).toBeDefined();
    expect(rows.find(({ mine }) => mine?.title === 'Unicorns')).toMatchObject({ fit: 'mine' });
    expect(rows.filter(({ fit }) => fit === 'other').length).toBeGreaterThan(3);
  });

  it.each([
    [['--brief', 'nowhere.json'], 2, 'nowhere.json'],
    [['--brief', POLICY], 2, 'no brief'],
    [['--outline', 'nowhere.md'], 3, 'no such file'],
    [['--compare', 'nowhere.md'], 2, 'belongs to'],
  ])('says what is wrong with %s', async (options, code, words) => {
    const made = await call('draft', POLICY, '--out', folder(), ...options);
    expect([made.code, made.said]).toEqual([code, expect.stringContaining(words)]);
  });

  it('outline prints modules and lessons with their sections', async () => {
    const { printed } = await call('outline', POLICY);
    const { modules } = JSON.parse(printed) as { modules: { lessons: { sections: unknown[] }[] }[] };
    expect(modules.length).toBeGreaterThan(2);
    expect(modules[0].lessons[0].sections.length).toBeGreaterThan(0);
  });

  it('help says how to call it', async () => expect((await call('help')).printed).toMatch(/--keep-going/));
});

describe('sameness', () => {
  it('another time zone, locale, working directory and output folder give the same files', () => {
    const draft = (cwd: string, env: Record<string, string>) => {
      const out = folder();
      execFileSync(
        process.execPath,
        [resolve('dist/cli.mjs'), 'draft', resolve(POLICY), resolve('demo/files/questions.html'), '--out', out],
        { cwd, env: { PATH: process.env.PATH, ...env }, stdio: 'ignore' },
      );
      return out;
    };
    const [a, b] = [
      draft(process.cwd(), { TZ: 'UTC', LANG: 'C' }),
      draft(tmpdir(), { TZ: 'Pacific/Honolulu', LANG: 'tr_TR.UTF-8', LC_ALL: 'tr_TR.UTF-8' }),
    ];
    for (const name of ['course.html', 'course.json', 'course.uplift.zip', 'report.json'])
      expect(readFileSync(join(a, name)).equals(readFileSync(join(b, name)))).toBe(true);
  });
});

describe('what is said', () => {
  it('has words for every problem and notice that the code can give', () => {
    const code = execFileSync(
      'grep',
      [
        '-rhoE',
        "(fail|refuse)\\('[a-z-]+'|code: '[a-z-]+'",
        'core/reading',
        'core/exchange',
        'core/draft',
        'core/outline',
        'server',
        'core/brief',
      ],
      { encoding: 'utf8' },
    );
    const codes = new Set([...code.matchAll(/'([a-z-]+)'/g)].map((match) => match[1]));
    const said = new Set([...worded.problems, ...worded.notices]);
    // "code: 'code'" is the kind of a mark, not a problem.
    expect([...codes].filter((each) => each !== 'code' && !said.has(each))).toEqual([]);
  });

  it('names the file first', () =>
    expect(say({ code: 'empty', place: 'a.pdf' })).toBe(
      'a.pdf: the file is empty (0 bytes). Check that it was saved or copied completely.',
    ));
  it('is plain for what nobody thought of', () => expect(say({ code: 'comet' })).toMatch(/went wrong \(comet\)/));
});

describe('arguments', () => {
  it('are read as meant', () => {
    expect(
      readArguments([
        'draft',
        'a.md',
        'b.pdf',
        '--out',
        'x',
        '--known',
        'fees, ladders ,',
        '--minutes',
        '30',
        '--sources-only',
      ]),
    ).toMatchObject({
      sources: ['a.md', 'b.pdf'],
      out: 'x',
      brief: { known: ['fees', 'ladders'], minutes: 30, sourcesOnly: true },
      formats: ['archive', 'html'],
    });
    expect(readArguments([])).toBe('help');
    expect(() => readArguments(['draft', '--minutes'])).toThrow(UseError);
  });
});

describe('the reading process', () => {
  it('that dies harms nothing and is told in words', async () => {
    vi.resetModules();
    const { readInChild } = await import('../../server/reading');
    const huge = put('huge.docx', aDocx(wordParagraph('word '.repeat(100))));
    const controller = new AbortController();
    const running = readInChild(huge, 'sabcdefghij', controller.signal);
    controller.abort();
    await expect(running).rejects.toThrow();
    expect(await readInChild(huge, 'sabcdefghij')).toMatchObject({ ok: true });
  });
});
