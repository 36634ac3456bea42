import type { Knowledge } from '../knowledge';
import { isSpoken } from './noise';
import type { Relation, Unit } from './unit';

/** A spoken sentence of so few words that points at something means what was said before it. */
const SHORT = 8;

/** What a unit is to the one before it in its section: at most one relation, the strongest. */
export function relationsOf(unit: Unit, before: Unit | undefined, knowledge: Knowledge): Relation[] {
  if (!before) return [];
  const first = knowledge.sentences.get(unit.passages[0])?.[0];
  if (!first) return unit.kind === 'code' ? [{ kind: 'continues', to: before.id }] : [];
  if (knowledge.pack.opensException?.(first.text)) return [{ kind: 'exception', to: before.id }];
  const leaning = first.facts?.leaning;
  // Speech joins everything to everything: "So, …" may begin something else, "Then …" does not.
  // "Don't pour it away.": what "it" is stood before.
  if (isSpoken(first.passage) && first.facts?.pointsWithin && first.words <= SHORT)
    return [{ kind: 'continues', to: before.id }];
  if (
    leaning === 'points-back' ||
    (leaning === 'joins-on' && !(isSpoken(first.passage) && knowledge.pack.turns?.(first.text)))
  )
    return [{ kind: first.facts?.example ? 'example' : 'continues', to: before.id }];
  if (unit.kind === 'case' && first.facts?.example) return [{ kind: 'example', to: before.id }];
  const last = knowledge.passages.get(before.passages.at(-1)!)!;
  if (/[:：]$/.test(last.text)) return [{ kind: 'introduces', to: before.id }];
  return [];
}

/** Whether a unit cannot be followed without the one it relates to. */
export const leans = ({ kind }: Relation): boolean =>
  kind === 'continues' || kind === 'exception' || kind === 'introduces';
