import type { LessonKind } from '../course/course';
import type { Claim } from '../knowledge';
import type { Unit, UnitKind } from '../unit/unit';

/**
 * A lesson with so many steps, so much of its words, shows how something is done; with so much of its words in tables,
 * or so many comparisons, tells things apart; with so many definitions explains an idea. Set on the workplace texts,
 * where rules stand among everything.
 */
const SAYS = { steps: 3, procedure: 0.15, tables: 0.3, comparisons: 2, definitions: 2 };

/**
 * What a lesson is for, by its matter: steps make a procedure, tables a comparison, definitions an idea, rules, limits
 * and cases a decision; what has none of them is an idea. Practice and orientation are for its author to say.
 */
export function lessonKindOf(units: readonly Unit[], claims: readonly Claim[]): LessonKind {
  const words = units.reduce((sum, unit) => sum + unit.words, 0);
  const share = (kind: UnitKind) =>
    units.filter((unit) => unit.kind === kind).reduce((sum, unit) => sum + unit.words, 0) / Math.max(1, words);
  const count = (...kinds: Claim['kind'][]) => claims.filter(({ kind }) => kinds.includes(kind)).length;
  const steps = units
    .filter(({ kind }) => kind === 'procedure')
    .reduce((sum, { lead, passages }) => sum + passages.length - (lead ? 1 : 0), 0);
  if (steps >= SAYS.steps && share('procedure') >= SAYS.procedure) return 'procedure';
  if (share('table') >= SAYS.tables || count('comparison') >= SAYS.comparisons) return 'comparison';
  if (count('definition') >= SAYS.definitions) return 'idea';
  return count('rule', 'figure', 'warning') > 0 || share('question') > 0 ? 'decision' : 'idea';
}
