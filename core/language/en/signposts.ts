import { anyOf } from '../phrases';

const SPEAKER_OPENERS = anyOf`
  let me | let us | let's | I want to | I would like to | I will | we will | now | next
`;
const SPEAKING_VERBS = anyOf`
  say (?:something|a word) | talk | speak | move on | turn | come | look | go on
`;
const SIGNPOSTS = [
  /^the (?:first|second|third|fourth|fifth|last|next|final|other|main) (?:thing|point|topic|part|subject|question|step)(?: (?:that )?(?:I|we) (?:want|would like|need|have) to (?:talk about|mention|cover|say something about|look at))? (?:is|concerns|will be) (?:about )?(?<topic>[^,;:]{3,60})[.]$/i,
  new RegExp(
    String.raw`^${SPEAKER_OPENERS}(?:,| now| next| then)? ${SPEAKING_VERBS} (?:about|to|at) (?<topic>[^,;:]{3,60})[.]$`,
    'i',
  ),
  /^(?:now|next|so),? (?:about|on to|for) (?<topic>[^,;:]{3,60})[.]$/i,
  /^(?<topic>\p{Lu}[\p{L} -]{2,30}) deserves? a (?:word|mention)[.]$/iu,
];

/** "Now, knives." "So. Food." "Okay. Hands.": a thing and nothing else, as a heading is spoken. */
const SPOKEN_HEADING =
  /^(?:(?:so|now|okay|ok|right|and|then|next|well)[,.]?\s+)*(?<topic>(?:the\s+)?[\p{L}-]+(?:\s[\p{L}-]+)?)[.:]$/iu;
/** "The next one is sharps.", "the first one. The steriliser." */
const NEXT_ONE =
  /^(?:(?:so|now|okay|right|and)[,.]?\s+)*(?:the )?(?:first|second|third|fourth|fifth|next|last|other|final) (?:one|thing|point)(?: is|[:,])\s+(?:the\s+|about\s+)?(?<topic>[^,;:.]{3,40})[.]$/i;
const NO_TOPICS = anyOf`
  u+h+m* | u+m+ | e+r+m* | a+h+m* | hm+ | so | now | okay | ok | right | yes | no | good | well | anyway | great
  fine | please | thanks | sorry | questions? | hello | never | always | again | twice | once | really | exactly
  true | wrong | enough | everything | nothing | something | everybody | nobody
  (?:the )?(?:first|second|third|next|last) (?:one|thing) | thank you | out loud | one word | last one | any name
`;
const NO_TOPIC = new RegExp(String.raw`^${NO_TOPICS}$`, 'i');

const LEAD_INS = anyOf`
  and | so | then | but | because | or | also | if [^,]{3,60}, | when [^,]{3,60},
`;
const NO_DEEDS = anyOf`
  know\b | see\b | saw\b | think\b | had\b | were\b | was\b | did\b | could\b | would\b | might\b | remember\b
  all\b | want\b | like\b | can['’]t\b
`;
const ORDERS = anyOf`
  put | take | wash | call | ring | stop | keep | leave | tell | look | write | use | wait | go | get | give | say
  ask | check
`;
const SAID_TO_DO = new RegExp(
  String.raw`^(?:${LEAD_INS}\s+)*(?:you|we)\s+(?!${NO_DEEDS})\p{Ll}+|\b(?:never|always|don['’]t|nobody|not even|at once|instead)\b|^${ORDERS}\b`,
  'iu',
);

/**
 * Whether somebody who speaks says what is to be done ("You let it bleed, you don't squeeze."), though no rule is
 * worded as one.
 */
export const saysWhatToDo = (sentence: string): boolean => SAID_TO_DO.test(sentence);

/** Whether a spoken sentence turns to something else, rather than going on ("Then …"). */
export const turns = (sentence: string): boolean =>
  /^(?:okay|ok|right|now|so|well|anyway|next|um|uh)\b/i.test(sentence);

/** The topic that a speaker names like a heading ("Now, knives."); `isThing` tells whether words name a thing. */
export function spokenHeading(sentence: string, isThing: (words: string) => boolean): string | undefined {
  const topic = (NEXT_ONE.exec(sentence) ?? SPOKEN_HEADING.exec(sentence))?.groups?.topic.trim();
  return topic &&
    !NO_TOPIC.test(topic) &&
    !/\b(?:I|you|we|he|she|it|they|this|that|one)\b/i.test(topic) &&
    isThing(topic)
    ? topic
    : undefined;
}

/** The topic that a speaker announces ("The third thing is returns."); undefined when a sentence announces none. */
export function signpost(sentence: string): string | undefined {
  for (const pattern of SIGNPOSTS) {
    const topic = pattern.exec(sentence)?.groups?.topic;
    if (topic && !/\b(?:this|that|these|those|it|you|them|what|why|how)\b/i.test(topic)) return topic.trim();
  }
  return undefined;
}
