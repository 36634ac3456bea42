import type { Claim } from '../../../knowledge';
import { overlap } from '../../../language/similarity';
import type { DecisionWording } from '../../../language/pack';
import { askable, isAbility, isReader, otherCases, situation, tooAlike } from '../condition';
import {
  asOption,
  givenAway,
  pointsOut,
  quoteOf,
  type Candidate,
  type Deed,
  type QuestionMatter,
  type Turn,
} from '../form';
import { count } from '../rows';
import { OF_AUTHOR, storyOf, TURNS, WRONG } from './story';
import { distinct, temptationsAt } from './temptations';

/** Conditions with so many words in common can hold at once. */
const SAME_CASE = 0.34;
const FACT = { fewest: 3, most: 24 };
/** Of the rules before and behind a case in the sources, so many are near enough to be about the same work. */
const NEAR = 5;
const WORDS = new Set(['if', 'when', 'whenever', 'once', 'as soon as', 'in case']);

/** What is said of doing something may be kept as its figure or its warning. */
const KINDS: ReadonlySet<Claim['kind']> = new Set(['rule', 'warning', 'figure']);

/** A rule of the lesson as a case: what is so, and what is to be done then. */
interface Case {
  claim: Claim;
  /** As its source has it, whatever is asked of it. */
  sentence: string;
  fact: string;
  /** It goes on from the case before it ("if it happens again"). */
  goesOn: boolean;
}

/** The cases of a lesson one after another; what one asks for is a bait in the others. */
export function ofRules(matter: QuestionMatter, wording: DecisionWording): Candidate[] {
  const cases = apart(casesIn(matter, wording), matter);
  const turns = cases.flatMap((each) => turnOf(each, cases, matter, wording) ?? []);
  // What goes on from a case that is not asked about has nothing to go on from.
  const whole = turns.filter(
    ({ own }, at) => !own.goesOn || (at > 0 && followsOn(turns[at - 1].own, own, matter.lesson)),
  );
  const chosen = whole.slice(0, TURNS.most);
  if (chosen.length < TURNS.fewest) return [];
  const goesOn = chosen.some(({ own }) => own.goesOn);
  return [
    storyOf(
      matter,
      wording,
      chosen.map(({ own, turn }, at) => ({ ...turn, text: wording.scene(own.fact, at > 0 && !own.goesOn) })),
      chosen.flatMap(({ about }) => about),
      0.76 + (chosen.length > 2 ? 0.04 : 0) + (goesOn ? 0.04 : 0),
    ),
  ];
}

/** What the reader is to do, case by case, in the order of the sources. */
function casesIn(matter: QuestionMatter, wording: DecisionWording): Case[] {
  return matter.lesson.flatMap((said): Case[] => {
    const claim = withoutQuoted(said);
    const { rule, kind, leaning } = claim;
    if (!KINDS.has(kind) || !rule?.condition || rule.negative) return [];
    if (!WORDS.has(rule.condition.word) || !isReader(claim) || !askable(claim) || isAbility(claim)) return [];
    const goesOn = leaning === 'points-back' || wording.goesOn(situation(claim));
    if (leaning && leaning !== 'points-within' && leaning !== 'too-long' && !(leaning === 'points-back' && goesOn))
      return [];
    if (/\b(?:this|these|those|such|here|there)\b/i.test(rule.action)) return [];
    if (!isDeed(claim, matter)) return [];
    const fact = wording.fact(rule.condition.text);
    const words = fact ? count(fact) : 0;
    return fact && words >= FACT.fewest && words <= FACT.most ? [{ claim, sentence: said.text, fact, goesOn }] : [];
  });
}

/** Told to whoever reads it, in one sentence, and not by who says it of themselves. */
const isDeed = ({ rule }: Claim, { pack }: QuestionMatter): boolean =>
  !OF_AUTHOR.test(rule!.action) &&
  !/[.!?]\s/.test(rule!.action) &&
  (pack.questions?.decision?.isOrder(rule!.action) ?? false);

/** Understood in another case, too: what "it" is was named before it ("tear the stub and keep it"). */
const isNamed = (action: string): boolean =>
  !/^(?:(?!\b(?:the|an?|your|any|all)\s).)*\b(?:they|them|their|it|its|he|him|his|she|her)\b/i.test(action);

/** "Warn them once: “I would like to help you …”": what is done stands before what is said in doing it. */
function withoutQuoted(claim: Claim): Claim {
  const { rule, text } = claim;
  const [done = ''] = rule?.action.split(/:\s/) ?? [];
  const end = text.indexOf(done) + done.length;
  return rule && done && text.slice(end).startsWith(':')
    ? { ...claim, text: `${text.slice(0, end)}.`, rule: { ...rule, action: done } }
    : claim;
}

/** Cases without those that could be one: where the sources say two things of the same, neither is sure. */
const apart = (cases: readonly Case[], { course }: QuestionMatter): Case[] =>
  cases.filter((each) =>
    cases.every(
      (other) =>
        other === each || overlap(course.told(each.claim).condition, course.told(other.claim).condition) < SAME_CASE,
    ),
  );

/** Whether a case goes on from another: no other stands between them in their paragraph. */
function followsOn(before: Case, after: Case, lesson: readonly Claim[]): boolean {
  const [first, second] = [before.claim.ranges[0], after.claim.ranges[0]];
  return (
    first.id === second.id &&
    lesson.every(
      ({ rule, ranges: [range] }) =>
        range.id !== first.id || !rule?.condition || range.from <= first.from || range.from >= second.from,
    )
  );
}

function turnOf(own: Case, cases: readonly Case[], matter: QuestionMatter, wording: DecisionWording) {
  const { claim, fact } = own;
  const { lesson, course, pack } = matter;
  const siblings = cases
    .filter((other) => other !== own && (own.goesOn || other.goesOn || isNamed(other.claim.rule!.action)))
    .map((other) => other.claim)
    .filter((other) => !tooAlike(course.told(claim), course.told(other)));
  const near = new Set(nearest(course.rulesNear(claim), claim));
  const others = otherCases(claim, matter).filter(
    (other) => near.has(other) && !pointsOut(other.rule!.action) && isDeed(other, matter),
  );
  const at = lesson.findIndex(({ id }) => id === claim.id);
  const never = distinct(
    temptationsAt({ id: claim.ranges[0].id, stems: [...course.told(claim).both], at, shares: 2 }, matter),
    [claim.rule!.action],
    matter,
  ).slice(0, 1);
  const baits = distinct(
    [...siblings, ...others],
    [claim, ...never].map(({ rule }) => rule!.action),
    matter,
  );
  // What the case's own sentence forbids tempts most: "close the gate; do not run after it".
  const forbidden = wording.forbidden(own.sentence);
  const deeds = [
    ...(forbidden ? [deedOf(claim, forbidden, wording.never(own.sentence))] : []),
    ...(forbidden ? [] : never).map((other) => deedOf(other, other.rule!.action, wording.never(other.text))),
    ...baits.map((other) => deedOf(other, other.rule!.action, wording.elsewhere(other.text))),
  ].slice(0, WRONG.most);
  const texts = deeds.map(({ text }) => text);
  if (deeds.length < WRONG.fewest || givenAway(claim.rule!.action, fact, texts, pack)) return undefined;
  const right = deedOf(claim, claim.rule!.action, wording.holds(own.sentence));
  const said = new Set(deeds.flatMap(({ quotes }) => quotes.map(({ text }) => text)));
  return {
    own,
    turn: { text: fact, right, wrong: deeds } satisfies Turn,
    about: [claim, ...[...never, ...baits].filter(({ text }) => said.has(text))],
  };
}

/** Those that stand next to a rule in its source, before and behind it. */
function nearest(rules: readonly Claim[], claim: Claim): Claim[] {
  const at = rules.findIndex(({ id }) => id === claim.id);
  return rules.slice(Math.max(0, at - NEAR), at + NEAR + 1).filter(({ sourceId }) => sourceId === claim.sourceId);
}

const deedOf = (claim: Claim, text: string, follows: string): Deed => ({
  text: asOption(text),
  follows,
  quotes: [quoteOf(claim)],
});
