import type { Knowledge, Term } from '../knowledge';
import { byStem, cosine, stemWeights } from '../language/similarity';
import { namesThing } from './naming';
import { passagesOf, type Scope } from './scope';
import type { ScopeGroup } from './scopes';
import { upperFirst } from './titles';

/** A subject is in the titles of so many entries at least, and of no more than this share of all. */
const NAMED = { least: 2, share: 0.4 };
/** A module of a page of questions has so many of them at least, and there are at most so many such modules. */
const MODULE = { least: 3, most: 7 };
/** An entry that names no subject goes to the one it is most like when it is so much like it (cosine). */
const LIKE = 0.12;
/** A word as common as this (Zipf scale) is no subject. */
const COMMON = 5.2;

/**
 * Groups the entries of a page of questions or troubles by what they are about: the things that several of their
 * titles name, those with most entries first chosen; an entry that names none stands with those it is most like, the
 * rest together at the end under `restTitle`. Within a subject the order stays, and subjects come in the order of their
 * first entries. One group under the course's title where no two subjects are found.
 */
export function bySubject(
  scopes: readonly Scope[],
  { knowledge, terms, courseTitle, restTitle, notSubject }: SubjectContext,
): ScopeGroup[] {
  const { pack, sentences } = knowledge;
  const entries = scopes.map((scope) => {
    const title = pack.stems(scope.title);
    return {
      scope,
      title: new Set(title),
      stems: new Set([
        ...title,
        ...passagesOf(scope).flatMap((id) => (sentences.get(id) ?? []).flatMap((s) => s.stems)),
      ]),
    };
  });
  const open = new Set(entries);
  const found: { title: string; entries: (typeof entries)[number][] }[] = [];
  const subjects = terms
    .filter(
      ({ key, label }) =>
        !key.includes(' ') &&
        (pack.commonness(label.toLowerCase()) ?? 0) < COMMON &&
        !notSubject.test(label) &&
        !/\d/.test(label) &&
        namesThing(label, knowledge),
    )
    .map((term) => ({ term, named: entries.filter(({ title }) => title.has(term.key)) }))
    .filter(({ named }) => named.length >= NAMED.least && named.length <= entries.length * NAMED.share);
  while (found.length < MODULE.most) {
    const [best] = subjects
      .map(({ term, named }) => ({ term, own: named.filter((entry) => open.has(entry)) }))
      .filter(({ own }) => own.length >= NAMED.least)
      .sort(
        (a, b) => b.own.length - a.own.length || b.term.weight - a.term.weight || (a.term.key < b.term.key ? -1 : 1),
      );
    if (!best) break;
    found.push({ title: upperFirst(best.term.label), entries: best.own });
    for (const entry of best.own) open.delete(entry);
  }
  // What many entries say likens none of them to another.
  const spread = byStem(entries);
  const weights = new Map(
    [...stemWeights(entries)].filter(([stem]) => spread.get(stem)!.length <= entries.length * NAMED.share),
  );
  const vector = (stems: Iterable<string>) => new Map([...stems].map((stem) => [stem, weights.get(stem) ?? 0]));
  const centres = found.map(({ entries: own }) => vector(own.flatMap(({ stems }) => [...stems])));
  const rest: typeof entries = [];
  for (const entry of open) {
    const [near] = centres
      .map((centre, at) => ({ at, score: cosine(vector(entry.stems), centre) }))
      .sort((a, b) => b.score - a.score || a.at - b.at);
    if (near && near.score >= LIKE) found[near.at].entries.push(entry);
    else rest.push(entry);
  }
  const place = new Map(entries.map((entry, at) => [entry, at]));
  const inOrder = (list: readonly (typeof entries)[number][]) =>
    [...list].sort((a, b) => place.get(a)! - place.get(b)!).map(({ scope }) => scope);
  const modules = found.filter((group) => group.entries.length >= MODULE.least);
  const others = [...rest, ...found.filter((group) => !modules.includes(group)).flatMap((group) => group.entries)];
  if (modules.length < 2) return [{ title: courseTitle, scopes: [...scopes] }];
  const groups = modules
    .map((group) => ({ title: group.title, scopes: inOrder(group.entries) }))
    .sort((a, b) => scopes.indexOf(a.scopes[0]) - scopes.indexOf(b.scopes[0]));
  return others.length > 0 ? [...groups, { title: restTitle, scopes: inOrder(others) }] : groups;
}

export interface SubjectContext {
  knowledge: Knowledge;
  terms: readonly Term[];
  courseTitle: string;
  restTitle: string;
  /** Words that tell that something is wrong, and not with what. */
  notSubject: RegExp;
}
