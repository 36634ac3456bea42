import type { Change } from '../../change';
import { anyOf } from '../../phrases';

/** A shorter sentence is not split. */
const LEAST_WORDS = 18;
const FEWEST_IN_HALF = 5;

const SUBJECTS = anyOf`I | you | we | they | he | she | it | this | that | these | those | there | the | a | an | your | our | no one | nobody | everybody | everyone`;
const VERBS = anyOf`
  is | are | was | were | has | have | had | does | do | did | must | may | can | cannot | will | should | would
  could | shall | might
`;
/** Somebody or something with a verb of a closed list behind it: taggers call too many nouns verbs. */
const CLAUSE = new RegExp(String.raw`^${SUBJECTS}\b(?:\s+[\p{L}'’-]+){0,4}?\s+${VERBS}\b`, 'iu');
const HAS_VERB = new RegExp(String.raw`(?:^|\s)${VERBS}(?:\s|$)|^${SUBJECTS}\s+[\p{L}'’-]+`, 'iu');
/** What governs both halves, or is a half without the other. */
const GOVERNS =
  /\b(?:both|either|neither|whether|not only|so that|such that|in order|between|unless|if|when|once|because|although|while|since|as soon as|provided|until|before|after|who|which|whom|whose)\b/i;

/** Sentences of two full clauses as two: at ";", ", and", ", but", ", so". */
export function splits(sentence: string): Change[] {
  if (sentence.split(/\s+/).length < LEAST_WORDS || /[?"“”()[\]:]/.test(sentence)) return [];
  for (const match of sentence.matchAll(/;\s+|,\s+(and|but|so)\s+/g)) {
    const to = match.index + match[0].length;
    const [first, second] = [sentence.slice(0, match.index), sentence.slice(to)];
    const words = (half: string) => half.split(/\s+/).length;
    if (words(first) < FEWEST_IN_HALF || words(second) < FEWEST_IN_HALF) continue;
    // "So that" says what for.
    if (/^that\b/i.test(second) || /^(?:with|in|by|for|under|on|at) (?:this|that|these|those)\b/i.test(first)) continue;
    if (!CLAUSE.test(second) || !HAS_VERB.test(first) || GOVERNS.test(first) || /\bthat\b/i.test(first)) continue;
    const joint = match[1] === 'but' ? 'But ' : match[1] === 'so' ? 'So ' : '';
    const capital = joint ? second.charAt(0) : second.charAt(0).toUpperCase();
    return [{ from: match.index, to: to + 1, with: `. ${joint}${capital}`, kind: 'split' }];
  }
  return [];
}
