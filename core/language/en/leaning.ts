import type { Leaning, TaggedWord } from '../pack';
import { anyOf } from '../phrases';

const PREPOSITIONS = anyOf`
  in | for | from | by | with | on | at | of | under | after | before | during | because of | due to | despite
  to | as | like | besides | apart from
`;
const WHICH_OF_THEM = anyOf`
  former | latter | same | above | other | others | rest | result | following | previous | second | third | next
  last | two | three
`;
const STATE_VERBS = anyOf`
  must | should | may | can | is | are | has | have | shows? | contains? | needs? | gets?
`;
const HOW_MANY = anyOf`
  one | some | many | most | all | none | any | several | two | three | a few | each
`;
const BACKWARD_OPENERS = anyOf`
  ^(?:${PREPOSITIONS} )?(?:this|that|these|those|such|its|their|his|her)\b(?! (?:is|was) (?:why|how|said)\b)
  ^(?:they|them|he|she|both|each|neither|either|the ${WHICH_OF_THEM})\b(?! (?:of (?:the|our|your)|day|week|month|year|\w+ ${STATE_VERBS}\b))
  ^${HOW_MANY} of (?:these|those|them|which)\b | ^here\b | ^there(?:fore|by|after|in)\b
  ^(?:another|others?|some others?)\b
`;
const POINTS_BACK = new RegExp(BACKWARD_OPENERS, 'i');
const EACH_FINE = /^(?:each|both|either|neither|another|other) (?!of (?:these|those|them))\p{L}/iu;
const IT = /^it\b/i;
const JUDGEMENTS = anyOf`
  possible | impossible | necessary | important | recommended | advisable | best | better | good | easy | easier
  hard | difficult | useful | worth | safe | essential | common | unusual | clear | likely | unlikely | vital
  usual | normal | helpful | sufficient | enough | time | up to | not uncommon | customary | permissible | allowed
  forbidden | wise | tempting | strongly | always | often | also | generally | usually
`;
const EXPLETIVE_VERBS = anyOf`
  takes | pays | helps | does not matter | doesn't matter | follows that | turns out | seems | makes sense
`;
const EXPLETIVE = new RegExp(
  String.raw`^it(?:'s| is| was| may be| might be| can be| will be| should be| must be| would be)(?: \w+){0,3}? ${JUDGEMENTS}\b|^it ${EXPLETIVE_VERBS}\b`,
  'i',
);
const ANSWER =
  /^(?:yes|no|not (?:always|necessarily|at all|quite)|sometimes|only (?:if|when)|never|of course|probably)(?:[.,;:!–—]|\s[–—])/i;
const JOINING_WORDS = anyOf`
  however | but | and | or | nor | so | thus | hence | therefore | also | moreover | furthermore | in addition
  additionally | again | then | next | finally | lastly | secondly | thirdly | (?:second|third)(?=,) | afterwards?
  nevertheless | nonetheless | still | yet | even so | in contrast | by contrast | on the other hand
  on the contrary | conversely | similarly | likewise | instead | otherwise | alternatively | for example
  for instance | as an example | in other words | that is | as a result | as a consequence | consequently
  accordingly | meanwhile | in (?:this|that|such|either|which|both|these|those) cases? | in particular
  specifically | for (?:this|that) reason | if so | if not | doing so | to do (?:this|so|that)
  at (?:this|that) point | as such | because of this | e\.g\. | i\.e\. | namely | indeed | rather | besides
  after (?:that|this) | before (?:that|this) | until then | by then | since then | of these | in fact | actually
  note (?:also|however) | this way | that way | in this way | the same
`;
const JOINS_ON = new RegExp(String.raw`^${JOINING_WORDS}\b`, 'i');
const CONDITION_OPENERS = anyOf`
  if | when | whenever | unless | once | because | since | as | while | although | though | after | before | until
  where | even if | as soon as
`;
const POINTED_AT = anyOf`
  it | they | this | that | these | those | he | she | such | so | not | there is (?:no|one) | one is | none
  neither | both
`;
const CONDITION_POINTS = new RegExp(
  String.raw`^${CONDITION_OPENERS}\s+${POINTED_AT}\b(?! (?:is|was|may be) (?:necessary|possible|important|clear|likely|raining|dark))`,
  'i',
);
const PLACES = anyOf`
  section | chapter | appendix | figure | table | page | part | paragraph | footnote | annex | sections | chapters
  ["“‘'«§] | \d | above | below | next | following | previous
`;
const NUMBERED_PLACES = anyOf`
  section | chapter | appendix | figure | table | footnote | annex | clause | paragraph | step
`;
const TREATED = anyOf`
  described | mentioned | shown | noted | explained | discussed | listed | outlined | seen | given | defined
  detailed | specified | stated | documented | provided | covered | presented | summari[sz]ed
`;
const NEIGHBOURS = anyOf`
  next | previous | following | preceding | section | chapter | appendix | table | figure
`;
const WHERE_TREATED = anyOf`
  above | below | (?:earlier|later) (?:in|on) | previously | elsewhere | here | next | in (?:the )?${NEIGHBOURS}
`;
const PLACES_AROUND = anyOf`
  above | below | following | preceding | aforementioned
  previous (?:section|chapter|example|paragraph|step|command|table|page)
  next (?:section|chapter|example|paragraph|table|page|figure)
`;
const SAID = anyOf`
  described | mentioned | shown | noted | explained | discussed | seen | said | stated
`;
const ELSEWHERE_WORDS = anyOf`
  \b(?:see|refer to|consult|read|cf\.?)\s+(?:also\s+)?(?:the\s+)?${PLACES}
  \b${NUMBERED_PLACES}s?\s+(?:\d+(?:\.\d+)*|[A-Z](?:\.\d+)+|[ivx]+)\b
  \b(?:as|is|are|was|were|been)?\s*${TREATED}\s+(?:\w+\s+)?${WHERE_TREATED}\b | \bthe ${PLACES_AROUND}\b
  \b(?:above|below)[,.;:)] | ^(?:above|below)\b | \b(?:above|below)-mentioned\b
  \bas (?:we )?${SAID}(?:\s+\w+)? (?:earlier|later|before)\b | \bas follows\b | \bhereinafter\b
  \b(?:earlier|later) in (?:this|the)\b
`;
const ELSEWHERE = new RegExp(ELSEWHERE_WORDS, 'i');
const DOCUMENTS = anyOf`
  document | manual | chapter | section | subsection | page | appendix | paragraph | article | guide | book
  handbook | faq | how-?to | tutorial | deck | slide | presentation | text | report | standard | specification
  table | figure | list | example | talk | video | recording
`;
const REST_OF_DOCUMENTS = anyOf`
  next | previous | following | preceding | remaining | rest of the | last
`;
const ABOUT_DOCUMENT = new RegExp(
  String.raw`\b(?:this|the present|our) ${DOCUMENTS}\b|\bthe ${REST_OF_DOCUMENTS}(?: \w+)? (?:section|chapter|page|paragraph|slide|subsection|example)s?\b`,
  'i',
);
// Not "such as", "those who", nor the "that" behind its noun ("a mistake that was noticed").
const BEFORE_POINTERS = anyOf`
  and | but | or | because | if | when | so | as | since | where | while | although | though | unless | after
  before | until | whether | think | know | say | believe
`;
const POINTERS_WITHIN = anyOf`
  this | these | those(?! (?:who|whose|that|which|in|of|with|on)\b) | such(?! as\b) | the latter | the former
  (?<=[,;:] |\b${BEFORE_POINTERS} )that (?:is|was|would|will|should|must|may|can|does|means)\b | the same
  the following | so on | do so | doing so | it | they | them
`;
const POINTS_WITHIN = new RegExp(String.raw`\b${POINTERS_WITHIN}\b`, 'i');

/** Why a sentence cannot be read alone; undefined when it can. `words` is its count of words. */
export function leaningOf(sentence: string, words: number): Leaning | undefined {
  const bare = sentence.replace(/^["'“‘«(\[]+/, '');
  if (ABOUT_DOCUMENT.test(sentence)) return 'about-document';
  if (ELSEWHERE.test(sentence)) return 'points-elsewhere';
  if (JOINS_ON.test(bare) || ANSWER.test(bare)) return 'joins-on';
  if (IT.test(bare) && !EXPLETIVE.test(bare)) return 'points-back';
  if (POINTS_BACK.test(bare) && !EACH_FINE.test(bare)) return 'points-back';
  if (CONDITION_POINTS.test(bare)) return 'points-back';
  if (words < 4) return 'too-short';
  if (words > 48) return 'too-long';
  return isWhole(sentence) ? undefined : 'not-a-sentence';
}

/** Whether a word inside the sentence may point outside it. `tags`: its parts of speech, where they are known. */
export function pointsWithin(sentence: string, tags: readonly TaggedWord[] = []): boolean {
  if (leavesNounOut(tags)) return true;
  const rest = sentence.split(/\s+/).slice(1).join(' ');
  const match = POINTS_WITHIN.exec(rest);
  if (!match) return false;
  if (!/^(?:it|they|them)$/i.test(match[0])) return true;
  // A pronoun after a noun of its own sentence has something to stand for there; in one clause that is not its subject.
  const at = sentence.length - rest.length + match.index;
  const before = tags.filter((tag) => tag.to <= at);
  if (before.length > 0) {
    const oneClause =
      !/[,;:]|\b(?:and|but|because|so|if|when|that|which|who|until|unless|before|after|once|as)\b/i.test(
        sentence.slice(0, at),
      );
    return before.filter((tag) => tag.tag === 'NOUN' || tag.tag === 'PROPN').length < (oneClause ? 2 : 1);
  }
  return (
    rest
      .slice(0, match.index)
      .split(/\s+/)
      .filter((word) => word.length > 3).length < 3
  );
}

/** "You may lower one only after …": what "one" counts was named before. */
function leavesNounOut(tags: readonly TaggedWord[]): boolean {
  const at = tags.findIndex(({ text }) => /^ones?$/i.test(text));
  const next = tags[at + 1];
  if (at < 1 || /^(?:no|any|every|some)$/i.test(tags[at - 1].text) || /^(?:of|or|and|to)$/i.test(next?.text ?? ''))
    return false;
  const isBare = !next || ['ADV', 'SCONJ', 'ADP', 'AUX', 'PUNCT', 'PRON', 'DET'].includes(next.tag);
  return isBare && !tags.slice(0, at).some(({ tag }) => tag === 'NOUN' || tag === 'PROPN');
}

const COMPARED = anyOf`
  older | newer | longer | shorter | higher | lower | larger | smaller | bigger | later | earlier | heavier
  lighter | warmer | colder | faster | slower | worse | better | greater | fewer | nearer | further | younger
  cheaper
`;
const OPEN_MEASURE = new RegExp(String.raw`\b${COMPARED}$|\b(?:is|are|was|were) (?:more|less)$`, 'i');

/**
 * Whether a clause says how much without what it is held against ("your assessment is older"): what stood before tells.
 */
export function comparesWithNothing(clause: string): boolean {
  return OPEN_MEASURE.test(clause);
}

/** Begins like a sentence, ends like one, with its brackets and quotation marks closed. */
function isWhole(sentence: string): boolean {
  // "'cd' is a command of the shell.": what is named in quotation marks may begin small.
  if (
    !/^["'“‘«(\[]*[\p{Lu}\p{N}/`$~.-]|^["'“‘«][^\s"'”’»]+["'”’»] /u.test(sentence) &&
    !/^["'“‘«(\[]*[a-z]+(?:[_./]\S+|\d\S*|\(|-\w+\.\w)/.test(sentence)
  )
    return false;
  if (!/[.!?]["'”’»)\]]*$/.test(sentence)) return false;
  const count = (pattern: RegExp) => sentence.match(pattern)?.length ?? 0;
  return count(/[([]/g) === count(/[)\]]/g) && count(/“/g) === count(/”/g) && count(/"/g) % 2 === 0;
}

const CIRCUMSTANCES = anyOf`
  if | when | once | unless | after | before | until | as soon as | in | on | at | for | with | by | to | from
`;
const BY_A_KNOWN_THING = new RegExp(
  String.raw`^(?:${CIRCUMSTANCES}\s+)?(?:the|both|each|either)\s+[\p{L}-]+(?:\s+[\p{L}-]+)?(?!\s+(?:of|that|who|which|for|in|on|at|to|from|with)\b)`,
  'iu',
);

/** Begins, in its first clause, with "the" something that no "of ...", "that ..." behind it makes out. */
export function namesKnownThing(sentence: string): boolean {
  return BY_A_KNOWN_THING.test(sentence);
}
