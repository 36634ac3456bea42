import { secondsIn } from '../language/time-units';
import type { PassageRange } from '../document/rich-text';
import type { LanguagePack, Stance } from '../language/pack';
import type { Claim } from './claim';
import type { Knowledge } from './index';

/**
 * What a sentence asks, allows or counts, made comparable with others: how it is put (voice, modal, order) no longer
 * shows.
 */
export interface Statement {
  at: number;
  sourceId: string;
  ranges: PassageRange[];
  text: string;
  /**
   * What it is about: stems without who acts, words of obligation, numbers, units of time and words that only bound a
   * number.
   */
  stems: ReadonlySet<string>;
  /** Who acts, where somebody but the reader is named. */
  actor?: ReadonlySet<string>;
  /** When: stems of its condition. */
  when: ReadonlySet<string>;
  stance?: Stance;
  /** A row of a table: only what another source says differently contradicts it. */
  row?: true;
  /** Values by the stem of what is counted; times together, in seconds. */
  numbers: ReadonlyMap<string, ReadonlySet<number>>;
}

export const TIME = '#time';

/**
 * Every rule and figure that can be understood alone, and every sentence that allows, forbids or frees in other words;
 * each place once.
 */
export function statementsIn(knowledge: readonly Knowledge[]): Statement[] {
  const found: Omit<Statement, 'at'>[] = [];
  for (const { claims, sentences, pack, source } of knowledge) {
    const seen = new Set<string>();
    for (const claim of claims) {
      const place = placeOf(claim.ranges);
      if ((claim.kind !== 'rule' && claim.kind !== 'figure') || !standsAlone(claim) || seen.has(place)) continue;
      seen.add(place);
      found.push(statement(claim, pack, claim.rule ? stanceOf(claim.rule) : pack.stance?.(claim.text)));
    }
    // "High: every 30 minutes" as a row of a table is said as surely as in a sentence.
    for (const passage of source.passages) {
      const [first, ...cells] = passage.table?.cells ?? [];
      if (!first || cells.length === 0 || !/\p{L}/u.test(first)) continue;
      const said = statement(
        {
          sourceId: source.id,
          ranges: [{ id: passage.id, from: 0, to: passage.text.length }],
          text: passage.table!.cells.filter((cell) => cell !== '').join(': '),
        },
        pack,
        undefined,
      );
      // It is about what its first cell names; one word there is understood by the head of its column ("High": a risk).
      const named = pack.stems(first);
      found.push({
        ...said,
        stems: new Set(named.length > 1 ? named : [...named, ...pack.stems(passage.table!.header[0] ?? '')]),
        row: true,
      });
    }
    if (!pack.stance) continue;
    for (const sentence of [...sentences.values()].flat()) {
      const { passage, from, to, text, facts, technical } = sentence;
      const ranges = [{ id: passage.id, from, to }];
      if (
        !facts ||
        technical ||
        facts.leaning ||
        facts.firstPerson ||
        facts.pointsWithin ||
        facts.rule ||
        seen.has(placeOf(ranges)) ||
        /[?:]$/.test(text)
      )
        continue;
      const stance = pack.stance(text);
      if (stance) found.push(statement({ sourceId: source.id, ranges, text }, pack, stance));
    }
  }
  return found.map((each, at) => ({ ...each, at })).filter(({ stems }) => stems.size >= 2);
}

/** "Hand in receipts within two weeks." may be taken for no sentence by the tagger, and is one here. */
const standsAlone = ({ leaning, text }: Claim): boolean =>
  leaning === undefined || leaning === 'points-within' || (leaning === 'not-a-sentence' && /^\p{Lu}.*\.$/u.test(text));

const placeOf = (ranges: readonly PassageRange[]): string =>
  JSON.stringify(ranges.map(({ id, from, to }) => [id, from, to]));

function stanceOf({ negative, strength }: NonNullable<Claim['rule']>): Stance {
  return negative ? 'forbids' : strength === 'may' ? 'allows' : 'asks';
}

function statement(
  { sourceId, ranges, text, rule }: Pick<Claim, 'sourceId' | 'ranges' | 'text' | 'rule'>,
  pack: LanguagePack,
  stance: Stance | undefined,
): Omit<Statement, 'at'> {
  const plain = pack.regular ?? ((words: string) => words);
  const { numbers } = counted(plain(text), pack);
  const named = rule?.person && rule.subject && !pack.isReader?.(rule.subject) ? rule.subject : undefined;
  const without = counted(
    plain(
      [rule?.modal, rule?.person ? rule.subject : undefined]
        .filter((each) => each !== undefined)
        .reduce((rest, words) => rest.replace(words, ' '), text),
    ),
    pack,
  ).bare;
  const actor = named ? new Set(content(counted(plain(named), pack).bare, pack)) : undefined;
  return {
    sourceId,
    ranges,
    text,
    numbers,
    ...(stance && { stance }),
    ...(actor?.size && { actor }),
    stems: new Set(content(without, pack)),
    when: new Set(rule?.condition ? pack.stems(rule.condition.text) : []),
  };
}

/** Stems without words that only bound. */
function content(text: string, { stems, bounds }: LanguagePack): string[] {
  return stems(bounds ? text.replace(new RegExp(bounds.source, `${bounds.flags}g`), ' ') : text);
}

/** The numbers of a text, and the text without them and without the units of time behind them. */
function counted(text: string, pack: LanguagePack): { bare: string; numbers: Map<string, Set<number>> } {
  const numbers = new Map<string, Set<number>>();
  let bare = text;
  for (const { value, from, to } of pack.numbers!(text).toReversed()) {
    const unit = /^[\s-]+(\p{L}+)/u.exec(text.slice(to));
    const seconds = unit ? secondsIn(unit[1]) : undefined;
    const key =
      seconds !== undefined
        ? TIME
        : /[€$£]\s?$/.test(text.slice(0, from))
          ? text.slice(0, from).trimEnd().slice(-1)
          : (pack.stems(text.slice(to).split(/[.,;:]/)[0])[0] ?? '');
    if (key) numbers.set(key, (numbers.get(key) ?? new Set()).add(seconds === undefined ? value : value * seconds));
    bare = `${bare.slice(0, from)} ${bare.slice(seconds === undefined ? to : to + unit![0].length)}`;
  }
  return { bare, numbers };
}
