// Times whole stages and prints them as ratios: how drafting compares to reading alone, and how time grows with the
// text.
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { briefFrom } from '../core/brief/given';
import type { Scene } from '../core/checks/scenario/form';
import { walk } from '../core/checks/scenario/walk';
import { draftCourse } from '../core/draft';
import { suggestMarks, type Held } from '../core/grading/suggest';
import { understand } from '../core/knowledge';
import { matchExpression, searchQuery, searchText } from '../core/language/search';
import { readSource } from '../core/reading';
import { openDatabase } from '../server/database/open';
import { peopleIn } from '../server/database/people';
import { searchIn } from '../server/database/search';
import { sourcesIn } from '../server/database/sources';
import { packFor } from '../server/language/packs';
import { readInChild } from '../server/reading';
import { demoFiles, option } from './corpus';

const RUNS = Number(option('runs') ?? 3);
const WORDS =
  'tool desk fee member ladder battery charger shelf volunteer slip deposit guard switch blade return repair queue notice winter counter handle drawer borrower lender hinge bracket paint'.split(
    ' ',
  );

/** The median of a few runs, in milliseconds. */
async function median(run: () => Promise<unknown> | unknown, runs = RUNS): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < runs; round++) {
    const start = performance.now();
    await run();
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)];
}

async function drafted(path: string): Promise<void> {
  const result = await readInChild(path, 'sabcdefghij');
  if (result.ok)
    draftCourse(
      briefFrom({}, result.source.language),
      [understand(result.source, packFor(result.source.language))],
      result.source.title,
    );
}

/** Distinct text of so many sections: no sentence stands twice. */
function text(sections: number): Uint8Array {
  let seed = 7;
  const next = (below: number) => (seed = (seed * 48271) % 2147483647) % below;
  const word = () => WORDS[next(WORDS.length)];
  const sentence = (number: number) =>
    `If the ${word()} of a ${word()} ${number} is on the ${word()}, you must put the ${word()} beside the ${word()} ${next(90) + 2} within ${next(50) + 2} days.`;
  const body = Array.from(
    { length: sections },
    (_, section) =>
      `## The ${word()} and the ${word()} ${section}\n\n${Array.from({ length: 6 }, (_, paragraph) => Array.from({ length: 5 }, (_, at) => sentence(section * 100 + paragraph * 10 + at)).join(' ')).join('\n\n')}`,
  );
  return new TextEncoder().encode(`# Manual\n\n${body.join('\n\n')}\n`);
}

/** A story in which each scene leads on to the next, a later one, or back. */
const story = (scenes: number): Scene[] =>
  Array.from({ length: scenes }, (_, at) => ({
    id: `s${at}`,
    title: '',
    text: 'It goes on.',
    choices:
      at === scenes - 1
        ? []
        : [at + 1, Math.min(scenes - 1, at + 3), at, Math.max(0, at - 1)].map((to, place) => ({
            id: `a${at}.${place}`,
            text: 'Go',
            to: `s${to}`,
            score: place === 0 ? 2 : 0,
            follows: 'It goes on.',
            quotes: [],
          })),
  }));
const HANDED = 'I take the battery out of the drill and put a blue tag on it. Then I tell the desk lead. '.repeat(8);
const WORDS_HANDED = HANDED.split(' ').length - 1;
const HELD: Held = {
  criteria: ['Take the battery out.', 'Put a blue tag on it.', 'Tell the desk lead the same day.'].map((text, at) => ({
    id: `c${at}`,
    text,
    levels: ['All', 'Part', 'None'].map((level, place) => ({ id: level, text: level, points: 2 - place })),
  })),
  model: 'I take the battery out. I put a blue tag on the drill. I tell the desk lead on the same day.',
  prompt: 'A drill comes back damaged. Write down what you do.',
};

packFor('en');
const shared = option('shared');
const files = [
  ...demoFiles().filter((path) => /docx|pdf/.test(path)),
  ...(shared
    ? ['fhs-3.0.en.pdf', 'debian-reference.es.pdf', 'policy.en.epub']
        .map((name) => join(shared, 'corpus', name))
        .filter((path) => existsSync(path))
    : []),
];
console.log('drafting including reading, against reading alone (at most 2 is asked)');
for (const path of files) {
  const reading = await median(() => readInChild(path, 'sabcdefghij'));
  const drafting = await median(() => drafted(path));
  console.log(
    `  ${path}: ${(drafting / reading).toFixed(2)} x (${Math.round(reading)} ms, ${Math.round(drafting)} ms)`,
  );
}
console.log(
  'a story of twice as many scenes, a hand-in of twice as many words, against half of it (at most 2.2 is asked)',
);
const short = await median(() => walk(story(60)), 50);
const long = await median(() => walk(story(120)), 50);
console.log(`  walked through all ways: ${(long / short).toFixed(2)} x (60 scenes in ${short.toFixed(2)} ms)`);
const suggested = (times: number) => median(() => suggestMarks(HELD, HANDED.repeat(times), packFor('en')), 20);
const half = await suggested(1);
const whole = await suggested(2);
console.log(`  marks suggested: ${(whole / half).toFixed(2)} x (${WORDS_HANDED} words in ${half.toFixed(1)} ms)`);
console.log('time when the text is doubled (at most 2.2 is asked)');
let before = 0;
for (const sections of [100, 200, 400, 800, 1600, 3200]) {
  const bytes = text(sections);
  const time = await median(
    async () => {
      const result = await readSource({ name: 'manual.md', bytes }, 'sabcdefghij');
      if (result.ok) draftCourse(briefFrom({}, 'en'), [understand(result.source, packFor('en'))], 'Manual');
    },
    sections < 800 ? RUNS : 1,
  );
  console.log(
    `  ${(bytes.length / 1048576).toFixed(2)} MB: ${before ? `${(time / before).toFixed(2)} x` : '-'} (${Math.round(time)} ms)`,
  );
  before = time;
}

console.log('searching 10 MB of text, against looking through all of it for the words');
{
  const folder = mkdtempSync(join(tmpdir(), 'uplift-bench-'));
  const db = openDatabase(folder);
  const result = await readSource({ name: 'manual.md', bytes: text(3800) }, 'sabcdefghij');
  if (!result.ok) throw new Error(result.problem.code);
  const { source } = result;
  peopleIn(db).add({ id: 'pbenchaaaaaaa', name: 'B', login: 'b', role: 'owner' }, 'x', 0);
  sourcesIn(db).add(source, [], {
    owner: 'pbenchaaaaaaa',
    fileHash: source.version,
    fileName: 'manual.md',
    at: 0,
    by: 'pbenchaaaaaaa',
  });
  const search = searchIn(db);
  const key = { id: source.id, version: source.version };
  const pack = packFor('en');
  const filling = await median(
    () =>
      db.transaction(() => {
        search.clear(key);
        search.add(
          key,
          source.passages.map(({ id, kind, text: words, locator }, position) => ({
            id,
            kind,
            text: words,
            locator,
            position,
            ...searchText(words, pack),
            headings: searchText(locator.path.at(-1) ?? '', pack).stems,
          })),
        );
        search.finish(key);
      })(),
    1,
  );
  const bytes = source.passages.reduce((sum, passage) => sum + passage.text.length, 0);
  console.log(
    `  ${(bytes / 1048576).toFixed(1)} MB, ${source.passages.length} passages made searchable in ${(filling / 1000).toFixed(1)} s`,
  );
  for (const typed of ['ladder charger', 'battery within 37', 'hing', 'the borrower of a deposit 4108', 'zeppelin']) {
    const query = searchQuery(typed, [pack])!;
    const time = await median(() => search.find(matchExpression(query, 'all'), [key], 60), 5);
    const words = typed.split(' ');
    const scan = await median(
      () => source.passages.filter((passage) => words.every((word) => passage.text.includes(word))).length,
      5,
    );
    console.log(`  “${typed}”: ${time.toFixed(1)} ms, ${(time / scan).toFixed(2)} x`);
  }
  db.close();
  rmSync(folder, { recursive: true, force: true });
}
