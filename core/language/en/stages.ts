import { anyOf } from '../phrases';

/** A stage of a strip is read at a glance: so many words at most, and two at least. */
const WORDS = { most: 8, fewest: 2 };
const PREPOSITIONS = anyOf`
  with | by | for | in | on | at | to | from | into | onto | over | under | through | via | against | between | beside
  behind | inside | during | after | before | within | without | using | according `;
/** What goes on within what is named ("one litre of cold water"): nothing is cut before it. */
const WITHIN = anyOf`of | as`;
/** Words that begin something that can be left for the words under a drawing. */
const GOES_ON = new RegExp(
  `^(?:${anyOf`and | then | so | until | because | while | where | when | if | unless`}|${PREPOSITIONS})$`,
  'i',
);
/**
 * What is said under a condition, or not to be done, is no stage that stands without it; nor is what no verb begins.
 */
const HANGS = new RegExp(
  `^(?:${anyOf`if | unless | when | whenever | where | once | in case | never | do not | don't | while | until`}|${PREPOSITIONS})\\b`,
  'i',
);
/** A clause that hangs on another is left whole, or left out. */
const SUBORDINATE = new RegExp(
  `\\b${anyOf`so | that | because | until | while | when | if | unless | which | who | where | whether`}\\b`,
  'i',
);
/** Words that lead on: nothing ends with them. */
const OPEN_END = new RegExp(
  `\\b(?:${anyOf`
    the | a | an | that | this | your | their | its | any | all | each | every | is | are | be | not | no | only | least
    most | more | sure | whether | how | what | which | and | or | look | go
  `}|${WITHIN}|${PREPOSITIONS}(?<!\\b(?:in|on|over|through|to)))$`,
  'i',
);
/** A verb and what belongs to it before it says anything ("make sure that", "check that"). */
const NEEDS_REST = new RegExp(
  `^${anyOf`
    make | make sure | check | check that | ensure | ensure that | let | try | be | have | get | go | start | begin
    wait | remember
  `}$`,
  'i',
);
/** What is put is put somewhere: there, "on the counter" cannot wait. */
const PUT = new RegExp(`^${anyOf`put | place | lay | set | stick | hang`}\\b`, 'i');
const PREPOSITION = new RegExp(`^${PREPOSITIONS}$`, 'i');
/** A particle of the verb ends a clause well ("Lay the new roll in"); a preposition whose noun was cut off does not. */
const PARTICLE = new RegExp(`\\b${anyOf`in | on | over | through | to`}$`, 'i');

/**
 * The words of a step as a stage that is read at a glance: its first clause, cut where something follows that can wait.
 * Undefined where it says nothing without its rest: under a condition, what is not to be done, what has no such cut.
 */
export function stageOf(step: string): string | undefined {
  const bare = step.trim().replace(/\s*\([^()]*\)/g, '');
  if (HANGS.test(bare)) return undefined;
  const [clause] = bare.split(/[.;:!?](?:\s|$)|\s[–—-]\s|,\s/, 1);
  const words = clause!.trim().split(/\s+/).filter(Boolean);
  const good = (head: string, count: number) =>
    count >= WORDS.fewest && count <= WORDS.most && !OPEN_END.test(head) && !NEEDS_REST.test(head);
  const whole = words.join(' ');
  if (good(whole, words.length)) return whole;
  for (let end = Math.min(words.length - 1, WORDS.most); end >= WORDS.fewest; end--) {
    const head = words.slice(0, end).join(' ');
    const next = words[end]!;
    // A cut within a quotation or a bracket leaves half of it.
    if ((head.match(/[“"(]/g)?.length ?? 0) !== (head.match(/[”")]/g)?.length ?? 0)) continue;
    if (!GOES_ON.test(next) || !good(head, end) || SUBORDINATE.test(head) || PARTICLE.test(head)) continue;
    if (PUT.test(head) && !words.slice(0, end).some((word) => PREPOSITION.test(word))) continue;
    return head;
  }
  // "Unload and look at each of them": a verb can be all.
  const [verb, next] = words;
  return verb && /^(?:and|then)$/i.test(next ?? '') && !NEEDS_REST.test(verb) ? verb : undefined;
}
