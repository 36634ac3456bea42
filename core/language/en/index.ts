import { opensException } from './exceptions';
import { actorOf, caseOf, denies } from './halves';
import { openerOf } from './openers';
import { hesitationsIn } from './hesitations';
import { dismisses, ENGLISH_NOISE } from './noise';
import { labelsFor } from '../labels';
import type { LanguagePack, SentenceFacts, Stance, TaggedWord } from '../pack';
import { isFirstPerson } from '../speaker';
import { segmentSentences } from '../segment';
import { wordsFor } from '../words';
import { isImperative, labelLength } from './clauses';
import { definesAlike, definitionOf, tellsMeaning } from './definitions';
import { fleschKincaid } from './grade';
import { comparesWithNothing, leaningOf, namesKnownThing, pointsWithin } from './leaning';
import { wordList, type Lexicon, type WordList } from './lexicon';
import { englishObjectives } from './objectives';
import { askedOfLearner, englishQuestions } from './questions';
import { bandOf } from './bands';
import { numbersOf, quantitiesOf, withValue } from './quantities';
import { bracketedReferences, sendsToSection } from './references';
import { regular } from './regular';
import { englishRewriting } from './rewriting';
import { ruleOf } from './rules';
import { isChange } from './changes';
import { passingIn } from './passing';
import { stageOf } from './stages';
import { saysWhatToDo, signpost, spokenHeading, turns } from './signposts';
import { tellsPast } from './tense';
import { anyOf } from '../phrases';

const WARNING_OPENERS = anyOf`
  (?:warning|caution|danger)(?!\s+(?:signs?|labels?|lights?|triangles?)\b) | beware | be careful | take care
  never | do not | don't
`;
const OUTCOME_VERBS = anyOf`
  will | is | are | can | cannot | may | might | would | does | do | has | have | loses? | stays?
`;
const HARMS = anyOf`
  kill | injure | burn | damage | destroy | explode | break(?! (?:\S+ ){0,5}(?:apart|down|up into)\b)
  cause (?:a )?(?:fire|damage|injur) | catch fire | lead to | result in | cost
`;
const DANGERS = anyOf`
  danger(?:ous)?(?! goods\b) | hazard(?! (?:label|warning|light)s?\b) | (?:can|could|may|might|will) ${HARMS}
  is fatal | at risk | (?<!\b(?:reduc|avoid|prevent|limit|lower|minimi[sz])(?:es|ed|ing|s|e)? (?:the )?)risk of
  must never | under no circumstances | results? in (?:dismissal|loss|damage|injury|a fine)
`;
const WARNING = new RegExp(
  String.raw`^${WARNING_OPENERS}\b|[,;]\s+(?:otherwise|or else)\s+(?:\S+\s+){1,5}?${OUTCOME_VERBS}\b|(?<!\b(?:not|never|less) )\b${DANGERS}\b`,
  'i',
);
const REASON =
  /\bbecause\b|,\s+(?:since|as it|as they|as the|so that)\b|\bso that\b|\bin order (?:to|that)\b|\bthis is why\b|^the reason\b|\bthe reason (?:is|was|why)\b|\b(?:due|owing) to\b/i;
const EXAMPLE_OPENERS = anyOf`
  for example | for instance | as an example | (?:an )?example(?=:) | in one (?:case|\w+)
  a (?:typical|recent|good|simple) example | last (?:year|month|week|winter|summer|spring|autumn)
`;
const EXAMPLE = new RegExp(
  String.raw`^${EXAMPLE_OPENERS}(?![\p{L}\p{N}])|^(?:\S+ ){1,3}?(?:for example|for instance),`,
  'iu',
);
const TIP =
  /^(?:tip|hint)\b|^it (?:helps|is (?:a good idea|best|useful|worth|wise|helpful|easier))\b|^(?:a good way|the easiest way|the best way|a simple way|try to)\b/i;
const COMPARISON =
  /\b(?:whereas|in contrast|by contrast|unlike|compared (?:with|to)|on the other hand|as opposed to|rather than|in comparison|differs? from|the difference between)\b|,\s+while\b/i;
const FIRST_PERSON = /\b(?:I|I['’](?:m|ve|d|ll)|me|my|mine|myself)\b/;
const ROLE_WORDS = anyOf`
  \b(?:is|are) (?:responsible|accountable|answerable) for\b | \b(?:is|are) in charge of\b
  \b(?:looks?|look) after\b | \bis the (?:person|one|contact) (?:who|for)\b | \b(?:answers?|decides?) for\b
  \bhas the (?:final|last) (?:say|word)\b
`;
const ROLE = new RegExp(ROLE_WORDS, 'i');
const LEAD_INS = {
  steps:
    /\b(?:steps?|procedure|as follows|do the following|in this order|proceed|follow(?:ing)? (?:these|the|this))\b|^(?:to|in order to|when|if|before|after)\b.*:$/i,
  duties: /\b(?:must|must not|shall|should|should not|may|may not|can|have to|need to|never|always)\s*:$/i,
  lowersItems: true,
};
const STANCES: readonly [RegExp, Stance][] = [
  [
    /\b(?:need not|needn't|(?:do|does) not (?:need|have) to|(?:don|doesn)['’]t (?:need|have) to|(?:is|are) not (?:required|necessary|needed)|no need to)\b/i,
    'frees',
  ],
  [/\b(?:is|are) (?:not (?:allowed|permitted)|forbidden|prohibited|banned)\b/i, 'forbids'],
  [/\b(?:is|are) (?:allowed|permitted)\b/i, 'allows'],
];
/** The same without who is meant: all, or the reader. */
const READER = /^(?:you|we|everyone|everybody|anyone|anybody|nobody|no one|all of you|people)$/i;
const BOUND_WORDS = anyOf`
  at (?:least|most|the latest|the earliest|a time|once) | up to
  (?:no|not) (?:more|less|fewer|longer|later|earlier) than | (?:more|less|fewer|longer|shorter|earlier|later) than
  not exceed | exceeds? | within | maximum | minimum | exactly | allowed | permitted | forbid(?:den)? | prohibited
  banned | required | necessary | needed | need(?:n't|s)? | have to | always | never | please | every | each | any
  all | own | not
`;
const BOUNDS = new RegExp(String.raw`\b${BOUND_WORDS}\b`, 'i');
const LIMIT_WORDS = anyOf`
  at least | at most | up to | no more than | not more than | no less than | not exceed | exceeds? | within
  less than | more than | fewer than | longer than | shorter than | earlier than | later than | maximum | minimum
  limit(?:ed)? | until | every | per | each | exactly | above | below | under | over | after | for | by
  (?:minutes?|hours?|days?|weeks?|months?) (?:before|in advance|ahead)
`;
const LIMIT = new RegExp(String.raw`\b${LIMIT_WORDS}\b`, 'i');

/** The English pack. `lexicon` is the word list that ships with the app, `tags` a part-of-speech tagger. */
export function englishPack(language: string, lexicon: Lexicon, tags: (text: string) => TaggedWord[]): LanguagePack {
  const words = wordList(lexicon);
  return {
    code: language,
    understands: true,
    sentences: (text) => segmentSentences(text, 'en'),
    ...wordsFor('en'),
    commonness: words.commonness,
    tags,
    facts: (sentence, tagged): SentenceFacts => {
      const count = sentence.split(/\s+/).filter((word) => /[\p{L}\p{N}]/u.test(word)).length;
      const label = labelLength(sentence);
      const imperative = isImperative(
        sentence.slice(label),
        tagged
          .filter((tag) => tag.from >= label)
          .map((tag) => ({ ...tag, from: tag.from - label, to: tag.to - label })),
        words,
      );
      const whole = imperative || tagged.length === 0 || /[:?]$/.test(sentence) || hasFiniteVerb(tagged, words);
      const leaning = leaningOf(sentence, count) ?? (whole ? undefined : 'not-a-sentence');
      const rule = ruleOf(sentence, tagged, words);
      const definition = definitionOf(sentence, tagged);
      const quantities = quantitiesOf(sentence);
      return {
        words: count,
        ...(leaning && { leaning }),
        pointsWithin: pointsWithin(sentence, tagged),
        ...(rule && { rule }),
        ...(definition && { definition }),
        quantities,
        limits: quantities.length > 0 && (LIMIT.test(sentence) || rule !== undefined),
        warning: WARNING.test(sentence),
        reason: REASON.test(sentence),
        example: EXAMPLE.test(sentence),
        tip: TIP.test(sentence),
        comparison: COMPARISON.test(sentence),
        role:
          ROLE.test(sentence) && (sentence.toLowerCase().match(/[a-z]+/g) ?? []).some((word) => words.isPerson(word)),
        firstPerson: isFirstPerson(sentence, FIRST_PERSON),
        imperative,
        past: !imperative && !rule && tellsPast(sentence, tagged, words),
      };
    },
    leadIns: LEAD_INS,
    numbers: numbersOf,
    stance: (sentence) => STANCES.find(([pattern]) => pattern.test(sentence))?.[1],
    isReader: (subject) => READER.test(subject),
    bounds: BOUNDS,
    regular,
    references: bracketedReferences,
    sendsTo: sendsToSection,
    noise: ENGLISH_NOISE,
    dismisses,
    hesitations: hesitationsIn,
    opensException,
    namesKnown: namesKnownThing,
    signpost,
    turns,
    saysWhatToDo,
    asksTeller: (heading) =>
      /^(?:tell|show|explain|describe|and|but|so)\b|\b(?:you|your|yours|me)\b.*[?]?$/i.test(heading) &&
      !/^(?:may|can|must|should|do) I\b/i.test(heading),
    askedOfLearner,
    spokenHeading: (sentence) =>
      spokenHeading(sentence, (topic) =>
        [topic, ...(/s$/.test(topic) ? [`the ${topic}`] : [])].some((words) =>
          isThing(tags(words).filter((word) => word.tag !== 'DET')),
        ),
      ),
    tellsMeaning: (term, meaning, tags) => !isImperative(meaning, tags, words) && tellsMeaning(term, meaning, tags),
    comparesWithNothing,
    caseOf: (sentence, tagged) => caseOf(sentence, tagged, words),
    bandOf,
    stageOf,
    passingIn: (sentence, tagged) => passingIn(sentence, tagged, words),
    isChange,
    written: withValue,
    openerOf: (sentence, tagged, quantities) => openerOf(sentence, tagged, quantities, words),
    definesAlike,
    actorOf: (sentence, tagged) => actorOf(sentence, tagged, words),
    denies,
    rewriting: englishRewriting(words),
    aboutPerson: (clause) =>
      (clause.toLowerCase().match(/[a-z]+/g) ?? []).slice(0, 4).some((word) => word !== 'you' && words.isPerson(word)),
    pointsAtHeading: (sentence) => /^["“]?(?:this|these|it|they)\b/i.test(sentence),
    pointsAtPersons: (sentence) => /^(?:they|he|she)\b/i.test(sentence),
    grade: fleschKincaid,
    objectives: englishObjectives(
      words,
      (title) => isClause(title, tags(title), words),
      (phrase) => isThing(tags(`the ${phrase.toLowerCase()}`).slice(1)),
    ),
    questions: englishQuestions(words, tags),
    labels: labelsFor('en'),
  };
}

/** A noun with what may stand before it, "of …" among it. */
function isThing(tagged: readonly TaggedWord[]): boolean {
  return (
    tagged.length > 0 &&
    /^(?:NOUN|PROPN)$/.test(tagged.at(-1)!.tag) &&
    !/^(?:ADP|VERB)$/.test(tagged[0].tag) &&
    tagged.every((word) => /^(?:NOUN|PROPN|ADJ|ADP|DET)$/.test(word.tag))
  );
}

/**
 * "A resident wants a refund": its verb shows its person or time, and something follows; "The five-point look-over" has
 * none.
 */
function isClause(title: string, tagged: readonly TaggedWord[], words: WordList): boolean {
  return tagged.some(
    ({ text, tag, from, to }, at) =>
      at > 0 &&
      at < tagged.length - 1 &&
      title[from - 1] === ' ' &&
      title[to] === ' ' &&
      (tag === 'AUX' ||
        (tag === 'VERB' && (/ed$/.test(text) || (/[^s]s$/.test(text) && words.isVerb(text.replace(/s$/, '')))))),
  );
}

/** A verb that says something of a subject: not an infinitive behind "to", not a bare participle. */
function hasFiniteVerb(tagged: readonly TaggedWord[], words: WordList): boolean {
  return tagged.some((word, at) => {
    if (word.tag === 'AUX') return true;
    const before = tagged[at - 1];
    if (word.tag === 'VERB') return !/ing$/.test(word.text) && !/^to$/i.test(before?.text ?? '');
    // "The buddy rings back": taken for a plural by the tagger.
    return (
      at < tagged.length - 1 &&
      /[^s]s$/.test(word.text) &&
      words.isVerb(word.text.slice(0, -1)) &&
      (before?.tag === 'NOUN' || before?.tag === 'PROPN' || before?.tag === 'PRON') &&
      /^(?:ADP|ADV|DET|PRON|PART|SCONJ)$/.test(tagged[at + 1].tag)
    );
  });
}
