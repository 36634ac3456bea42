import type { Range, RuleFacts, Strength, TaggedWord } from '../pack';
import { isImperative, labelLength, leadingCondition, trailingCondition } from './clauses';
import type { WordList } from './lexicon';
import { anyOf } from '../phrases';

interface Modal {
  pattern: RegExp;
  strength: Strength;
  negative: boolean;
}

/** Words of obligation, the longest first. "can" permits only persons, "cannot" states a fact, "may not" forbids. */
const MODALS: Modal[] = [
  { pattern: /^(?:must|shall|may)(?: not|n't)\b/, strength: 'must', negative: true },
  { pattern: /^(?:mustn't|shan't)\b/, strength: 'must', negative: true },
  { pattern: /^(?:must never)\b/, strength: 'must', negative: true },
  {
    pattern: /^(?:is|are) (?:not (?:allowed|permitted|entitled)|(?:forbidden|prohibited)) (?:to|from)\b/,
    strength: 'must',
    negative: true,
  },
  { pattern: /^(?:is|are) (?:required|obliged|obligated) to\b/, strength: 'must', negative: false },
  { pattern: /^(?:is|are) (?:allowed|permitted|entitled|free) to\b/, strength: 'may', negative: false },
  { pattern: /^(?:is|are) (?:expected|supposed) to\b/, strength: 'should', negative: false },
  { pattern: /^(?:has|have|needs?) to\b/, strength: 'must', negative: false },
  { pattern: /^(?:must|shall)(?: always| only)?\b/, strength: 'must', negative: false },
  { pattern: /^(?:should|ought)(?: not|n't| never)(?: to)?\b/, strength: 'should', negative: true },
  { pattern: /^(?:should|ought to)(?: always| only)?\b/, strength: 'should', negative: false },
  { pattern: /^may(?: also| only)?\b/, strength: 'may', negative: false },
  { pattern: /^can(?: also| only)?\b/, strength: 'may', negative: false },
];

const MODAL_WORD = /\b(?:must|shall|may|should|ought|has|have|needs?|is|are|can|mustn't|shouldn't|shan't)\b/g;
const LONGEST_SUBJECT = 9;
/** "The head of support": a head of something that has people. */
const HEAD_OF = /^the (?:deputy )?head of \p{L}/iu;
const READER = /^(?:you|everyone|everybody|anyone|nobody|no one|we)$/i;

/** The rule a sentence states in its main clause; undefined when it states none that can be taken apart safely. */
export function ruleOf(sentence: string, tags: readonly TaggedWord[], words: WordList): RuleFacts | undefined {
  if (/\?["'”’)]*$/.test(sentence)) return undefined;
  const leading = leadingCondition(sentence, tags, words);
  const start = leading?.rest ?? (openingLength(sentence) || labelLength(sentence));
  const condition = leading && { from: leading.from, to: leading.to, word: leading.word, leading: true };
  const clause = sentence.slice(start);
  const order = orderOf(clause);
  if (order !== undefined && isImperative(clause, shifted(tags, start), words)) {
    const negative = /^(?:(?:please|also|simply|just|first|instead)\s+)*(?:never|do not|don't)\b/i.test(clause);
    const from = start + order;
    return { strength: 'must', negative, person: true, ...actionAndCondition(sentence, from, tags, condition) };
  }
  for (const match of clause.matchAll(MODAL_WORD)) {
    const at = start + match.index;
    const modal = MODALS.find((each) => each.pattern.test(sentence.slice(at)));
    if (!modal) continue;
    const subject = subjectBefore(sentence, start, at, tags);
    if (!subject) return undefined;
    const said = modal.pattern.exec(sentence.slice(at))![0];
    const subjectText = sentence.slice(subject.from, subject.to);
    const person = isPerson(subjectText, words);
    if (
      /^can/.test(said) &&
      (!person || /^\s+(?:not|be|have|also be|only be)\b/.test(sentence.slice(at + said.length)))
    )
      return undefined;
    const from = at + said.length + /^\s*/.exec(sentence.slice(at + said.length))![0].length;
    // "You should be able to …" tells what will be; "It may fail" what can happen.
    if (
      /^be able\b/.test(sentence.slice(from)) ||
      (/^may(?! not)/.test(said) &&
        !person &&
        !/^(?:also |only )?be (?:\w+ )?\w+(?:ed|en|wn|ld|pt|nt|ght|de|id|t)\b/.test(sentence.slice(from)))
    )
      return undefined;
    if (!/^[a-z]/.test(sentence.slice(from)) || /^(?:been|have been)\b/.test(sentence.slice(from))) return undefined;
    if (/^(?:is|are|has|have|needs?)\b/.test(said) && !/ (?:to|from)$/.test(said)) continue;
    return {
      strength: modal.strength,
      negative: modal.negative || /^no(?:body| one)?\b/i.test(subjectText),
      subject,
      person,
      modal: { from: at, to: at + said.length },
      ...actionAndCondition(sentence, from, tags, condition),
    };
  }
  return undefined;
}

/** Whether the words name somebody who can act: a pronoun, or a head noun that is a person or group. */
export function isPerson(subject: string, words: WordList): boolean {
  if (READER.test(subject) || HEAD_OF.test(subject)) return true;
  const head = headNoun(subject);
  return head !== undefined && words.isPerson(head);
}

/** The head noun of a noun phrase, lower case: the last word before the first preposition or relative. */
export function headNoun(phrase: string): string | undefined {
  const bare = phrase.split(
    /\s(?:of|for|in|on|at|with|from|to|who|that|which|whose|by|under|without|within|between|whom|listed|using|working)\b/i,
  )[0];
  return /([A-Za-z][A-Za-z-]*)[^A-Za-z]*$/.exec(bare)?.[1].toLowerCase();
}

function orderOf(clause: string): number | undefined {
  const lead = /^(?:please |always |never |do not |don't |also |simply |just |first |instead )*/i.exec(clause)![0]
    .length;
  return /^[A-Za-z]/.test(clause.slice(lead)) ? lead : undefined;
}

const SENTENCE_ADVERBS = anyOf`
  however | therefore | thus | hence | also | in general | generally | normally | usually | ideally | in addition
  additionally | moreover | furthermore | finally | instead | otherwise | similarly | in particular | as a rule
  for safety | for example | for instance | note that | remember that | in all cases | in any case | as a result
  consequently | at all times
`;
const OPENING = new RegExp(String.raw`^(?:${SENTENCE_ADVERBS},?\s+)*`, 'i');

/** Length of adverbs and joining words before the subject ("However, ", "In this case, "). */
function openingLength(sentence: string): number {
  return OPENING.exec(sentence)![0].length;
}

function subjectBefore(
  sentence: string,
  start: number,
  modalAt: number,
  tags: readonly TaggedWord[],
): Range | undefined {
  let from = start;
  const to = modalAt - /\s*$/.exec(sentence.slice(0, modalAt))![0].length;
  const phrase = sentence.slice(from, to);
  // A second main clause: the subject begins behind the last joint that has a verb before it.
  const joint = [...phrase.matchAll(/;\s+|,\s+(?:and|but|so|or)\s+|:\s+|\s[–—]\s/g)].pop();
  if (joint) {
    const first = tags.filter((tag) => tag.from >= from && tag.to <= from + joint.index);
    if (!first.some((tag) => tag.tag === 'VERB' || tag.tag === 'AUX')) return undefined;
    from += joint.index + joint[0].length;
  }
  // "In exim you should": what stands before "you" is where, not who.
  const reader = /(?:^|\s)you$/i.exec(sentence.slice(from, to));
  if (reader && reader.index > 0)
    return /^(?:in|for|on|with|at|first|here|from|to|during|under|after|before)\b/i.test(sentence.slice(from, to)) &&
      !/^for the (?:former|latter)/i.test(sentence.slice(from, to))
      ? { from: to - 3, to }
      : undefined;
  const subject = sentence.slice(from, to);
  const count = subject.split(/\s+/).filter(Boolean).length;
  if (
    count === 0 ||
    count > LONGEST_SUBJECT ||
    /[,;:?]/.test(subject) ||
    /^(?:and|or|but|which|who|that|because|since|so|where|when|if|to|by|there|it|whereas|although|though|while|even|as)\b(?!\s+\w+ed\b)/i.test(
      subject,
    ) ||
    /\b(?:that|which|who|whom) (?:we|you|they|he|she|it|one)$/i.test(subject)
  )
    return undefined;
  const inner = tags.filter((tag) => tag.from >= from && tag.to <= to);
  if (!inner.some((tag) => ['NOUN', 'PROPN', 'PRON'].includes(tag.tag))) return undefined;
  const verb = inner.find((tag) => tag.tag === 'AUX' || (tag.tag === 'VERB' && !/(?:ing|ed|en)$/.test(tag.text)));
  if (verb && !/\b(?:who|that|which)\b/.test(sentence.slice(from, verb.from))) return undefined;
  return { from, to };
}

const REASON_WORDS = anyOf`
  because | otherwise | or else | so that | even though | although | whereas
`;
const ACTION_END = new RegExp(
  String.raw`;|:(?!//)|\s[–—]\s|,?\s+${REASON_WORDS}\b|,\s+(?:since|as|which|while|but|so|even if|not even)\b|\s+even (?:if|when)\b|[.!?]+["'”’)]*$|\s\((?:see|e\.g\.|i\.e\.)`,
  'i',
);

/** Where an action ends: before a further clause that is not part of it. */
function actionEnd(sentence: string, from: number): number {
  const rest = sentence.slice(from);
  const cut = ACTION_END.exec(rest);
  return from + (cut ? cut.index : rest.length);
}

/** The action without a condition that follows it; a condition before the main clause wins. */
function actionAndCondition(
  sentence: string,
  from: number,
  tags: readonly TaggedWord[],
  leading: RuleFacts['condition'],
): Pick<RuleFacts, 'action' | 'condition' | 'exception'> {
  const end = actionEnd(sentence, from);
  const condition = leading ?? trailingCondition(sentence, from, end, tags);
  const to =
    condition && !condition.leading ? sentence.slice(0, condition.from).trimEnd().replace(/,$/, '').length : end;
  const exception = exceptionIn(sentence, from, end);
  return { action: { from, to }, ...(condition && { condition }), ...(exception && { exception }) };
}

/** Where a rule says that it does not hold: "except on Sundays", "unless the desk lead agrees". */
function exceptionIn(sentence: string, from: number, end: number): Range | undefined {
  const match = /(?:^|[\s,(])((?:except|unless|apart from|other than|with the exception of|but not)\s.{3,})$/i.exec(
    sentence.slice(from, end),
  );
  return match ? { from: from + match.index + match[0].indexOf(match[1]), to: end } : undefined;
}

function shifted(tags: readonly TaggedWord[], start: number): TaggedWord[] {
  return tags.filter((tag) => tag.from >= start).map((tag) => ({ ...tag, from: tag.from - start, to: tag.to - start }));
}
