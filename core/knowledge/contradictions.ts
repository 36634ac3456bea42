import { idFrom } from '../document/id';
import type { PassageRange } from '../document/rich-text';
import { isSameTime } from '../language/time-units';
import { byStem, contained, stemWeights, weighed } from '../language/similarity';
import type { Knowledge } from './index';
import { statementsIn, TIME, type Statement } from './statements';

/** One side of a contradiction: what is said, and where. */
export interface Side {
  sourceId: string;
  ranges: PassageRange[];
  text: string;
}

/** Two places that say nearly the same with another figure, or one forbids what the other asks or allows. */
export interface Contradiction {
  id: string;
  kind: 'figure' | 'polarity';
  /** In the order of the sources. */
  sides: [Side, Side];
  /** How alike the two are otherwise, 0 to 1. */
  likeness: number;
}

/**
 * How alike two statements must be, beside their figures: across sources, and within one, which seldom contradicts
 * itself.
 */
const LIKE = { across: 0.62, within: 0.8 };
/** Of so few words nearly all must be the same, and only another source is believed to contradict. */
const FEW = 3;
const LIKE_OF_FEW = 0.85;
/**
 * Words that stand on one side only and are this telling (their weight against the statement's), on both sides, speak
 * of another case.
 */
const OWN_SHARE = 0.15;
/** Stems in more statements than this find no partner. */
const COMMON = 80;

/**
 * Contradictions within and between sources of one language: rules and figures that are alike in all but a number of
 * the same thing, and what one place asks or allows and another forbids, or asks and leaves free. They are found to be
 * looked at: whether two cases differ in a way no word tells, only the author knows. Surest first.
 */
export function contradictionsIn(knowledge: readonly Knowledge[]): Contradiction[] {
  const found: Contradiction[] = [];
  for (const code of new Set(knowledge.map((each) => each.pack.code))) {
    const statements = statementsIn(knowledge.filter((each) => each.pack.code === code && each.pack.numbers));
    const weights = stemWeights(statements);
    const sharing = byStem(statements);
    for (const one of statements) {
      const partners = new Set(
        [...one.stems]
          .flatMap((stem) => (sharing.get(stem)!.length <= COMMON ? sharing.get(stem)! : []))
          .filter((other) => other.at > one.at),
      );
      for (const other of partners) {
        const contradiction = compared(one, other, weights);
        if (contradiction) found.push(contradiction);
      }
    }
  }
  return found.sort((a, b) => b.likeness - a.likeness || (a.id < b.id ? -1 : 1));
}

function compared(a: Statement, b: Statement, weights: ReadonlyMap<string, number>): Contradiction | undefined {
  const opposed = isOpposed(a, b);
  if ((!opposed && !numberDiffers(a, b)) || !sameActor(a, b)) return undefined;
  // "A driver who has an accident must …", "After an accident, drivers must …": who acts may say what the other's words
  // do.
  const own = [ownOf(a, b), ownOf(b, a)].map((stems) => weighed(stems, weights));
  const shared = weighed(
    [...a.stems].filter((stem) => b.stems.has(stem)),
    weights,
  );
  const likeness = shared / (shared + own[0] + own[1]);
  const within = a.sourceId === b.sourceId;
  if (within && (a.row || b.row)) return undefined;
  const few = Math.min(a.stems.size, b.stems.size) <= FEW;
  if (likeness < (within ? LIKE.within : few ? LIKE_OF_FEW : LIKE.across) || (few && within)) return undefined;
  // "Hand tools" against "power tools": words of weight on each side that the other has not tell two cases apart.
  if (own.every((weight) => weight > OWN_SHARE * (shared + weight))) return undefined;
  // One of them holds in a case that the other does not name.
  if (
    opposed &&
    (contained(a.when, new Set([...b.when, ...b.stems])) < 0.6 ||
      contained(b.when, new Set([...a.when, ...a.stems])) < 0.6) &&
    a.when.size + b.when.size > 0
  )
    return undefined;
  const sides = [a, b].map(({ sourceId, ranges, text }): Side => ({ sourceId, ranges, text })) as [Side, Side];
  return {
    id: idFrom('d', ...sides.flatMap((side) => side.ranges.map((range) => `${range.id}/${range.from}`))),
    kind: opposed ? 'polarity' : 'figure',
    sides,
    likeness: Math.round(likeness * 100) / 100,
  };
}

const ownOf = (one: Statement, other: Statement): string[] =>
  [...one.stems].filter((stem) => !other.stems.has(stem) && !other.actor?.has(stem));

/** Where both name who acts, it is the same: of the shorter name every word, or all but one of several. */
function sameActor({ actor: a }: Statement, { actor: b }: Statement): boolean {
  if (!a || !b) return true;
  const [less, more] = a.size <= b.size ? [a, b] : [b, a];
  return contained(less, more) >= (less.size > 2 ? 0.6 : 1);
}

/** A number of the same thing with another value. */
function numberDiffers(a: Statement, b: Statement): boolean {
  return [...a.numbers].some(([unit, values]) => {
    const others = b.numbers.get(unit);
    return (
      others !== undefined &&
      ![...values].some((value) =>
        [...others].some((other) => (unit === TIME ? isSameTime(value, other) : value === other)),
      )
    );
  });
}

/** One asks or allows what the other forbids, or asks what the other leaves free. */
function isOpposed({ stance: a }: Statement, { stance: b }: Statement): boolean {
  const either = (x: typeof a, y: typeof a) => (a === x && b === y) || (a === y && b === x);
  return either('forbids', 'asks') || either('forbids', 'allows') || either('asks', 'frees');
}
