import type { ObjectiveWording, ObjectiveWords } from '../pack';
import { comparesWithNothing } from './leaning';
import type { WordList } from './lexicon';
import { anyOf } from '../phrases';

const POINTS_ELSEWHERE = /\b(?:this|that|these|those|it|they|them|following|above|below)\b/i;

/**
 * "To claim your expenses, follow these steps:", "Reset the room in this order:", "Before the first load:" -> what is
 * carried out.
 */
function fromStepsLeadIn(words: WordList, leadIn: string): ObjectiveWords | undefined {
  const ordered =
    /^([A-Z][a-z]+) ([^,:]{4,70}?),? (?:in (?:this|the following) order|as follows|like this|in (?:these|the following) (?:\w+ )?steps|step by step):$/.exec(
      leadIn,
    );
  if (ordered && words.isVerb(ordered[1].toLowerCase()) && !POINTS_ELSEWHERE.test(ordered[2]))
    return {
      verb: 'carry-out',
      level: 'apply',
      object: `${lower(ordered[1])} ${ordered[2]}`,
      text: `${ordered[1]} ${ordered[2]}, step by step`,
    };
  const placed = /^(before|after|at|on|in|during|while|once) ([^,:]{4,80})(?:,\s.*)?:$/i.exec(leadIn);
  if (placed && !POINTS_ELSEWHERE.test(placed[2]))
    return {
      verb: 'carry-out',
      level: 'apply',
      object: 'the steps',
      condition: `${placed[1].toLowerCase()} ${placed[2]}`,
      text: `Carry out the steps ${placed[1].toLowerCase()} ${placed[2]}`,
    };
  const match =
    /^(?:in order )?to ([a-z][^,:]{6,80}?)(?:,\s+.*)?:$/i.exec(leadIn) ??
    /^(?:if|when) (?:you (?:want|need|have) to) ([a-z][^,:]{6,80}?),.*:$/i.exec(leadIn);
  const when = match
    ? null
    : /^(?:if|when) ([a-z][^,:]{6,80}?),\s+(?:follow|do|take|go through|carry out)\b.*:$/i.exec(leadIn);
  if (when && !POINTS_ELSEWHERE.test(when[1]) && !/\byou (?:want|need)\b/i.test(when[1]))
    return {
      verb: 'carry-out',
      level: 'apply',
      object: 'the steps',
      condition: `when ${lower(when[1])}`,
      text: `Carry out the steps when ${lower(when[1])}`,
    };
  if (!match || POINTS_ELSEWHERE.test(match[1])) return undefined;
  return { verb: 'carry-out', level: 'apply', object: match[1], text: `${upper(match[1])}, step by step` };
}

const DETERMINER = /^(?:the|an?|your|our|all|any|every|each|no)$/i;

/** A title that asks: whoever reads the lesson can answer it. */
const QUESTION =
  /^(?:how|what|why|who|whom|whose|where|which|when|can|could|may|must|should|will|do|does|did|is|are|has|have|am)\b.{6,90}\?$/i;

const BARE_TOPICS = anyOf`
  general | main | other | miscellaneous | responsibilities | records | definitions | terms | words | introduction
  overview | background | purpose | scope | summary | conclusion | basics | notes? | examples? | details
  step by step | why it matters | words to know | which one when | whom it helps | keeping it up
  what to look out for | stories from work | rules of thumb
`;
const EMPTY_TITLES = anyOf`
  \bask(?:s|ed)?$ | ^(?:(?:common|frequent(?:ly asked)?|other|further|your) )?questions\b
  ^${BARE_TOPICS}\b(?: (?:and|used|of|to) .*)?$
  \b(?:this|these|here|faq|document|manual|guide|handbook|policy)\b
`;
/** Titles that name no matter: of every document, or about the document itself. */
const SAYS_NOTHING = new RegExp(EMPTY_TITLES, 'i');

/** Ends the name of a thing, not an order: "Upgrade procedure", "Build dependencies". */
const NAMED =
  /\b(?:procedures?|process(?:es)?|routines?|polic(?:y|ies)|rules?|plans?|schedules?|lists?|forms?|times?|hours?|requirements?|instructions?|options?|dependencies|settings?)$/i;

/** One thing, of which one says "the". */
const ONE = /(?:procedure|process|routine|policy|plan|schedule|list|form)$/i;

const POINTING_WORDS = anyOf`
  this | that | these | those | it | its | they | them | their | such | following | above | below | here | there
  he | she | him | his | another | also | instead | both | sure | aware | do so | what | which
`;
const LEANS = new RegExp(
  String.raw`\b${POINTING_WORDS}\b|[:;(“"]|\b(?:of|to|the|an?|with|for|and|or|in|on|at|by|be)$`,
  'i',
);
const NO_ACTIONS = anyOf`
  be | have | not | always | only | never | already | note | remember | try | feel | know | consider | let
  keep in mind | live | belong | own | last | cost | weigh | mean | depend | contain | consist | apply | expect
  agree | stand | come | go | stay | wait
`;
const NO_ACTION = new RegExp(String.raw`^${NO_ACTIONS}\b`, 'i');

/** An order to the reader, or what "you" must do -> the same as something done. */
function fromRule(action: string, condition: string | undefined): ObjectiveWords | undefined {
  const bare = action.replace(/[.,;:\s]+$/, '');
  const count = bare.split(/\s+/).length;
  const open = LEANS;
  // What is shouted is not worded as an objective.
  if (
    bare === bare.toUpperCase() ||
    count < 3 ||
    count > 15 ||
    open.test(bare) ||
    !/^[a-z]/i.test(bare) ||
    NO_ACTION.test(bare)
  )
    return undefined;
  const when = condition === undefined ? undefined : fromCondition(condition)?.condition;
  if (condition !== undefined && when === undefined) return undefined;
  return {
    verb: 'carry-out',
    level: 'apply',
    object: lower(bare),
    ...(when && { condition: when }),
    text: `${upper(bare)}${when ? ` ${when}` : ''}`,
  };
}

/** What a learner does with the matter under a title, worded by the kind of title. */
function fromTitle(
  words: WordList,
  isClause: (title: string) => boolean,
  title: string,
  kind: 'steps' | 'rules' | 'definitions' | 'figures' | 'other',
): ObjectiveWords | undefined {
  const bare = inSentenceCase(title.replace(/[?.!]+$/, ''), words);
  const own = ownQuestion(title, words);
  if (own && kind !== 'steps') return own;
  // What is put to somebody who tells, or breaks off, names nothing to learn.
  if (/\b(?:me|my|I|you)\b/i.test(title) || /^(?:how|what|which) \w+\?$/i.test(title)) return undefined;
  const asked = kind === 'steps' ? /^what are the steps (?:of|for|to|in) ([^,?]{4,70})/i.exec(title) : null;
  if (asked) return { verb: 'carry-out', level: 'apply', object: asked[1], text: `Carry out the steps of ${asked[1]}` };
  if (kind !== 'steps' && QUESTION.test(title))
    return { verb: 'explain', level: 'recall', object: title, text: `Answer “${title.trim()}”` };
  const question = /\?$/.test(title);
  // "Set a root password" is an objective as it stands.
  const [first, next = ''] = bare.toLowerCase().split(' ');
  const isName = words.isNoun(first) && !DETERMINER.test(next) && NAMED.test(bare);
  const done = kind === 'definitions' || isName ? undefined : asOrder(bare, words);
  if (done && !/[?:]/.test(title)) return { verb: 'carry-out', level: 'apply', object: lower(done), text: done };
  if (
    !isName &&
    words.isVerb(first) &&
    next !== 'of' &&
    !/^\p{Lu}{2}/u.test(bare) &&
    (!words.isAdjective(first) || DETERMINER.test(next)) &&
    (words.isMostlyVerb(first) || !words.isNoun(first) || DETERMINER.test(next)) &&
    !/(?:ing|ed)$/.test(first) &&
    !/[?:]/.test(title) &&
    bare.includes(' ') &&
    kind !== 'definitions'
  ) {
    // "File system structure": an order to do something to one thing would say which; the word may as well be a noun.
    if (
      words.isNoun(first) &&
      !DETERMINER.test(next) &&
      !/(?:s|ing|ly|in|out|up|off|away|back)$/i.test(bare) &&
      words.isNoun(bare.toLowerCase().split(' ').at(-1)!) &&
      bare.split(' ').length > 2
    )
      return undefined;
    return { verb: 'carry-out', level: 'apply', object: lower(bare), text: bare };
  }
  if (SAYS_NOTHING.test(bare)) return undefined;
  if (/^(?:how|what|why|where|which)\b/i.test(bare) && !question)
    return { verb: 'explain', level: 'recall', object: lowerAsking(bare), text: `Explain ${lowerAsking(bare)}` };
  if (/^who\b/i.test(bare) && !question)
    return { verb: 'state', level: 'recall', object: lower(bare), text: `State ${lower(bare)}` };
  if (/^(?:when|if|before|after|during|while|in|at|on|once)\b/i.test(bare) && kind === 'steps') {
    return { verb: 'carry-out', level: 'apply', object: lower(bare), text: `Carry out the steps ${lower(bare)}` };
  }
  if (/^(?:before|after|during|while|in|at|on|once)\b/i.test(bare) && kind === 'rules') {
    return { verb: 'apply', level: 'apply', object: lower(bare), text: `Apply the rules that hold ${lower(bare)}` };
  }
  if (/^(?:when|if|once)\b/i.test(bare)) return fromCondition(bare);
  // "A resident wants a refund": a case, with what is to be done in it.
  if (kind === 'rules' && /^(?:an?|the|somebody|someone|nobody)\b/i.test(bare) && isClause(bare))
    return fromCondition(bare);
  if (!isNounPhrase(bare) || SAYS_NOTHING.test(bare)) return undefined;
  switch (kind) {
    case 'steps':
      if (isName && ONE.test(bare))
        return {
          verb: 'carry-out',
          level: 'apply',
          object: `the ${lower(bare)}`,
          text: `Carry out the ${lower(bare)}`,
        };
      return {
        verb: 'carry-out',
        level: 'apply',
        object: lower(bare),
        text: /^[a-z]+ing\s/i.test(bare)
          ? `Carry out the steps of ${lower(bare)}`
          : `Carry out the steps for ${lower(bare)}`,
      };
    case 'rules':
      return {
        verb: 'apply',
        level: 'apply',
        object: lower(bare),
        text: `Apply the rules for ${isName && ONE.test(bare) ? 'the ' : ''}${lower(bare)}`,
      };
    case 'figures':
      return {
        verb: 'state',
        level: 'recall',
        object: lower(bare),
        text: `State the limits and figures for ${lower(bare)}`,
      };
    default:
      return undefined;
  }
}

const TROUBLE_WORDS = anyOf`
  not | never | no | nothing | nobody | cannot | can['’]t | \w+n['’]t | but | error | errors | fault | fail\w* | wrong
  broken | lost | stolen | missing | stuck | damaged | late | refus\w* | unable | too
`;
/**
 * What somebody tells is a trouble, and no story, by what it denies or by the case it names and what happens then:
 * "When I scan, it beeps". ("When we're here" is no case.)
 */
const TELLS_TROUBLE = new RegExp(
  String.raw`^(?:when|if|after|every time|whenever) [^,]+, \S|\b${TROUBLE_WORDS}\b`,
  'i',
);
/** A trouble that breaks off before what is shown below it: "I get the following error". */
const BREAKS_OFF = /\b(?:get|gives?|says?|see|shows?|following|error|message)\W*$/i;

/**
 * What somebody with a question or a trouble says of themselves: "How can I change a PIN?" is something to do, any
 * other question of theirs is to be answered, and "My card does not open the gate" put right.
 */
function ownQuestion(title: string, words: WordList): ObjectiveWords | undefined {
  if (!/\b(?:I|[Mm]y|[Ww]e|[Oo]ur)\b/.test(title) || /\b(?:you|your)\b|^tell me\b|[“”]/i.test(title)) return undefined;
  const said = title.trim();
  const how = /^how (?:can|do|should|may|could|must) (?:I|we) (\S+ .{3,80}?)\?$/i.exec(said);
  if (how && words.isVerb(/^\S+/.exec(how[1])![0]) && !LEANS.test(how[1]) && !/\b(?:me|my|I|we|our)\b/.test(how[1]))
    return { verb: 'carry-out', level: 'apply', object: how[1], text: upper(how[1]) };
  if (QUESTION.test(said)) return { verb: 'explain', level: 'recall', object: said, text: `Answer “${said}”` };
  const wish = /^I (?:want|need|wish|would like|['’]d like) to (\S+ .{3,80})$/.exec(said);
  if (wish && words.isVerb(/^\S+/.exec(wish[1])![0]) && !LEANS.test(wish[1]))
    return { verb: 'carry-out', level: 'apply', object: wish[1], text: upper(wish[1]) };
  if (
    /\?$|^(?:what|how|why|where|who|which)\b/i.test(said) ||
    said.length > 90 ||
    BREAKS_OFF.test(said) ||
    !TELLS_TROUBLE.test(said)
  )
    return undefined;
  return { verb: 'carry-out', level: 'apply', object: said, text: `Put right “${quotedInside(said)}”` };
}

/** Marks of quotation within others. */
const quotedInside = (text: string): string => text.replace(/"([^"]*)"/g, '‘$1’').replace(/[.!]+$/, '');

/** "a journey is delayed …" under "if" -> decide what to do. */
function fromCondition(condition: string): ObjectiveWords | undefined {
  const bare = condition.replace(/^(if|when|whenever|once|in case|where|as soon as)\s+/i, '').replace(/[,\s]+$/, '');
  const words = bare.split(/\s+/).length;
  if (/^(?:before|after|until|while|during|unless|provided)\b/i.test(bare)) return undefined;
  // "you are creative", "you are unsure": no case of the work.
  if (/^you(?: are|['’]re) \S+$/i.test(bare)) return undefined;
  if (
    words < 3 ||
    words > 16 ||
    comparesWithNothing(bare) ||
    /\b(?:here|there(?! (?:is|are|was|were)\b)|this|that|these|those|it|they|them|such|he|she|following|above|below)\b/i.test(
      bare,
    )
  )
    return undefined;
  return {
    verb: 'decide',
    level: 'decide',
    object: 'what to do',
    condition: `when ${lower(bare)}`,
    text: `Decide what to do when ${lower(bare)}`,
  };
}

/** A defined term. */
function fromTerm(words: WordList, term: string, plural: boolean): ObjectiveWords | undefined {
  const single = !term.includes(' ');
  // What begins like a clause names no term.
  if (/^[\d("]/.test(term) || /^(?:since|when|if|for|with|in|on|at|by|as|to|from|because|while)\s/i.test(term))
    return undefined;
  const article =
    plural ||
    /^\p{Lu}/u.test(term) ||
    /s$/.test(term) ||
    (single && (/ed$/.test(term) || words.isAdjective(term.toLowerCase())))
      ? ''
      : /^(?:[aeio]|u(?!n[ai]|s[aeiu]|t[ei]|ri))/i.test(term)
        ? 'an '
        : 'a ';
  const text = article ? `Explain what ${article}${term} is` : `Explain what “${term}” means`;
  return { verb: 'explain', level: 'recall', object: term, text };
}

/**
 * "Handling Problems after an Upgrade" -> "Handling problems after an upgrade"; names, and words the list does not
 * know, stay.
 */
function inSentenceCase(title: string, words: WordList): string {
  const [first, ...rest] = title.split(' ');
  const long = rest.filter((word) => /^\p{L}{4,}/u.test(word));
  if (long.length === 0 || long.filter((word) => /^\p{Lu}/u.test(word)).length < long.length * 0.6) return title;
  const common = (word: string) => /^\p{Lu}\p{Ll}+$/u.test(word) && (words.commonness(word.toLowerCase()) ?? 0) >= 2.5;
  // "Cyrus SASL" is one name.
  const inName = (at: number) => /^\p{Lu}{2}/u.test(rest[at + 1] ?? '');
  return [first, ...rest.map((word, at) => (common(word) && !inName(at) ? word.toLowerCase() : word))].join(' ');
}

/**
 * "Installing the server and making changes" -> "Install the server and make changes"; undefined where the word may be
 * a noun ("Parking permits").
 */
function asOrder(title: string, words: WordList): string | undefined {
  const [first, ...rest] = title.split(' ');
  const verb = /ing$/i.test(first) ? verbOf(first.toLowerCase(), words) : undefined;
  if (!verb || rest.length === 0 || rest[0] === 'of' || rest[0] === 'and') return undefined;
  if (
    (words.isNoun(first.toLowerCase()) || words.isAdjective(first.toLowerCase())) &&
    !/^(?:the|an?|your|our|all|any|each|every|for|up|out|off|with|to)$/i.test(rest[0]) &&
    !isName(rest, words)
  )
    return undefined;
  const said = rest.map((word, at) =>
    /^(?:and|or)$/.test(rest[at - 1] ?? '') && /ing$/.test(word) ? (verbOf(word.toLowerCase(), words) ?? word) : word,
  );
  return upper([verb, ...said].join(' '));
}

/** "SASL", "Dovecot": what stands behind a word in -ing as a name is what it is done to. */
const isName = ([word, next = '']: readonly string[], words: WordList): boolean =>
  /^\p{Lu}{2}/u.test(word) ||
  (/^\p{Lu}\p{Ll}/u.test(word) && (/^\p{Lu}{2}/u.test(next) || (words.commonness(word.toLowerCase()) ?? 0) < 2.5));

/** The verb of a word in -ing: the most common of the forms it may come from. */
function verbOf(gerund: string, words: WordList): string | undefined {
  const stem = gerund.slice(0, -3);
  const doubled = /([bdgklmnprt])\1$/.test(stem) ? [stem.slice(0, -1)] : [];
  return [...doubled, stem, `${stem}e`]
    .filter((form) => words.isVerb(form))
    .sort((a, b) => (words.commonness(b) ?? 0) - (words.commonness(a) ?? 0) || (a < b ? -1 : 1))[0];
}

function isNounPhrase(title: string): boolean {
  return (
    !/["“”]|\b(?:is|are|was|were|has|have|do|does|did|must|should|can|may|will|I|you|we|it)\b/i.test(title) &&
    !/[:;,?!]/.test(title) &&
    title.split(' ').length <= 10
  );
}

function upper(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** "How Postfix checks" -> "how Postfix checks": a word that asks is no part of a name. */
const lowerAsking = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

function lower(text: string): string {
  const first = /^\S+/.exec(text)?.[0] ?? '';
  // "The Filesystem": an article is no name.
  if (/^(?:The|An)$/.test(first)) return text.charAt(0).toLowerCase() + text.slice(1);
  // "Cyrus SASL": a name of several words.
  if (!/ing$/.test(first) && /^\S+\s+\p{Lu}{2}/u.test(text) && first !== 'A') return text;
  if (!/^(?:A|\p{Lu}[\p{Ll}-]+)[,']?$/u.test(first) || /^\S+\s+\p{Lu}\p{Ll}+/u.test(text)) return text;
  return text.charAt(0).toLowerCase() + text.slice(1);
}

/** "Tell apart free chlorine, combined chlorine and bather load". */
function fromTerms(terms: readonly string[]): ObjectiveWords | undefined {
  if (terms.some((term) => /^[\d("]/.test(term))) return undefined;
  const object = listed(terms.map(lower));
  return { verb: 'explain', level: 'recall', object, text: `Tell apart ${object}` };
}

/** So many columns are named in one objective. */
const MOST_COLUMNS = 3;

/**
 * What a table answers, by its last column, and from what, by its first: "Look up the waiting time for each surface".
 */
function fromTable(isThing: (phrase: string) => boolean, header: readonly string[]): ObjectiveWords | undefined {
  // "Free chlorine (mg/l)" is a quantity, and a row one of its levels.
  const measured = /\([^()]*(?:\/|%|°|\d)[^()]*\)| per /.test(header[0] ?? '');
  const bare = header.map((cell) =>
    cell
      .replace(/\s*\([^()]*\)/g, '')
      .replace(/[?:.]+$/, '')
      .trim(),
  );
  const asks = (cell: string) => /^(?:what|who|when|how|where|which) \S/i.test(cell);
  const [first, ...rest] = bare;
  // A column that answers a question is what the table is for; else those that name things.
  const things = rest.filter(
    (cell) =>
      cell.split(' ').length <= 6 &&
      isThing(cell) &&
      !/^\d|[,;/|]|^(?:examples?|notes?|remarks?|comments?)$/i.test(cell),
  );
  const asked = rest.find((cell) => asks(cell) && cell.split(' ').length <= 6);
  if (
    !first ||
    (!asked && (things.length === 0 || things.length > MOST_COLUMNS)) ||
    !isThing(first) ||
    first.split(' ').length > 6 ||
    /^\d|[,;/|]|^(?:if|when|what|who|how|where|no|nr|#)\b/i.test(first)
  )
    return undefined;
  const from = `${measured ? 'level of ' : ''}${lower(first).replace(/^(?:the|an?|your|each)\s+/i, '')}`;
  const object = asked
    ? `${lower(asked)} for each ${from}`
    : `the ${listed(things.map((cell) => lower(cell).replace(/^(?:the|an?)\s+/i, '')))} for each ${from}`;
  return { verb: 'choose', level: 'apply', object, text: asked ? `Tell ${object}` : `Look up ${object}` };
}

/** "Change the paper roll and decide what to do when the reader stays dark" */
function purpose(objectives: readonly string[]): string {
  return objectives.length === 0
    ? ''
    : upper(listed(objectives.map((objective) => lower(objective.replace(/, step by step$/, '')))));
}

function listed(parts: readonly string[]): string {
  return parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;
}

const AUXILIARY = /\b(?:is|are|was|were|has|have|had|does|do|did|can|may|must|will|should)\b/i;

/**
 * Objectives in English; `words` tells verbs from nouns, `isClause` whether a title has a verb of its own, `isThing`
 * whether a phrase names a thing.
 */
export function englishObjectives(
  words: WordList,
  isClause: (title: string) => boolean,
  isThing: (phrase: string) => boolean,
): ObjectiveWording {
  return {
    fromStepsLeadIn: (leadIn) => fromStepsLeadIn(words, leadIn),
    fromTitle: (title, kind) => fromTitle(words, isClause, title, kind),
    // "When posting logs": nobody is named who does, and to decide what to do then says little.
    fromCondition: (condition) =>
      /^(?:if|when|whenever|once|where) (?!\w+thing\b)\p{Ll}+ing\b/iu.test(condition) && !AUXILIARY.test(condition)
        ? undefined
        : fromCondition(condition),
    fromTerm: (term, plural) => fromTerm(words, term, plural),
    fromTerms,
    fromTable: (header) => fromTable(isThing, header),
    fromRule,
    purpose,
  };
}
