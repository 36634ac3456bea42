// Drafts from the corpus and prints what can be computed; writes a sheet per document to read the rest by.
import { mkdirSync, writeFileSync } from 'node:fs';
import { demoFiles, documents, option, sharedFolder } from './corpus';
import { measure, type Measured } from './measure';
import { markedTasks, nearness, sayNearness } from './marking';
import { countRetention } from './retention';
import { packFor } from '../server/language/packs';
import { readingSheet } from './sheet';

const ITEMS = Number(option('items') ?? 40);
const only = option('only');
mkdirSync('.eval', { recursive: true });
const all = [
  ...documents(sharedFolder()).map((document) => ({ ...document, paths: [document.path] })),
  { name: 'demo', split: 'tuned' as const, paths: demoFiles(), words: 5000 },
];
const heads = [
  'document',
  'split',
  'words',
  'lessons',
  'min',
  'taught',
  'coverage',
  'sentences',
  'unfaithful',
  'dangling',
  'repeated',
  'questions',
  'cond',
  'term',
  'num',
  'key longest',
  'key a/b/c/d',
  'read ms',
  'draft ms',
];
const rows: (string | number)[][] = [];
const sums = { sentences: 0, unfaithful: 0, dangling: 0, repeated: 0, questions: 0, longest: 0 };
for (const { name, split, paths } of all.filter((each) => !only || each.name.includes(only))) {
  const result = await measure(paths);
  rows.push(typeof result === 'string' ? [name, split, '-', result] : row(name, split, result));
  if (typeof result === 'string') continue;
  writeFileSync(`.eval/${name.replace(/[^a-z0-9.-]/gi, '_')}.sheet.md`, readingSheet(name, result, ITEMS));
  if (result.dangling.length > 0)
    writeFileSync(`.eval/${name.replace(/[^a-z0-9.-]/gi, '_')}.dangling.txt`, result.dangling.join('\n'));
  sums.sentences += result.report.sentences.sourced;
  sums.unfaithful += result.report.sentences.unfaithful;
  sums.dangling += result.dangling.length;
  sums.repeated += result.repeated;
  sums.questions += result.keys.questions;
  sums.longest += result.keys.longest;
}
console.log([heads, heads.map(() => '---'), ...rows].map((cells) => `| ${cells.join(' | ')} |`).join('\n'));
console.log(`\nAll: ${JSON.stringify(sums)}\nReading sheets: .eval/*.sheet.md`);
for (const half of ['open', 'sealed']) console.log(sayNearness(half, nearness(markedTasks(half), packFor('en'))));
if (!only) console.log(`\nFallen short of what is asked: ${await countRetention(sharedFolder())}`);
process.exitCode = sums.unfaithful > 0 ? 1 : 0;

function row(
  name: string,
  split: string,
  { report, dangling, repeated, keys, milliseconds }: Measured,
): (string | number)[] {
  const { words, size, sentences, questions } = report;
  return [
    name,
    split,
    words.read,
    size.lessons,
    size.minutes,
    words.taught,
    coverageWords(report.coverage),
    sentences.sourced,
    sentences.unfaithful,
    dangling.length,
    repeated,
    questions.placed + questions.offered,
    questions.byForm.condition ?? 0,
    questions.byForm.term ?? 0,
    questions.byForm.number ?? 0,
    keys.questions ? Math.round((100 * keys.longest) / keys.questions) + ' %' : '-',
    keys.places.join('/'),
    Math.round(milliseconds.read),
    Math.round(milliseconds.draft),
  ];
}

function coverageWords(coverage: Measured['report']['coverage']): string {
  const counts = Object.values(coverage);
  return `${counts.reduce((sum, count) => sum + count.taught, 0)}/${counts.reduce((sum, count) => sum + count.of, 0)}`;
}
