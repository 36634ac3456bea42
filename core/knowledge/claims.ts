import { idFrom } from '../document/id';
import type { PassageRange } from '../document/rich-text';
import type { LanguagePack, SentenceFacts, TaggedWord } from '../language/pack';
import type { Passage, Source } from '../source/source';
import type { Claim, ClaimKind } from './claim';
import type { GlossaryEntryFound } from './glossary';
import type { Sentence } from './sentences';
import { anyOf } from '../language/phrases';

/**
 * Everything a source claims: each sentence by what the language pack sees in it, list items together with their
 * lead-in, steps under a steps lead-in, glossary entries. A language that is not understood gives definitions that
 * the document itself marks as such, and nothing else.
 */
export function claimsOf(
  source: Source,
  sentences: ReadonlyMap<string, Sentence[]>,
  entries: ReadonlyMap<string, GlossaryEntryFound>,
  pack: LanguagePack,
): Claim[] {
  const byId = new Map(source.passages.map((passage) => [passage.id, passage]));
  const stepLists = stepListsOf(source, sentences, pack);
  const claims: Claim[] = [];
  const make = (kind: ClaimKind, ranges: PassageRange[], text: string, more: Partial<Claim> = {}) =>
    claims.push({
      id: idFrom('c', source.id, kind, ...ranges.flatMap((range) => [range.id, range.from, range.to])),
      kind,
      sourceId: source.id,
      ranges,
      text,
      ...more,
    });

  for (const passage of source.passages) {
    const entry = entries.get(passage.id);
    if (entry && isDefinition(entry, passage, sentences.get(passage.id) ?? [], pack))
      make('definition', [entry.range], passage.text.slice(entry.range.from, entry.range.to), {
        term: asWord(entry.term, pack),
        meaning: entry.meaning,
        plural: false,
        proper: true,
      });
    const own = sentences.get(passage.id) ?? [];
    if (passage.kind === 'row' || passage.kind === 'code') continue;
    const led = withLeadIn(passage, own, byId, pack);
    if (led) {
      addByFacts(led.facts, led.ranges, led.text, make, pack);
      continue;
    }
    // Figures in what somebody tells of themselves are no figures to know.
    const isTold =
      passage.callout === 'experience' ||
      (own.some((sentence) => sentence.facts?.firstPerson) &&
        (passage.kind === 'utterance' || passage.locator.question !== undefined));
    const isStep = passage.list !== undefined && !passage.list.continued && stepLists.has(passage.list.id);
    own.forEach((sentence, index) => {
      const range = { id: passage.id, from: sentence.from, to: sentence.to };
      if (!sentence.facts || sentence.technical) return;
      if (isStep && index === 0 && sentence.facts.imperative && sentence.facts.rule)
        addStep(sentence.facts, [range], sentence.text, make);
      else
        addByFacts(
          isTold && !sentence.facts.rule ? { ...sentence.facts, limits: false } : sentence.facts,
          [range],
          sentence.text,
          make,
          pack,
          entry !== undefined,
        );
      if (passage.callout === 'warning' && !sentence.facts.warning && index === 0)
        make('warning', [range], sentence.text, leaning(sentence.facts));
      if (passage.callout === 'tip' && index === 0) make('tip', [range], sentence.text, leaning(sentence.facts));
      if (passage.callout === 'experience' && index === 0 && !sentence.facts.example)
        make('example', [range], sentence.text, leaning(sentence.facts));
    });
  }
  return claims;
}

/** What stands beside a term may be a rule on it, or what became of it: no definition. */
function isDefinition(
  { term, meaning, range }: GlossaryEntryFound,
  { kind }: Passage,
  own: readonly Sentence[],
  pack: LanguagePack,
): boolean {
  const sentence = own.find((each) => each.to > range.from);
  if (!sentence || !pack.tellsMeaning) return true;
  const shift = range.from - sentence.from;
  const tags = sentence.tags
    .filter((tag) => tag.from >= shift)
    .map((tag) => ({ ...tag, from: tag.from - shift, to: tag.to - shift }));
  return kind !== 'definition' || pack.tellsMeaning(term, meaning, tags);
}

type Make = (kind: ClaimKind, ranges: PassageRange[], text: string, more?: Partial<Claim>) => void;

/** A step of a procedure, with what it says how much of. */
function addStep(facts: SentenceFacts, ranges: PassageRange[], text: string, make: Make): void {
  make('step', ranges, text, ruleParts(text, facts));
  if (facts.limits) make('figure', ranges, text, { ...figureOf(facts, text), ...leaning(facts) });
}

function addByFacts(
  facts: SentenceFacts,
  ranges: PassageRange[],
  text: string,
  make: Make,
  pack: LanguagePack,
  defined = false,
): void {
  const more = leaning(facts);
  // What only introduces the words behind it says nothing yet.
  if (/[:：]$/.test(text)) return;
  if (facts.rule) make('rule', ranges, text, { ...ruleParts(text, facts), ...more });
  if (facts.definition && !defined) {
    const { term, meaning, plural, proper } = facts.definition;
    make('definition', ranges, text, {
      term: asWord(unquoted(text.slice(term.from, term.to)), pack),
      meaning: text.slice(meaning.from, meaning.to),
      plural,
      proper,
      ...more,
    });
  }
  // What something came to once is no figure to know.
  if (facts.limits && !facts.past) make('figure', ranges, text, { ...figureOf(facts, text), ...more });
  if (facts.warning) make('warning', ranges, text, more);
  if (facts.reason) make('reason', ranges, text, more);
  if (facts.example) make('example', ranges, text, more);
  if (facts.tip) make('tip', ranges, text, more);
  if (facts.comparison) make('comparison', ranges, text, more);
  if (facts.role) make('role', ranges, text, more);
}

/** The first figure of a sentence that has one. */
function figureOf({ quantities: [first] }: SentenceFacts, text: string): Pick<Claim, 'quantity'> {
  const { value, unit, dimension, from, to, worded } = first;
  return { quantity: { value, unit, dimension, text: text.slice(from, to), from, to, worded } };
}

function leaning(facts: SentenceFacts): Pick<Claim, 'leaning'> {
  // What speakers say of themselves is nothing to ask others about.
  const reason =
    facts.leaning ?? (facts.firstPerson ? 'first-person' : facts.pointsWithin ? 'points-within' : undefined);
  return reason ? { leaning: reason } : {};
}

function ruleParts(text: string, { rule, quantities }: SentenceFacts): Pick<Claim, 'rule'> {
  if (!rule) return {};
  const { strength, negative, person, subject, modal, action, condition, exception } = rule;
  const deadline = deadlineOf(
    text,
    quantities.filter((quantity) => quantity.from >= action.from),
  );
  const cut = (range: { from: number; to: number }) => text.slice(range.from, range.to).trim();
  return {
    rule: {
      strength,
      negative,
      person,
      action: cut(action),
      ...(subject && { subject: cut(subject) }),
      ...(modal && { modal: cut(modal) }),
      ...(condition && { condition: { text: cut(condition), word: condition.word, leading: condition.leading } }),
      ...(exception && { exception: cut(exception) }),
      ...(deadline && { deadline }),
    },
  };
}

const DEADLINE_WORDS = anyOf`
  within | by | before | no later than | at the latest | until | in the next | innerhalb(?: von)? | binnen
  spätestens(?: nach| in)? | bis(?: zu)? | dans(?: les| un délai de)? | avant | sous
  au plus tard(?: dans| après)? | en un plazo de | antes de | dentro de | a más tardar(?: en)?
`;
/** Words before a time that make it a deadline, in the languages whose rules are found. */
const BY_WHEN = new RegExp(String.raw`\b${DEADLINE_WORDS}\s+(?:the\s+|die\s+|den\s+|les\s+|los\s+|las\s+)?$`, 'iu');

/** The time a rule names as its limit, with the words that make it one. */
function deadlineOf(text: string, quantities: SentenceFacts['quantities']): string | undefined {
  for (const { from, to, dimension } of quantities) {
    const before = /^(?:time|seconds|minutes|hours|days|weeks|months|years)$/.test(dimension)
      ? BY_WHEN.exec(text.slice(0, from))
      : null;
    if (before) return text.slice(before.index, to);
  }
  return undefined;
}

/**
 * A list item under a lead-in that ends in a word of obligation ("The approver must:") is one claim over both. An
 * item that begins with a verb then makes a whole sentence with it.
 */
function withLeadIn(
  passage: Passage,
  own: readonly Sentence[],
  byId: ReadonlyMap<string, Passage>,
  pack: LanguagePack,
): { facts: SentenceFacts; ranges: PassageRange[]; text: string } | undefined {
  const leadIn = passage.leadIn ? byId.get(passage.leadIn) : undefined;
  if (!leadIn || passage.kind !== 'item' || !pack.facts || !pack.leadIns || own.length === 0) return undefined;
  const lead = pack.sentences(leadIn.text).pop();
  const leadText = lead && leadIn.text.slice(lead.from, lead.to);
  if (!lead || !leadText || !pack.leadIns.duties.test(leadText) || leadText.length > 160) return undefined;
  const [first] = own;
  const item = first.text.replace(/(?:,?\s+(?:and|or))?[;,.]?$/, '');
  const text = `${leadText.slice(0, -1).trimEnd()} ${pack.leadIns.lowersItems ? item.charAt(0).toLowerCase() + item.slice(1) : item}.`;
  const tags: TaggedWord[] = pack.tags?.(text) ?? [];
  const facts = pack.facts(text, tags);
  return {
    facts,
    ranges: [
      { id: leadIn.id, from: lead.from, to: lead.to },
      { id: passage.id, from: first.from, to: first.to },
    ],
    text,
  };
}

/**
 * Lists that tell how to do something, in order: numbered, or under a steps lead-in, with items that mostly tell the
 * reader to act.
 */
export function stepListsOf(
  source: Source,
  sentences: ReadonlyMap<string, Sentence[]>,
  { leadIns }: LanguagePack,
): Set<string> {
  if (!leadIns) return new Set();
  const byId = new Map(source.passages.map((passage) => [passage.id, passage]));
  const lists = new Map<string, Passage[]>();
  for (const passage of source.passages) {
    if (passage.list && !passage.list.continued && passage.list.depth === 0)
      lists.set(passage.list.id, [...(lists.get(passage.list.id) ?? []), passage]);
  }
  return new Set(
    [...lists]
      .filter(([, items]) => {
        // "If the light is red, stop." tells to act as well.
        const acting = items.filter((item) => {
          const facts = sentences.get(item.id)?.[0]?.facts;
          return facts?.imperative || (facts?.rule?.condition && !facts.rule.subject && !facts.rule.modal);
        }).length;
        const leadIn = items[0].leadIn ? (byId.get(items[0].leadIn)?.text ?? '') : '';
        const ordered = items[0].list!.ordered;
        // "Line managers must:" heads duties, which have no order.
        return (
          items.length >= 2 &&
          acting >= items.length * 0.6 &&
          !leadIns.duties.test(leadIn) &&
          (ordered || leadIns.steps.test(leadIn))
        );
      })
      .map(([id]) => id),
  );
}

function unquoted(text: string): string {
  return text.replace(/^["“‘'](.*)["”’']$/, '$1');
}

/** A term as it stands inside a sentence: a capital that only began its sentence or entry goes, one of a name stays. */
function asWord(term: string, pack: LanguagePack): string {
  const words = term.split(' ');
  const [first] = words;
  if (!/^\p{Lu}[\p{Ll}-]+$/u.test(first)) return term;
  const common =
    words.length > 1
      ? words.slice(1).every((word) => /^\p{Ll}/u.test(word))
      : pack.commonness(first.toLowerCase()) !== undefined;
  return common ? first.toLowerCase() + term.slice(first.length) : term;
}
