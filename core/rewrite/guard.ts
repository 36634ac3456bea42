import { anyOf } from '../language/phrases';
import { sameData } from '../document/canonical';
import type { LanguagePack } from '../language/pack';
import type { Change } from '../language/change';

/** Why words are not changed: something they say would be another. */
export type Refusal = 'figure' | 'denial' | 'strength' | 'words';

/** Words that say how firmly something holds, by their class. */
const STRENGTHS: readonly RegExp[] = [
  /\b(?:must|shall|(?:is|are) required to|(?:have|has|need|needs) to|(?:is|are) to)\b/gi,
  /\b(?:should|ought)\b/gi,
  /\b(?:may|might)\b/gi,
];
const BOUNDING = anyOf`
  only | at least | at most | no more than | up to | a minimum of | a maximum of | all | every | each | any | none
  both | unless | except
`;
const BOUNDS = new RegExp(String.raw`\b${BOUNDING}\b`, 'g');

const count = (text: string, pattern: RegExp): number => text.match(pattern)?.length ?? 0;
const numbers = (text: string, { numbers: read }: LanguagePack): string =>
  read
    ? read(text)
        .map(({ value }) => value)
        .join(' ')
    : (text.match(/\d+(?:[.,]\d+)*/g) ?? []).join(' ');
const denials = (text: string): number =>
  count(text, /\b(?:not|never|no|none|nobody|nothing|without|cannot)\b|n['’]t\b/gi);

/**
 * What a change would say otherwise than the words it was made of: figures, what is denied, how firmly it holds, what
 * it holds for, the matter itself; undefined where it says the same. `changes` declare their own words: nothing else
 * may come or go.
 */
export function refusalOf(
  before: string,
  after: string,
  changes: readonly Change[],
  pack: LanguagePack,
): Refusal | undefined {
  // What only sends the reader elsewhere may go, the number of its section with it.
  const had = withoutReferences(before, changes);
  if (numbers(had, pack) !== numbers(after, pack)) return 'figure';
  const asOrder = changes.filter(({ kind }) => kind === 'order').length;
  if (denials(had) !== denials(after)) return 'denial';
  for (const [at, pattern] of STRENGTHS.entries())
    if (count(had, pattern) - (at === 0 ? asOrder : 0) !== count(after, pattern)) return 'strength';
  const bounds = (text: string) => counts((text.toLowerCase().match(BOUNDS) ?? []).map(plainBound));
  if (!sameData(bounds(had), bounds(after))) return 'words';
  const declared = (text: string) => new Set(pack.stems(text));
  const gone = declared(changes.map(({ from, to }) => before.slice(from, to)).join(' '));
  const come = declared(changes.map((change) => change.with).join(' '));
  const [was, has] = [declared(had), declared(after)];
  const lost = [...was].some((stem) => !has.has(stem) && !gone.has(stem));
  const added = [...has].some((stem) => !was.has(stem) && !come.has(stem));
  return lost || added ? 'words' : undefined;
}

const withoutReferences = (text: string, changes: readonly Change[]): string =>
  [...changes]
    .reverse()
    .filter(({ kind }) => kind === 'reference')
    .reduce((rest, { from, to }) => rest.slice(0, from) + rest.slice(to), text);

/** How often each word stands. */
function counts(words: readonly string[]): Record<string, number> {
  const found: Record<string, number> = {};
  for (const word of words) found[word] = (found[word] ?? 0) + 1;
  return found;
}

const plainBound = (words: string): string =>
  words
    .replace('a minimum of', 'at least')
    .replace('a maximum of', 'at most')
    .replace(/^each$|^every$/, 'every');
