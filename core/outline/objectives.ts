import type { Objective } from '../course/course';
import { idFrom } from '../document/id';
import type { PassageRange } from '../document/rich-text';
import type { Claim, Knowledge } from '../knowledge';
import { namesIn, withNames } from '../knowledge/names';
import { isGenericTitle } from '../language/boilerplate';
import type { ObjectiveWording, ObjectiveWords } from '../language/pack';
import type { Passage } from '../source/source';
import { isSpoken } from '../unit/noise';
import { cleanTitle } from './titles';

const MOST = 3;
/** Terms named in one objective. */
const MOST_TERMS = 3;

interface Candidate {
  words: ObjectiveWords | undefined;
  evidence: PassageRange[];
}

/**
 * What a lesson's learner can do afterwards, one to three objectives by what its passages are: steps give their doing,
 * conditional rules a decision, a table its use, terms telling apart, orders doing, figures knowing. Words come from
 * headings, lead-ins and subjects. None where no good sentence can be made: an open field says more than a bad one.
 * `passages`: of the lesson, in order.
 */
export function lessonObjectives(
  lessonId: string,
  title: string,
  claims: readonly Claim[],
  passages: readonly Passage[],
  knowledge: Knowledge,
): Objective[] {
  const wording = knowledge.pack.objectives;
  if (!wording) return [];
  const rules = claims.filter((claim) => claim.kind === 'rule');
  const telling: Candidate[] = [
    ...fromSteps(claims, title, knowledge, wording),
    ...fromConditions(rules, new Set(passages.filter(isSpoken).map((passage) => passage.id)), wording),
    ...fromTables(passages, wording),
    ...fromTerms(claims, passages, title, wording),
  ];
  const found = telling.filter((candidate) => candidate.words);
  const listed = new Set(passages.filter((passage) => passage.list).map((passage) => passage.id));
  // A point of a list is a part of what its lead-in asks for.
  for (const claim of ordersToReader(rules.filter((rule) => !listed.has(rule.ranges[0].id)))) {
    if (found.length >= 2) break;
    const words = wording.fromRule(claim.rule!.action, claim.rule!.condition?.text);
    if (words) found.push({ words, evidence: evidenceOf([claim]) });
  }
  // What names the matter only comes where nothing says more of it.
  if (found.length === 0 && title !== knowledge.pack.labels.opening) {
    const figures = claims.filter((claim) => claim.kind === 'figure');
    if (figures.length >= 3) found.push({ words: wording.fromTitle(title, 'figures'), evidence: evidenceOf(figures) });
    else {
      // A question or a trouble is answered, and an order carried out, whether or not rules are found in what says how.
      const words = wording.fromTitle(title, 'rules');
      if (words && (rules.length >= 2 || /[?？]$/.test(title) || words.verb === 'carry-out'))
        found.push({
          words,
          evidence: claims.length > 0 ? evidenceOf(rules.length > 0 ? rules : claims.slice(0, 1)) : opening(passages),
        });
    }
  }
  const names = namesIn(knowledge);
  const seen = new Set<string>();
  return found
    .flatMap(({ words, evidence }) => {
      if (!words || seen.has(words.object) || (words.condition && seen.has(words.condition))) return [];
      seen.add(words.object === 'what to do' ? words.condition! : words.object);
      const text = withNames(words.text, names);
      return [
        {
          id: idFrom('o', lessonId, text),
          ...words,
          object: withNames(words.object, names),
          ...(words.condition !== undefined && { condition: withNames(words.condition, names) }),
          text,
          evidence,
        },
      ];
    })
    .slice(0, MOST);
}

/** The steps of one list, called by what introduces them, by the heading right over them or by the lesson's title. */
function fromSteps(
  claims: readonly Claim[],
  title: string,
  { passages, pack }: Knowledge,
  wording: ObjectiveWording,
): Candidate[] {
  const steps = claims.filter((claim) => claim.kind === 'step');
  if (steps.length < 2) return [];
  const first = passages.get(steps[0].ranges[0].id);
  const leadIn = passages.get(first?.leadIn ?? '');
  const heading = first?.locator.path.at(-1);
  const over = heading && !isGenericTitle(heading) ? cleanTitle(heading, [], '') : title;
  const introduced =
    leadIn &&
    wording.fromStepsLeadIn(
      pack
        .sentences(leadIn.text)
        .map((range) => leadIn.text.slice(range.from, range.to))
        .pop() ?? '',
    );
  return [
    {
      words: introduced ?? wording.fromTitle(over, 'steps') ?? wording.fromTitle(title, 'steps'),
      evidence: evidenceOf(steps),
    },
  ];
}

/** The first conditions that a decision can be made of. */
function fromConditions(rules: readonly Claim[], spoken: ReadonlySet<string>, wording: ObjectiveWording): Candidate[] {
  // A figure or what a speaker once did is a case, not what it is a case of.
  const made = rules
    .filter(
      (claim) =>
        claim.rule?.person &&
        claim.rule.condition?.leading &&
        !claim.leaning &&
        !/\d/.test(claim.rule.condition.text) &&
        !spoken.has(claim.ranges[0].id),
    )
    .map((claim) => ({ words: wording.fromCondition(claim.rule!.condition!.text), evidence: evidenceOf([claim]) }))
    .filter((candidate) => candidate.words);
  return made.slice(0, 1);
}

/** A table of three rows or more is used: from its first column to its last. */
function fromTables(passages: readonly Passage[], wording: ObjectiveWording): Candidate[] {
  const tables = new Map<string, Passage[]>();
  for (const passage of passages)
    if (passage.table) tables.set(passage.table.id, [...(tables.get(passage.table.id) ?? []), passage]);
  const made = [...tables.values()]
    .filter((rows) => rows.length >= 3 && rows[0].table!.header.length >= 2)
    .map((rows) => ({
      words: wording.fromTable(rows[0].table!.header),
      evidence: rows.slice(0, 5).map((row) => ({ id: row.id, from: 0, to: row.text.length })),
    }))
    .filter((candidate) => candidate.words);
  return made.slice(0, 1);
}

/**
 * Terms that stand under one heading, to be told apart; what a speaker calls something is none, and one term no aim of
 * a lesson that is called by what is done with it ("Configuring Dovecot").
 */
function fromTerms(
  claims: readonly Claim[],
  passages: readonly Passage[],
  title: string,
  wording: ObjectiveWording,
): Candidate[] {
  const byId = new Map(passages.map((passage) => [passage.id, passage]));
  const placeOf = (claim: Claim) => byId.get(claim.ranges[0].id)?.locator.path.join('/');
  const terms = claims.filter((claim) => {
    const passage = byId.get(claim.ranges[0].id);
    return claim.kind === 'definition' && claim.proper && !claim.leaning && claim.term && passage && !isSpoken(passage);
  });
  const named = terms
    .filter(
      (claim, at) =>
        placeOf(claim) === placeOf(terms[0]) && terms.findIndex((other) => other.term === claim.term) === at,
    )
    .slice(0, MOST_TERMS);
  if (named.length === 0) return [];
  const [{ term }] = named;
  if (named.length === 1 && title.includes(term!) && wording.fromTitle(title, 'rules')?.verb === 'carry-out') return [];
  const words =
    named.length > 1
      ? wording.fromTerms(named.map((claim) => claim.term!))
      : wording.fromTerm(named[0].term!, named[0].plural ?? false);
  return [{ words, evidence: evidenceOf(named) }];
}

/** Rules that tell the reader to do something, the firmest first. */
function ordersToReader(rules: readonly Claim[]): Claim[] {
  const firmness = { must: 0, should: 1, may: 2 };
  return rules
    .filter(
      ({ rule, leaning, ranges }) =>
        !leaning &&
        ranges[0].from === 0 &&
        rule &&
        !rule.negative &&
        rule.strength !== 'may' &&
        (rule.subject === undefined || /^you$/i.test(rule.subject)),
    )
    .map((claim, at) => ({ claim, at }))
    .sort((a, b) => firmness[a.claim.rule!.strength] - firmness[b.claim.rule!.strength] || a.at - b.at)
    .slice(0, 4)
    .map(({ claim }) => claim);
}

/** What a lesson begins with, where nothing in it is a claim. */
const opening = (passages: readonly Passage[]): PassageRange[] =>
  passages.slice(0, 2).map(({ id, text }) => ({ id, from: 0, to: text.length }));

function evidenceOf(claims: readonly Claim[]): PassageRange[] {
  return claims.slice(0, 5).flatMap((claim) => claim.ranges);
}
