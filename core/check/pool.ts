import type { Claim } from '../knowledge';
import type { LanguagePack } from '../language/pack';
import { overlap } from '../language/similarity';
import type { Headed } from './headed';

/** How many claims on either side are looked at for wrong answers: near in the sources is near in topic. */
const NEAR = 60;
/** Rules whose words are remembered: more than stand near the rules of one lesson. */
const TOLD = 2000;
/** Stems in more figures than this find no contradiction. */
const COMMON = 60;
const SAME_SENTENCE = 0.5;

/** The claims of a whole course in one language, laid out so that asking about one does not look at all. */
export interface QuestionPool {
  /** Rules with a condition for somebody, or for something where the claim is of that, near it, in source order. */
  rulesNear(claim: Claim): Claim[];
  definitionsNear(claim: Claim): Claim[];
  /** Lists of neighbours whose headings ask or name. */
  headed: readonly Headed[][];
  /** The stems of a text, remembered: the same claims are looked at for many questions. */
  stems(text: string): string[];
  /** What a rule with a condition asks for and when, in stems: remembered, for many rules are held against many. */
  told(claim: Claim): Told;
  /** Every value of a unit, smallest first. */
  values(unit: string): number[];
  /** Whether another passage says nearly the same with another figure of the same dimension. */
  isContradicted(claim: Claim): boolean;
}

/** The stems of a rule's action, as they come and as a set; of its condition; of both. */
export interface Told {
  words: readonly string[];
  action: ReadonlySet<string>;
  condition: ReadonlySet<string>;
  both: ReadonlySet<string>;
}

/** Lays out the claims of a course. All are of one language. */
export function questionPool(
  claims: readonly Claim[],
  pack: LanguagePack,
  headed: readonly Headed[][] = [],
): QuestionPool {
  const place = new Map(claims.map((claim, at) => [claim.id, at]));
  const [rules, others] = [true, false].map((person) =>
    claims.filter(({ kind, rule }) => kind === 'rule' && rule?.condition && Boolean(rule.person) === person),
  );
  const definitions = claims.filter((claim) => claim.kind === 'definition');
  const figures = claims
    .filter((claim) => claim.kind === 'figure' && claim.quantity)
    .map((claim) => ({ claim, stems: [...new Set(pack.stems(claim.text))] }));
  const values = new Map<string, Set<number>>();
  for (const { claim } of figures)
    values.set(
      claim.quantity!.unit,
      (values.get(claim.quantity!.unit) ?? new Set<number>()).add(claim.quantity!.value),
    );
  const byStem = new Map<string, typeof figures>();
  for (const figure of figures) {
    for (const stem of figure.stems) {
      const list = byStem.get(stem);
      if (list) list.push(figure);
      else byStem.set(stem, [figure]);
    }
  }
  const near = (list: readonly Claim[], claim: Claim): Claim[] => {
    const at = place.get(claim.id) ?? 0;
    let low = 0;
    for (let high = list.length; low < high;) {
      const middle = (low + high) >> 1;
      if (place.get(list[middle].id)! < at) low = middle + 1;
      else high = middle;
    }
    return list.slice(Math.max(0, low - NEAR), low + NEAR);
  };
  const known = new Map<string, string[]>();
  const told = new Map<Claim, Told>();
  return {
    told(claim) {
      const known = told.get(claim);
      if (known) return known;
      const found = toldBy(claim, pack);
      told.set(claim, found);
      // Lessons are asked about one after another, so what was looked at long ago is not looked at again.
      if (told.size > TOLD) told.delete(told.keys().next().value!);
      return found;
    },
    stems(text) {
      const found = known.get(text) ?? pack.stems(text);
      known.set(text, found);
      return found;
    },
    headed,
    rulesNear: (claim) => near(claim.rule && !claim.rule.person ? others : rules, claim),
    definitionsNear: (claim) => near(definitions, claim),
    values: (unit) => [...(values.get(unit) ?? [])].sort((a, b) => a - b),
    isContradicted(claim) {
      const { value, dimension } = claim.quantity!;
      const stems = [...new Set(pack.stems(claim.text))];
      const telling = stems.filter((stem) => (byStem.get(stem)?.length ?? 0) <= COMMON);
      return telling.some((stem) =>
        byStem
          .get(stem)!
          .some(
            (other) =>
              other.claim !== claim &&
              other.claim.quantity!.dimension === dimension &&
              other.claim.quantity!.value !== value &&
              overlap(other.stems, stems) > SAME_SENTENCE,
          ),
      );
    },
  };
}

function toldBy({ rule }: Claim, pack: LanguagePack): Told {
  const words = pack.stems(rule!.action);
  const condition = pack.stems(rule!.condition!.text);
  return { words, action: new Set(words), condition: new Set(condition), both: new Set([...words, ...condition]) };
}
