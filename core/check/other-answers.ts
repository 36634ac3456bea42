import type { ChoiceCheck, Option } from '../checks/forms';
import { lintCheck } from '../checks/lints';
import type { SeveralCheck } from '../checks/several/form';
import { idFrom } from '../document/id';
import type { Claim } from '../knowledge';
import { overlap } from '../language/similarity';
import { alike, asOption, isPlainOrder, quoteOf, WRONG_SOUGHT, type QuestionMatter, type Wrong } from './forms/form';
import { wrongFigures } from './forms/number/figures';
import { count } from './forms/rows';
import { candidatesOf } from './index';
import { idOf } from './make';

/**
 * Answers that could stand in place of one wrong answer of a question, the fittest first, each with what the sources
 * say to it: what was left over when the question was drafted; for one written by hand, what the sources ask for near
 * what it stands on. None says what another answer says, and none brings a flaw that the question has not.
 */
export function otherAnswers(
  check: ChoiceCheck | SeveralCheck,
  instead: Option,
  matter: QuestionMatter,
  lessonClaims: readonly Claim[],
): Option[] {
  const others = check.options.filter(({ id }) => id !== instead.id);
  const had = lintCheck(check, matter.pack.code).length;
  const fitting = (found: readonly Wrong[]): Option[] =>
    found
      .filter(({ text }) => [...others, instead].every((other) => other.text.toLowerCase() !== text.toLowerCase()))
      .map(({ text, code, quotes }) => ({ id: idFrom('a', check.id, text), text, feedback: { code, quotes } }))
      .filter((option) => {
        const options = check.options.map((each) => (each.id === instead.id ? option : each));
        return lintCheck({ ...check, options }, matter.pack.code).length <= had;
      })
      .slice(0, WRONG_SOUGHT);
  return fitting(leftOver(check, matter) ?? nearBy(check, matter, lessonClaims, instead));
}

/** The wrong answers that a drafted question could have had; undefined where it was not drafted from this page. */
function leftOver(check: ChoiceCheck | SeveralCheck, matter: QuestionMatter): Wrong[] | undefined {
  if (!check.drafted) return undefined;
  const own = candidatesOf(matter).find((candidate) => idOf(check.lessonId, candidate) === check.id);
  return own?.asks.kind === 'choice' ? own.asks.wrong : undefined;
}

/** Answers of so many words on the whole are names of somebody or something. */
const NAME = 3;
/** How much longer than the longest answer another may be. */
const LONGER = 1.4;

/** What could be answered by its looks: other figures, others who act or other terms, others of what is asked for. */
function nearBy(
  check: ChoiceCheck | SeveralCheck,
  matter: QuestionMatter,
  lessonClaims: readonly Claim[],
  instead: Option,
): Wrong[] {
  const texts = check.options.map(({ text }) => text);
  const figure = /\d[\d,.]*/;
  if (texts.every((text) => figure.test(text))) return otherFigures(check, instead);
  const own = new Set(check.evidence.map(({ id }) => id));
  const { course, pack } = matter;
  const near = lessonClaims.find(({ ranges }) => ranges.some(({ id }) => own.has(id))) ?? lessonClaims[0];
  if (!near) return [];
  const isName = texts.reduce((sum, text) => sum + count(text), 0) / texts.length <= NAME;
  const said = isName
    ? namesNear(texts, [...lessonClaims, ...course.rulesNear(near), ...course.definitionsNear(near)], matter)
    : [...lessonClaims.filter(isPlainOrder), ...course.rulesNear(near)].flatMap((claim) =>
        /^[a-z]/i.test(claim.rule!.action) ? [{ claim, words: claim.rule!.action }] : [],
      );
  const asked = pack.stems([check.stem, ...texts].join(' '));
  const longest = Math.max(...texts.map((text) => text.length)) * LONGER;
  const known = new Set<string>();
  return said
    .map(({ claim, words }) => ({ claim, text: asOption(words.replace(/^(?:the|an?)\s+/i, '')) }))
    .filter(({ claim, text }) => {
      const key = pack.stems(text).join(' ');
      if (known.has(key) || text.length > longest || claim.ranges.some(({ id }) => own.has(id))) return false;
      known.add(key);
      return texts.every((other) => !alike(other, text, pack));
    })
    .map((each) => ({ ...each, fit: overlap(course.stems(each.claim.text), asked) }))
    .sort((a, b) => b.fit - a.fit || (a.claim.id < b.claim.id ? -1 : 1))
    .map(({ claim, text }) => ({ text, code: 'other-case', quotes: [quoteOf(claim)] }));
}

/** Who acts, where an answer names somebody who does; terms otherwise. */
function namesNear(
  texts: readonly string[],
  claims: readonly Claim[],
  { pack }: QuestionMatter,
): { claim: Claim; words: string }[] {
  const called = (name: string) => pack.stems(name).join(' ');
  const people = claims.flatMap((claim) => {
    const name = claim.rule?.person ? claim.rule.subject : undefined;
    return name && count(name) <= NAME + 1 && !pack.isReader?.(name) ? [{ claim, words: name }] : [];
  });
  const known = new Set(people.map(({ words }) => called(words)));
  return texts.some((text) => known.has(called(text)))
    ? people
    : claims.flatMap((claim) => (claim.kind === 'definition' && claim.term ? [{ claim, words: claim.term }] : []));
}

/** The key's words with other figures near its own. */
function otherFigures(check: ChoiceCheck | SeveralCheck, instead: Option): Wrong[] {
  const key = check.options.find(({ id }) => (check.kind === 'choice' ? check.key === id : check.keys.includes(id)))!;
  const [written] = /\d[\d,.]*\d|\d/.exec(key.text)!;
  const value = Number(written.replace(/,(?=\d{3}\b)/g, '').replace(',', '.'));
  if (!Number.isFinite(value) || value <= 0) return [];
  // One of something is written otherwise than many of it.
  return wrongFigures(value, [], instead.id, key.text).flatMap((other): Wrong[] =>
    other === 1
      ? []
      : [
          {
            text: key.text.replace(written, () => String(other)),
            value: other,
            code: 'other-figure',
            quotes: [],
          },
        ],
  );
}
