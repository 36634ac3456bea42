import type { Change } from '../../change';
import { anyOf } from '../../phrases';
import { casedLike } from './cased';

/** Words that stand together, and how they are said. What stands in a prohibition keeps its "not" in full. */
const TOGETHER: Record<string, string> = {
  'i am': 'I’m',
  'you are': 'you’re',
  'we are': 'we’re',
  'they are': 'they’re',
  'it is': 'it’s',
  'there is': 'there’s',
  'you will': 'you’ll',
  'we will': 'we’ll',
  'they will': 'they’ll',
  'it will': 'it’ll',
  'does not': 'doesn’t',
  'did not': 'didn’t',
  'is not': 'isn’t',
  'are not': 'aren’t',
  'was not': 'wasn’t',
  'were not': 'weren’t',
  'has not': 'hasn’t',
  'have not': 'haven’t',
  'will not': 'won’t',
  'do not': 'don’t',
};
const PAIRS = new RegExp(String.raw`\b${anyOf`${Object.keys(TOGETHER).join(' | ')}`}\b`, 'gi');

const JOINTS = anyOf`
  and | but | or | so | that | if | when | whenever | because | since | as | unless | although | though | while
  whether | until | once | where | before | after | what | how | why
`;
/** Where a clause begins: "with it is taken off" is none. */
const BEGINS = new RegExp(String.raw`^$|[,;:(]\s$|\b${JOINTS}\s$`, 'i');

/** How a contraction is said in full, where that is never in doubt. */
const APART: Record<string, string> = {
  "i'm": 'I am',
  "you're": 'you are',
  "we're": 'we are',
  "they're": 'they are',
  "you'll": 'you will',
  "we'll": 'we will',
  "they'll": 'they will',
  "it'll": 'it will',
  "you've": 'you have',
  "we've": 'we have',
  "they've": 'they have',
  "i've": 'I have',
  "doesn't": 'does not',
  "didn't": 'did not',
  "isn't": 'is not',
  "aren't": 'are not',
  "wasn't": 'was not',
  "weren't": 'were not',
  "hasn't": 'has not',
  "haven't": 'have not',
  "hadn't": 'had not',
  "won't": 'will not',
  "don't": 'do not',
  "can't": 'cannot',
  "couldn't": 'could not',
  "shouldn't": 'should not',
  "wouldn't": 'would not',
  "mustn't": 'must not',
  "let's": 'let us',
};
/** "it's" is "it is" unless a participle follows. */
const IS = /\b(it|that|there|here|what)(['’]s)(?=\s+(\p{L}+))/giu;
const PARTICIPLE =
  /(?:ed|en|wn|ught)$|^(?:been|had|got|gone|come|become|made|done|said|told|held|kept|left|lost|put|set|cut|run|begun|stood|found)$/i;

/** Told together, but for what forbids: "Do not …" keeps its weight. `forbids`: the sentence does. */
export function contracted(sentence: string, forbids: boolean): Change[] {
  return [...sentence.matchAll(PAIRS)].flatMap((match): Change[] => {
    const to = match.index + match[0].length;
    const not = / not$/i.test(match[0]);
    // At the end of a clause, or with a "not" that is leant on, both words are said in full.
    if (!/^\s+\p{L}/u.test(sentence.slice(to)) || (not && (forbids || /NOT$/.test(match[0])))) return [];
    if (!not && !BEGINS.test(sentence.slice(0, match.index))) return [];
    // "Do not", "Is it not …": an order or a question.
    if (
      /^do not$/i.test(match[0]) &&
      !/\b(?:I|you|we|they|\p{L}+s|people)$/iu.test(sentence.slice(0, match.index).trimEnd())
    )
      return [];
    return [{ from: match.index, to, with: casedLike(match[0], TOGETHER[match[0].toLowerCase()]), kind: 'contract' }];
  });
}

/** Said in full. */
export function expanded(sentence: string): Change[] {
  const words = [...sentence.matchAll(/\b\p{L}+['’]\p{L}+\b/gu)].flatMap((match): Change[] => {
    const full = APART[match[0].toLowerCase().replace('’', "'")];
    // "Don't you …?", "Isn't it": the full words would stand elsewhere.
    const asks =
      /n['’]t$/i.test(match[0]) &&
      /^\s+(?:you|we|they|I|he|she|it|there|the|this|that)\b/i.test(sentence.slice(match.index + match[0].length));
    return full && !asks
      ? [{ from: match.index, to: match.index + match[0].length, with: casedLike(match[0], full), kind: 'expand' }]
      : [];
  });
  const is = [...sentence.matchAll(IS)].flatMap((match): Change[] =>
    PARTICIPLE.test(match[3])
      ? []
      : [
          {
            from: match.index,
            to: match.index + match[1].length + match[2].length,
            with: `${match[1]} is`,
            kind: 'expand',
          },
        ],
  );
  return [...words, ...is].sort((a, b) => a.from - b.from);
}
