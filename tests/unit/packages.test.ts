import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { element, writeXml } from '../../core/document/xml';
import { packageName, writePackage, type PlayerFiles, type Released } from '../../core/exchange/package';
import { PACKAGE_FORMATS } from '../../core/learning/packages';
import { USUAL_RULES } from '../../core/learning/rules';
import { playerFiles } from '../../server/player';
import { run } from '../../cli/run';
import { aLearnersCourse } from '../builders';

const frozen = aLearnersCourse();
const released: Released = { id: 'rabcdefghij2', number: 3, rules: USUAL_RULES, frozen };
const player: PlayerFiles = {
  script: new Uint8Array([1]),
  style: new Uint8Array([2]),
  faces: new Map([['face.woff2', new Uint8Array([3])]]),
  notices: 'MIT',
};
const opened = (bytes: Uint8Array) =>
  Object.fromEntries(Object.entries(unzipSync(bytes)).map(([name, content]) => [name, strFromU8(content)]));

describe('a package', () => {
  it.each(PACKAGE_FORMATS)('%s holds page, player, faces and licences, all named in its manifest', (format) => {
    const files = opened(writePackage(released, format, player));
    const names = ['ABOUT.txt', 'NOTICES.txt', 'fonts/face.woff2', 'index.html', 'player.css', 'player.js'];
    expect(Object.keys(files).sort()).toEqual(format === 'html' ? names : [...names, 'imsmanifest.xml'].sort());
    expect(files['ABOUT.txt']).toContain('carries the right answers');
    if (format === 'html') return;
    for (const name of names) expect(files['imsmanifest.xml']).toContain(`<file href="${name}"/>`);
    expect(files['imsmanifest.xml']).toContain(
      format === 'scorm12'
        ? '<adlcp:masteryscore>80</adlcp:masteryscore>'
        : '<imsss:minNormalizedMeasure>0.8</imsss:minNormalizedMeasure>',
    );
  });

  it('is the same for the same release, and asks no pass mark where the rules ask none', () => {
    expect(writePackage(released, 'scorm12', player)).toEqual(writePackage(released, 'scorm12', player));
    const free = { ...released, rules: { ...USUAL_RULES, course: { kind: 'lessons' as const } } };
    expect(opened(writePackage(free, 'scorm12', player))['imsmanifest.xml']).not.toContain('masteryscore');
    expect(opened(writePackage(free, 'scorm2004', player))['imsmanifest.xml']).not.toContain('minNormalizedMeasure');
  });

  it('holds data that cannot end the script they stand in', () => {
    const title = '</script><script>alert(1)</script> & \u2028 "x"';
    const page = opened(
      writePackage({ ...released, frozen: { ...frozen, view: { ...frozen.view, title } } }, 'html', player),
    )['index.html'];
    expect(page.match(/<\/script>/g)).toHaveLength(2);
    const data = /id="uplift-data">(.*)<\/script>/.exec(page)![1];
    expect((JSON.parse(data) as { course: { title: string } }).course.title).toBe(title);
    const manifest = opened(
      writePackage(
        { ...released, frozen: { ...frozen, view: { ...frozen.view, title: `${title}\u0000\u0007` } } },
        'scorm12',
        player,
      ),
    )['imsmanifest.xml'];
    expect(manifest).toContain(
      '<title>&lt;/script&gt;&lt;script&gt;alert(1)&lt;/script&gt; &amp; \u2028 &quot;x&quot;</title>',
    );
  });

  it('is named after its course', () => {
    expect(packageName('Über  uns: ein Kurs', 'scorm12')).toBe('uber-uns-ein-kurs.scorm12.zip');
    expect(packageName('日本', 'archive')).toBe('course.uplift.zip');
  });

  it('of 100 lessons is made in one go', () => {
    const long = { ...released, frozen: aLearnersCourse(100, 3) };
    expect(Object.keys(opened(writePackage(long, 'scorm2004', playerFiles())))).toContain(
      'fonts/literata-latin-wght-normal.woff2',
    );
  });
});

describe('XML', () => {
  it('is written with text escaped and lone parts closed', () =>
    expect(writeXml(element('a', { b: '"<&' }, [element('c'), element('d', {}, ['x < y'])]))).toBe(
      '<?xml version="1.0" encoding="UTF-8"?>\n<a b="&quot;&lt;&amp;">\n  <c/>\n  <d>x &lt; y</d>\n</a>\n',
    ));
});

describe('the built player', () => {
  it('is small, asks nothing of the network, and brings the licences of all it carries', () => {
    const { script, notices, faces } = playerFiles();
    expect(script.length).toBeLessThan(400_000);
    // Addresses in what libraries say of their own faults are no requests.
    expect(strFromU8(script)).not.toMatch(
      /\bfetch\(|XMLHttpRequest|https?:\/\/(?!www\.w3\.org|vuejs\.org|sebbo2002\.github\.io)/,
    );
    for (const name of ['@vue/runtime-core', '@fontsource-variable/literata']) expect(notices).toContain(name);
    expect(notices).not.toContain('carries no licence text');
    expect(faces.size).toBe(6);
  });
});

describe('uplift packages', () => {
  const folder = mkdtempSync(join(tmpdir(), 'uplift-packages-'));
  const out = join(folder, 'out');
  const demo = 'demo/course/lending-tools-safely.uplift.zip';
  const said: string[] = [];
  const uplift = (...args: string[]) =>
    run(
      ['packages', ...args],
      { print: (text) => void said.push(text), tell: (line) => void said.push(line) },
      new AbortController().signal,
    );
  beforeAll(() => void (said.length = 0));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  it('makes all formats asked for, the same each time', async () => {
    expect(
      await uplift(
        demo,
        '--out',
        out,
        '--formats',
        'archive,html,scorm12,scorm2004',
        '--order',
        'forced',
        '--pass',
        '70',
        '--tries',
        '0',
        '--done',
        'passed',
      ),
    ).toBe(0);
    expect(said.join('\n')).toContain('carry the right answers');
    // The demo asks one open question and a task that a person marks.
    expect(said.join('\n')).toContain('2 open answers and tasks are compared by the learners themselves');
    expect(said.join('\n')).toContain('in 1 tasks learners say in words');
    const first = readFileSync(join(out, 'lending-tools-safely.scorm2004.zip'));
    expect(readFileSync(join(out, 'lending-tools-safely.uplift.zip'))).toEqual(readFileSync(demo));
    const data = JSON.parse(
      /id="uplift-data">(.*)<\/script>/.exec(
        opened(new Uint8Array(readFileSync(join(out, 'lending-tools-safely.html.zip'))))['index.html'],
      )![1],
    ) as { rules: object };
    expect(data.rules).toEqual({
      lesson: { kind: 'passed', share: 0.7 },
      course: { kind: 'passed', share: 0.7 },
      order: 'forced',
      tries: null,
    });
    expect(
      await uplift(
        demo,
        '--out',
        out,
        '--formats',
        'scorm2004',
        '--order',
        'forced',
        '--pass',
        '70',
        '--tries',
        '0',
        '--done',
        'passed',
      ),
    ).toBe(0);
    expect(readFileSync(join(out, 'lending-tools-safely.scorm2004.zip'))).toEqual(first);
  });
  it.each<[string[], number, string]>([
    [[], 2, 'No archive'],
    [[demo], 2, '--out DIR'],
    [[demo, demo, '--out', out], 2, 'one archive'],
    [[demo, '--out', out, '--formats', 'pdf'], 2, 'scorm2004, qti21 and qti30'],
    [[demo, '--out', out, '--order', 'any'], 2, 'free, forced'],
    [[demo, '--out', out, '--tries', '7'], 2, 'up to 3'],
    [['nothing.zip', '--out', join(folder, 'none')], 3, 'no such file'],
    [['package.json', '--out', join(folder, 'none')], 3, 'package'],
  ])('%j ends with %i', async (args, code, words) => {
    said.length = 0;
    expect(await uplift(...args)).toBe(code);
    expect(said.join('\n')).toContain(words === 'package' ? '' : words);
    expect(existsSync(join(folder, 'none'))).toBe(false);
  });
});
