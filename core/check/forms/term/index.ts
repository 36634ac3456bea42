import type { Claim } from '../../../knowledge';
import { overlap } from '../../../language/similarity';
import {
  asOption,
  ofClaims,
  quoteOf,
  shownOf,
  WRONG_SHOWN,
  WRONG_SOUGHT,
  type Candidate,
  type QuestionForm,
  type QuestionMatter,
} from '../form';

const EVERYDAY = 4.7;
/** Words of a term that can be asked to be typed. */
const MOST_TYPED = 2;

/**
 * "Which term stands for this?": definitions, with other defined terms as wrong answers. The term's own words are
 * masked in its meaning.
 */
export const termQuestions: QuestionForm = ofClaims(({ kind }) => kind === 'definition', ask);

function ask(claim: Claim, { course, pack }: QuestionMatter): Candidate | undefined {
  if (!isTerm(claim, pack) || !pack.questions) return undefined;
  const termStems = pack.stems(claim.term!);
  const meaning = masked(claim.meaning!, termStems, pack);
  if (!meaning) return undefined;
  const meaningStems = pack.stems(claim.meaning!);
  if (pack.stems(meaning).length < 3) return undefined;
  const seen = [termStems];
  const others = course
    .definitionsNear(claim)
    .filter((other) => other !== claim && isTerm(other, pack) && (other.plural ?? false) === (claim.plural ?? false))
    .map((other) => ({
      other,
      stems: course.stems(other.term!),
      alike: overlap(course.stems(other.meaning!), meaningStems),
    }))
    // A term with nearly the same meaning would be a second right answer.
    .filter(({ stems, alike }) => alike < 0.3 && !stems.every((stem) => meaningStems.includes(stem)))
    .sort(
      (a, b) =>
        b.alike - a.alike ||
        Number(b.other.sourceId === claim.sourceId) - Number(a.other.sourceId === claim.sourceId) ||
        (a.other.id < b.other.id ? -1 : 1),
    )
    .filter(({ stems }) => {
      if (seen.some((each) => overlap(each, stems) > 0.49)) return false;
      seen.push(stems);
      return true;
    })
    .slice(0, WRONG_SOUGHT);
  const frame = {
    form: 'term' as const,
    about: claim,
    stem: pack.questions.whichTerm(meaning, claim.plural ?? false),
    level: 'recall' as const,
  };
  // Where nothing near could be mistaken for it, the word itself is to be known.
  if (others.length < 2)
    return claim.term!.split(' ').length <= MOST_TYPED && !claim.plural
      ? {
          ...frame,
          asks: { kind: 'short', accepted: [asOption(claim.term!)] },
          difficulty: 0.5,
          score: 0.73,
          reasons: ['typed'],
        }
      : undefined;
  const shown = shownOf(others);
  const score = 0.74 + (shown.length >= WRONG_SHOWN ? 0.06 : -0.03) + (meaningStems.length >= 5 ? 0.03 : 0);
  return {
    ...frame,
    asks: {
      kind: 'choice',
      right: asOption(claim.term!),
      wrong: others.map(({ other }) => ({ text: asOption(other.term!), code: 'other-term', quotes: [quoteOf(other)] })),
    },
    difficulty: 0.25,
    score,
    reasons: [`wrong-answers:${shown.length}`],
  };
}

/** A definition in the true sense, and not of an everyday word. */
export function isTerm(claim: Claim, pack: QuestionMatter['pack']): boolean {
  if (claim.kind !== 'definition' || !claim.proper || !claim.term || !claim.meaning || claim.leaning) return false;
  // An everyday word says too little to be asked for.
  if (!claim.term.includes(' ') && (pack.commonness(claim.term.toLowerCase()) ?? 0) > EVERYDAY) return false;
  // "The output is …" says what it is here, not what the word means.
  if (!claim.term.includes(' ') && /^the\s/i.test(claim.text) && /^the\s+\S+\s+is\b/i.test(claim.text)) return false;
  return (
    /^[\p{L}][\p{L} '’-]+$/u.test(claim.term) &&
    claim.term.split(' ').length <= 4 &&
    /^(?:an?|the|any|one|all|every|what|money|somebody|someone|anyone|something)\b/.test(claim.meaning) &&
    !/\b(?:this|these|those|it|they|above|below|following|section|chapter)\b|[`{}<>|]/i.test(claim.meaning) &&
    claim.meaning.split(/\s+/).length >= 5 &&
    claim.meaning.split(/\s+/).length <= 36
  );
}

/** The meaning with words of the term masked; undefined when the term as a whole stands in it. */
export function masked(
  meaning: string,
  termStems: readonly string[],
  pack: QuestionMatter['pack'],
): string | undefined {
  const hits = pack.stemmedWords(meaning).filter((word) => termStems.includes(word.stem));
  if (hits.length >= Math.max(1, termStems.length) && termStems.length > 1) return undefined;
  // Masking the kind itself ("a … of values") leaves nothing to go by.
  if (hits.length > 0 && meaning.slice(0, hits[0].from).split(/\s+/).length <= 4) return undefined;
  if (hits.length > 1 || (termStems.length === 1 && hits.length > 0)) return undefined;
  return hits.reduceRight((text, hit) => `${text.slice(0, hit.from)}…${text.slice(hit.to)}`, meaning);
}
