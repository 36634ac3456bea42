import type { TaggedWord } from '../pack';
import { anyOf } from '../phrases';
import { actorOf } from './halves';
import type { WordList } from './lexicon';
import { isPerson } from './rules';

/** What is said or handed straight to somebody; and what is, with "to" before them. */
const TOLD = anyOf`tell | inform | call | telephone | phone | ring | notify | ask | alert | consult | email | warn | brief | contact`;
const GIVEN = anyOf`report | hand | give | send | pass | escalate | forward | refer | return | submit | show | bring | speak | talk | write`;
const BEFORE = anyOf`
  (?:must|should|shall|can|may|will|has to|have to|needs to|need to)(?: also| always| then| first| at once| immediately)?
  always | then | first | also | immediately | only | please | next | both | and
`;
const ARTICLE = anyOf`the | a | an | your | their | our | its | his | her`;
/** Where the name of somebody ends. */
const ENDS = new RegExp(
  `(?=[,;:.()]|$|\\s+(?:${anyOf`and | or | if | when | that | who | which | about | by | for | from | in | on | at | to | with | within | without | before | after | until | of what | so | as | what | where | whether | how | why | immediately | at once | first | again | directly | straight away | is | are | must | should`})(?![\\w-]))`,
  'i',
);
const TELLS = new RegExp(`^(?:${BEFORE}\\s+)?(${TOLD}s?)\\s+(?:${ARTICLE}\\s+)(.+?)${ENDS.source}`, 'i');
const GIVES = new RegExp(
  `^(?:${BEFORE}\\s+)?((?:${GIVEN})(?:s|es)?\\b(?: (?!to\\b)[^\\s,;:.()]+){0,7}? to)\\s+(?:${ARTICLE}\\s+)(.+?)${ENDS.source}`,
  'i',
);

const PLAIN = new RegExp(`^(?:${TOLD}$|${GIVEN}\\b)`, 'i');

/** What goes from somebody to somebody: who, to whom, and what it says, all in the sentence's own words. */
export interface Passing {
  /** Absent where the reader is told to. */
  who?: string;
  to: string;
  what: string;
}

/** Words of what is passed on are read along a line. */
const LONGEST = 14;

/**
 * Who tells, asks or hands something to whom, as a sentence orders or says it: "The volunteer tells the desk lead at
 * once". Only people and groups; undefined where a case or a denial stands before it, or the words are too many.
 */
export function passingIn(sentence: string, tags: readonly TaggedWord[], words: WordList): Passing | undefined {
  if (/\b(?:not|never|no longer|n't)\b/i.test(sentence)) return undefined;
  const bare = sentence.trim().replace(/[.!]$/, '');
  const actor = actorOf(sentence, tags, words);
  const rest = actor?.sure ? bare.slice(actor.rest.from) : bare;
  const found = TELLS.exec(rest) ?? GIVES.exec(rest);
  // The reader is told by the plain verb; "rings the tenant" is somebody else whom these words do not name.
  if (!found || (!actor?.sure && !PLAIN.test(found[1]!))) return undefined;
  const to = found[2]!;
  const [clause] = rest.split(/[;:]|,\s(?=\S+\s\S+\s)/, 1);
  if (!isPerson(to, words) || to.split(' ').length > 4 || clause!.split(/\s+/).length > LONGEST) return undefined;
  const who = actor?.sure
    ? sentence.slice(actor.who.from, actor.who.to).replace(/^(?:the|an?|your|our)\s+/i, '')
    : undefined;
  return { ...(who && { who }), to, what: clause!.trim() };
}
