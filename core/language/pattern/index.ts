import type { DefinitionFacts, LanguagePack, Leaning, Quantity, Range, RuleFacts, SentenceFacts } from '../pack';
import { plainPack } from '../plain';
import { isFirstPerson } from '../speaker';
import { noiseFor, opensExceptionIn } from './noise';
import type { PatternRules } from './rules';

const LONGEST_SUBJECT = 12;
/** In characters. */
const LONGEST_UNIT = 24;
const BESIDE = 28;
const NUMBER = '\\d{1,3}(?:[. \\u00a0\\u202f]\\d{3})+(?:,\\d+)?|\\d+(?:[.,]\\d+)?';

/**
 * A pack by patterns: what a sentence claims is told by words of obligation, condition, definition and measure, without
 * parts of speech. Its sentences are not taken apart for lessons (`understands` is false), nor asked about.
 */
export function patternPack(language: string, given: PatternRules): LanguagePack {
  const rules = withLetters(given);
  const numbers = numberFinder(rules);
  return {
    ...plainPack(language),
    facts: (sentence) => factsOf(sentence, rules, numbers),
    numbers: (sentence) => numbers(sentence).map(({ value, number }) => ({ value, ...number })),
    stance: (sentence) => rules.stances.find(([pattern]) => pattern.test(sentence))?.[1],
    isReader: (subject) => rules.reader.test(subject),
    bounds: new RegExp(`${rules.limit.source}|${rules.stanceWords.source}`, 'iu'),
    leadIns: { ...rules.leadIns, lowersItems: rules.lowersItems },
    noise: noiseFor(language),
    opensException: opensExceptionIn,
  };
}

/** A border of a word in any script: the platform's own knows English letters only. */
const BORDER = '(?:(?<![\\p{L}\\p{N}])(?=[\\p{L}\\p{N}])|(?<=[\\p{L}\\p{N}])(?![\\p{L}\\p{N}]))';

/** The rules with their borders of words meaning every letter. */
function withLetters<T>(value: T): T {
  if (value instanceof RegExp)
    return new RegExp(
      value.source.replaceAll('\\b', BORDER),
      value.flags.includes('u') ? value.flags : `${value.flags}u`,
    ) as T;
  if (Array.isArray(value)) return value.map(withLetters) as T;
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, withLetters(each)])) as T;
  return value;
}

function factsOf(sentence: string, rules: PatternRules, numbers: (sentence: string) => Figure[]): SentenceFacts {
  const words = sentence.split(/\s+/).filter((word) => /[\p{L}\p{N}]/u.test(word)).length;
  const order = orderOf(sentence, rules);
  const leaning = leaningOf(sentence, words, rules);
  const rule = ruleOf(sentence, rules);
  const definition = rule ? undefined : definitionOf(sentence, rules);
  const quantities = quantitiesOf(sentence, numbers(sentence), rules);
  return {
    words,
    ...(leaning && { leaning }),
    pointsWithin: rules.pointsWithin.test(sentence.replace(/^\S+\s/, '')),
    ...(rule && { rule }),
    ...(definition && { definition }),
    quantities,
    limits: quantities.some(
      ({ from }) =>
        rule !== undefined ||
        rules.limit.test(sentence.slice(Math.max(0, from - BESIDE), from)) ||
        rules.limitAnywhere.test(sentence),
    ),
    warning: rules.warning.test(sentence),
    reason: rules.reason.test(sentence),
    example: rules.example.test(sentence),
    tip: rules.tip.test(sentence),
    comparison: rules.comparison.test(sentence),
    role: rules.role.test(sentence) && rules.persons.test(sentence),
    firstPerson: isFirstPerson(sentence, rules.firstPerson),
    imperative: order !== undefined,
  };
}

function leaningOf(sentence: string, words: number, rules: PatternRules): Leaning | undefined {
  const bare = sentence.replace(/^["'“„‘«»(¿¡[\s]+/, '');
  if (rules.aboutDocument.test(sentence)) return 'about-document';
  if (rules.elsewhere.test(sentence)) return 'points-elsewhere';
  if (rules.joinsOn.test(bare)) return 'joins-on';
  if (rules.pointsBack.test(bare)) return 'points-back';
  if (words < 4) return 'too-short';
  if (words > 48) return 'too-long';
  return /[.!?…]["'”“»)\]]*$/.test(sentence) && /^["'“„«(¿¡[]*[\p{Lu}\p{N}]/u.test(sentence)
    ? undefined
    : 'not-a-sentence';
}

const PLEASE = /^(?:por favor|s['’]il vous plaît),?\s+/iu;

/** The clause that tells the reader to act, as a place; behind a leading condition too. */
function orderOf(sentence: string, rules: PatternRules): { from: number; negative: boolean } | undefined {
  const main = leadingCondition(sentence, rules)?.rest ?? 0;
  const start = main + (PLEASE.exec(sentence.slice(main))?.[0].length ?? 0);
  const clause = sentence.slice(start);
  // Behind a condition the clause begins small; otherwise what begins small is no sentence.
  const capital = start > 0 ? clause.charAt(0).toUpperCase() + clause.slice(1) : clause;
  if (rules.orderNot.test(capital)) return { from: start, negative: true };
  return rules.order.test(capital)
    ? { from: start, negative: rules.orderTurned?.test(clause.split(',')[0]) ?? false }
    : undefined;
}

/** The rule a sentence states; undefined when it states none that these patterns can take apart. */
function ruleOf(sentence: string, rules: PatternRules): RuleFacts | undefined {
  if (/[?:]["'”“»)]*$/.test(sentence)) return undefined;
  const leading = leadingCondition(sentence, rules);
  const start = leading?.rest ?? 0;
  const order = orderOf(sentence, rules);
  if (order)
    return {
      strength: 'must',
      negative: order.negative,
      person: true,
      ...actionFrom(sentence, order.from, leading, rules),
    };
  for (const { pattern, strength: said, negative = false, impersonal = false } of rules.modals) {
    const match = pattern.exec(sentence.slice(start));
    if (!match) continue;
    const at = start + match.index + (/^\s/.test(match[0]) ? 1 : 0);
    const to = start + match.index + match[0].length;
    const behind = /^\s*/.exec(sentence.slice(to))![0].length;
    const turned = negative ? undefined : rules.negated.pattern.exec(sentence.slice(to + behind));
    const strength = turned ? rules.negated.for[said] : said;
    if (!strength) return undefined;
    let from = to + behind;
    const actor = actorOf(sentence, { start, at, behind: from }, leading, rules);
    if (actor === undefined && !impersonal) return undefined;
    const { subject, condition } = actor ?? {};
    if (subject && subject.from >= from) from = subject.to + /^\s*/.exec(sentence.slice(subject.to))![0].length;
    const name = subject ? sentence.slice(subject.from, subject.to) : '';
    const person = (impersonal && !subject) || rules.persons.test(name) || rules.nobody.pattern.test(name);
    const when = actor ? condition : leading;
    const parts = {
      ...(subject && { subject }),
      person,
      modal: { from: at, to },
      ...actionFrom(sentence, from, when, rules),
    };
    if (rules.nobody.pattern.test(name)) {
      const nobodys = negative || turned ? undefined : rules.nobody.for[said];
      return nobodys && { strength: nobodys, negative: true, ...parts };
    }
    if (said === 'may' && !turned && !negative && rules.only?.test(sentence.slice(to + behind)))
      return { strength: 'must', negative: false, ...parts };
    // "This can be …" states a fact: only persons are permitted.
    if (strength === 'may' && !(subject && rules.persons.test(name))) return undefined;
    return { strength, negative: negative || (turned !== null && turned !== undefined), ...parts };
  }
  return undefined;
}

type Opening = { from: number; to: number; word: string };

/**
 * Who a modal is for, and when: in front of it, a clause in that place, or behind it where something else stands in
 * front. Undefined where nobody can be made out. `behind`: where the words after the modal begin.
 */
function actorOf(
  sentence: string,
  { start, at, behind }: { start: number; at: number; behind: number },
  leading: Opening | undefined,
  rules: PatternRules,
): { subject?: Range; condition?: Opening } | undefined {
  const when = leading && { condition: leading };
  if (leading && rules.whoever?.test(sentence)) return { subject: { from: leading.from, to: leading.to } };
  const subject = subjectBefore(sentence, start, at, rules);
  if (subject) return { subject, ...when };
  const phrase = sentence.slice(start, at).trimEnd();
  const isFronted =
    phrase !== '' &&
    !/[,;:?]/.test(phrase) &&
    phrase.split(/\s+/).length <= LONGEST_SUBJECT &&
    rules.fronted?.test(phrase);
  if (!rules.inverted || !((leading && phrase === '') || isFronted)) return undefined;
  const after = rules.inverted.exec(sentence.slice(behind));
  const condition = leading ?? { from: start, to: start + phrase.length, word: phrase.split(/\s+/)[0].toLowerCase() };
  return { ...(after && { subject: { from: behind, to: behind + after[0].length } }), condition };
}

function subjectBefore(sentence: string, start: number, at: number, rules: PatternRules): Range | undefined {
  const phrase = sentence.slice(start, at).trimEnd();
  const count = phrase.split(/\s+/).filter(Boolean).length;
  if (
    count === 0 ||
    count > LONGEST_SUBJECT ||
    /[;:?]/.test(phrase) ||
    (phrase.match(/,/g)?.length ?? 0) % 2 === 1 ||
    rules.noSubject.test(phrase)
  )
    return undefined;
  return { from: start, to: start + phrase.length };
}

/** From a place to the end of the clause, without a condition that follows it. */
function actionFrom(
  sentence: string,
  from: number,
  leading: Opening | undefined,
  rules: PatternRules,
): Pick<RuleFacts, 'action' | 'condition'> {
  from += /^[,\s]*/.exec(sentence.slice(from))![0].length;
  const rest = sentence.slice(from);
  const cut = rules.actionEnd.exec(rest);
  let to = from + (cut ? cut.index : rest.replace(/[.!]+["'”“»)]*$/, '').length);
  if (leading)
    return {
      action: { from, to },
      condition: { from: leading.from, to: leading.to, word: leading.word, leading: true },
    };
  const trailing = new RegExp(`,?\\s+(${rules.conditions.source.replace(/^\^/, '')})`, 'iu').exec(
    sentence.slice(from, to),
  );
  if (!trailing) return { action: { from, to } };
  const begin = from + trailing.index + /^,?\s+/.exec(trailing[0])![0].length;
  const condition = { from: begin, to, word: trailing[1].trim().toLowerCase(), leading: false };
  to = from + trailing.index;
  return { action: { from, to }, condition };
}

/** A condition at the beginning of a sentence, up to the comma behind it; `rest`: where the main clause begins. */
function leadingCondition(sentence: string, rules: PatternRules): (Opening & { rest: number }) | undefined {
  const subordinate = new RegExp(rules.conditions.source, 'iu').exec(sentence);
  const opening =
    subordinate ??
    (rules.joinsOn.test(sentence)
      ? null
      : (rules.circumstance.exec(sentence) ?? rules.whoever?.exec(sentence) ?? null));
  if (!opening || opening.index > 0) return undefined;
  // The last comma before a modal or an order ends it: a list may stand within.
  const commas = [...sentence.matchAll(/,\s+(?:dann\s+|so\s+|alors\s+|entonces\s+)?/g)].filter(
    (comma) => comma.index > opening[0].length + 2,
  );
  const end =
    commas.find((comma) => {
      const clause = sentence.slice(comma.index + comma[0].length);
      const capital = clause.charAt(0).toUpperCase() + clause.slice(1);
      return (
        rules.order.test(capital) ||
        rules.orderNot.test(capital) ||
        rules.modals.some(({ pattern }) => {
          const found = pattern.exec(` ${clause}`);
          return found !== null && !/,/.test(clause.slice(0, found.index));
        })
      );
    }) ?? (subordinate ? commas[0] : undefined);
  return end && { from: 0, to: end.index, word: opening[0].trim().toLowerCase(), rest: end.index + end[0].length };
}

function definitionOf(sentence: string, rules: PatternRules): DefinitionFacts | undefined {
  if (/\?["'”“»)]*$/.test(sentence)) return undefined;
  const match = rules.definition.exec(sentence);
  if (!match?.groups) return undefined;
  const { term, meaning } = match.groups;
  const words = meaning.split(/\s+/).length;
  if (rules.vague.test(term) || term.split(/\s+/).length > 5 || words < 4 || words > 40) return undefined;
  const from = sentence.indexOf(term);
  const at = sentence.lastIndexOf(meaning);
  return {
    term: { from, to: from + term.length },
    meaning: { from: at, to: at + meaning.replace(/[.!]["'”“»)]*$/, '').length },
    plural: false,
    proper: true,
  };
}

interface Figure {
  value: number;
  number: Range;
  worded: boolean;
  currency: boolean;
}

/** Finds numbers in digits and words, with the language's commas. */
function numberFinder({ numberWords }: PatternRules): (sentence: string) => Figure[] {
  const words = Object.keys(numberWords)
    .sort((a, b) => b.length - a.length)
    .join('|');
  const pattern = new RegExp(`(?<![\\p{L}\\p{N}.,])([€$£]\\s?)?(?:(${NUMBER})|(${words})(?![\\p{L}]))`, 'giu');
  return (sentence) =>
    [...sentence.matchAll(pattern)].flatMap((match): Figure[] => {
      const [whole, currency, digits, word] = match;
      const value = word
        ? numberWords[word.toLowerCase()]
        : Number(digits.replace(/[. \u00a0\u202f](?=\d{3}(?:\D|$))/g, '').replace(',', '.'));
      const from = match.index + (currency?.length ?? 0);
      return Number.isFinite(value)
        ? [
            {
              value,
              number: { from, to: match.index + whole.length },
              worded: word !== undefined,
              currency: currency !== undefined,
            },
          ]
        : [];
    });
}

function quantitiesOf(sentence: string, figures: readonly Figure[], rules: PatternRules): Quantity[] {
  return figures.flatMap(({ value, number, worded, currency }): Quantity[] => {
    const behind = sentence.slice(number.to);
    const gap = /^[\s\u00a0\u202f-]*/.exec(behind)![0].length;
    const word = behind.slice(gap, gap + LONGEST_UNIT);
    const unit = rules.units.find(([pattern]) => pattern.test(word));
    if (currency && !unit)
      return [{ from: number.from - 1, to: number.to, value, unit: 'EUR', dimension: 'EUR', number, worded }];
    if (!unit) return [];
    return [
      {
        from: number.from,
        to: number.to + gap + unit[0].exec(word)![0].length,
        value,
        unit: unit[1],
        dimension: unit[2],
        number,
        worded,
      },
    ];
  });
}
