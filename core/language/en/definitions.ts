import type { DefinitionFacts, Range, TaggedWord } from '../pack';
import { anyOf } from '../phrases';

const PATTERN =
  /^(?:(an?|any|the)\s+)?((?:["“‘'][^"”’']{2,60}["”’'])|(?:[\p{L}\p{N}][\p{L}\p{N}/'’.+-]*(?:\s+[\p{L}\p{N}(][\p{L}\p{N}/'’.+)-]*){0,4}))\s+(is|are|means|refers to|is defined as|stands for|denotes)\s+((?:(an?|any|the|one|all|every)\s+)?.+)$/iu;
const VAGUE_TERMS = anyOf`
  problem | reason | result | idea | goal | aim | purpose | difference | way | thing | example | exception
  advantage | disadvantage | question | answer | point | rule | best | worst | first | second | next | last | only
  most | main | following | other | same | default | here | there | this | that | these | those | it | they | he
  she | we | you | one | what | who | which | how | why | where | when | if | all | each | both | some | many
  more | such | no | none | nothing | everything | something | anything | another | time | today | result | effect
  consequence | alternative | solution | fact | catch | trick | key | secret | choice | intent | intention | case
  part | kind | type | lack | absence | use | number | current | usual | typical | common | easiest | simplest
  new | old | above | below | latter | former | outputs? | inputs? | (?:major|notable|important) exceptions?
`;
const VAGUE = new RegExp(String.raw`^${VAGUE_TERMS}\b`, 'i');
const WEAK_NOUNS = anyOf`
  good | bad | common | useful | important | must | result | lot | few | little | bit | way | matter | problem
  case | number | same | only | best | first | second | third | fourth | fifth | sixth | next | last | one | ones
  most | default | following | exception | shame | nightmare | great | nice | better | easy | simple | example
  concern | question | reason | must-have | trap | talk | waste | pity | pain | start | thing | sign | step
  similar
`;
const WEAK_MEANING = new RegExp(
  String.raw`^(?:an?|the)\s+${WEAK_NOUNS}\b|^(?:an?|the)\s+(?:\S+\s+)?(?:issue|exception|case|topic|list of)\b|^one of the\b`,
  'i',
);

const JUDGING_WORDS = anyOf`
  very | popular | good | great | efficient | elegant | mature | vast | powerful | major | integral | important
  excellent | easy | easily | simple | interesting | useful | well-known | famous | pragmatic | relatively | quite
  rather | particularly | exceedingly | advances? | foundation | part | solution | choice | project | violation
  complement | acronym | abbreviation | ability | alternative | attempt | way | means | entry point | sign
  effect | thing | integral
`;
/** Says what is thought of a thing, or what it does for a matter at hand, rather than what it is. */
const ESTIMATES = new RegExp(String.raw`^(?:\S+\s+){0,4}?${JUDGING_WORDS}\b`, 'i');
/** What makes the thing out among its kind. */
const DIFFERENCE =
  /\s(?:that|which|who|whose|whom|where|when|in which|at which|for|of|with|without|between|by|on|from|used|made|called|given|kept|written|containing|[\p{L}]{3,}(?:ing|ed))\s/u;

/**
 * A definition "A term is a …": article or plural form, a noun phrase of at most five words, and a meaning that
 * names a kind. Not for sentences with words of obligation.
 */
export function definitionOf(sentence: string, tags: readonly TaggedWord[]): DefinitionFacts | undefined {
  if (/\?["'”’)]*$/.test(sentence)) return undefined;
  const match = PATTERN.exec(sentence);
  if (!match) return undefined;
  const [, article, term, verb, meaning, meaningArticle] = match;
  const linking = /^(?:is|are)$/i.test(verb);
  // "means" leaves no doubt: "Bather load means the number of people in one pool".
  if (
    VAGUE.test(term) ||
    (linking && WEAK_MEANING.test(meaning)) ||
    /\b(?:is|are|was|were|of the|who|which|that)\b/i.test(term)
  )
    return undefined;
  // "Combined chlorine is chlorine that …": the kind is named by the term's own noun.
  const [kind, next = ''] = meaning.toLowerCase().split(/\s+/);
  const ownKind = kind === term.toLowerCase().split(/\s+/).at(-1) && /^(?:that|which)$/.test(next);
  if (linking && !meaningArticle && !ownKind) return undefined;
  if (
    linking &&
    /^the$/i.test(article ?? '') &&
    !/^(?:the|an?)\s+(?:[\p{L}-]+\s+){1,5}(?:that|which|who|where|whose|of|for|in|at|to)\b/iu.test(meaning)
  )
    return undefined;
  const from = sentence.indexOf(term, article ? article.length : 0);
  const inside = tags.filter(
    (tag) => tag.from >= from && tag.to <= from + term.length && /[\p{L}\p{N}]/u.test(tag.text),
  );
  const last = inside[inside.length - 1];
  // An article vouches for a noun where the tagger is unsure ("a near miss").
  const vouched =
    /^(?:an?|any)$/i.test(article ?? '') && !inside.some((tag) => tag.tag === 'PRON' || tag.tag === 'AUX');
  if (
    !last ||
    (!vouched &&
      (!['NOUN', 'PROPN'].includes(last.tag) ||
        inside.some(
          (tag) =>
            ['VERB', 'AUX', 'ADV', 'PRON'].includes(tag.tag) && tag !== last && !(ownKind && PARTICIPLE.test(tag.text)),
        )))
  )
    return undefined;
  // Without an article a single lower-case word would be a plural or a substance; a name in capitals is one too.
  if (!article && !/^["“‘']/.test(term) && !/s$|^\p{Lu}/u.test(term) && linking) return undefined;
  const at = sentence.length - meaning.length;
  const to = at + meaning.replace(/[.!]["'”’)]*$/, '').length;
  const words = meaning.split(/\s+/).length;
  return words >= 4 && words <= 40
    ? {
        term: { from, to: from + term.length },
        meaning: { from: at, to },
        plural: /^are$/i.test(verb),
        proper: isProper(term, meaning, /^are$/i.test(verb)),
      }
    : undefined;
}

/** Of a kind, and told from others of it; of a word, not of a thing at hand ("among the features"). */
function isProper(term: string, meaning: string, plural: boolean): boolean {
  return (
    !plural &&
    !ESTIMATES.test(meaning) &&
    DIFFERENCE.test(meaning) &&
    !/^(?:among|some|each|every|all|both|another|other|good|my|our)\b|\.\./i.test(term)
  );
}

/** A name that its author sets apart may have more to it ("the **owner** of a ticket"). */
const LONGEST_MARKED = 7;
const OF_THE_TERM =
  /^(?:this|these|it|they)\b(?:\s+\S+){0,3}?\s+(?:is|are|means?|refers?|stands?|denotes?|names?|identif(?:y|ies)|describes?|lists?|contains?|holds?|tells?|says?|gives?)\b/i;
const PARTICIPLE =
  /(?:ed|en|ing|wn)$|^(?:found|made|held|kept|left|lent|sold|built|sent|paid|set|put|cut|bought|brought|worn|taught|meant|hung|bound|lit)$/i;
const RELATIVE = /^(?:that|which|who|whom|whose|where|when|what|how)$/i;

/**
 * Whether the words that a document puts beside a term say what it means: a noun phrase ("A file that …"), or a
 * sentence about it ("This is …"). Entries of a list of changes or states ("Rejected by a delegate", "Perl now looks in
 * …") say something else. `tags`: the parts of speech of `meaning`.
 */
export function tellsMeaning(term: string, meaning: string, tags: readonly TaggedWord[]): boolean {
  if (OF_THE_TERM.test(meaning) || meaning.toLowerCase().startsWith(`${term.toLowerCase()} is `)) return true;
  if (
    /^(?:new|see|not|when|since|if|for|as|while|among)\b/i.test(meaning) ||
    tags[0]?.tag === 'VERB' ||
    statesDuty(tags)
  )
    return false;
  for (const [at, { text, tag }] of tags.entries()) {
    if (at > 0 && (RELATIVE.test(text) || isReduced(tags, at))) return true;
    // "specified by ANSI", "used for lifting": still the noun phrase.
    if (tag === 'VERB' && PARTICIPLE.test(text) && at > 0 && tags[at - 1].tag !== 'AUX') return true;
    if (tag === 'AUX' || tag === 'VERB') return false;
  }
  return true;
}

/** An obligation of its own, not one that tells the thing apart ("the money that a borrower must leave with us"). */
function statesDuty(tags: readonly TaggedWord[]): boolean {
  const at = tags.findIndex(({ text }) => /^(?:must|should|shall|may|cannot|will)$/i.test(text));
  if (at < 0) return false;
  const apart = tags.slice(0, at).findLastIndex(({ text }) => RELATIVE.test(text));
  return apart < 0
    ? !tags.slice(0, at).some((_, place) => isReduced(tags, place))
    : tags.slice(apart, at).some(({ tag }) => tag === 'VERB' || tag === 'AUX');
}

/** "the money (that) a borrower leaves with us": a clause without its pronoun begins here. */
function isReduced(tags: readonly TaggedWord[], at: number): boolean {
  return at > 0 && /^(?:DET|PRON)$/.test(tags[at].tag) && /^(?:NOUN|PROPN)$/.test(tags[at - 1].tag);
}

/**
 * What a sentence among definitions is worded to define: a name of a few nouns, "is" or "are", and a kind with its
 * article ("The duty lead is the person …"). Where its author sets the name apart (`marked`), "means that" and a
 * number do, too ("A **ticket** is one problem …").
 */
export function definesAlike(
  sentence: string,
  tags: readonly TaggedWord[],
  marked?: Range,
): DefinitionFacts | undefined {
  const at = tags.findIndex(({ text }) => (marked ? /^(?:is|are|means?)$/i : /^(?:is|are)$/i).test(text));
  const [first] = tags;
  const article = first?.tag === 'DET' && /^(?:an?|the)$/i.test(first.text);
  const name = tags.slice(article ? 1 : 0, Math.max(0, at));
  const says = tags[at + 1];
  if (at < 1 || name.length === 0 || !says) return undefined;
  const term = { from: name[0].from, to: name.at(-1)!.to };
  const isName = marked
    ? marked.from === term.from && marked.to <= term.to && name.length <= LONGEST_MARKED
    : name.length <= 4 && name.every(({ tag }) => tag === 'NOUN' || tag === 'PROPN' || tag === 'ADJ');
  if (!isName || VAGUE.test(sentence.slice(term.from, term.to))) return undefined;
  const means = /^means?$/i.test(tags[at].text);
  const kind = means && /^that$/i.test(says.text) ? tags[at + 2] : says;
  if (
    !kind ||
    !(means || (marked ? /^(?:an?|the|any|every|one|two|three)$/i : /^(?:an?|the|any|every)$/i).test(kind.text))
  )
    return undefined;
  return { term, meaning: { from: kind.from, to: sentence.length }, plural: false, proper: true };
}
