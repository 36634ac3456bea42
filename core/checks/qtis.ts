import { area } from './area/qti';
import { choice } from './choice/qti';
import type { Check, CheckKind, CheckKinds } from './forms';
import { match } from './match/qti';
import { number } from './number/qti';
import { open } from './open/qti';
import { order } from './order/qti';
import type { CheckQti, QtiGiven, QtiItem } from './qti';
import { several } from './several/qti';
import { short } from './short/qti';
import { sort } from './sort/qti';
import type { Words } from '../words';
import { truth } from './truth/qti';

/** Kinds that are items of QTI: it has none for a story, or for a task with criteria and files. */
type QtiKind = Exclude<CheckKind, 'scenario' | 'task'>;

/** In the order in which an item is asked whether it is one: the narrower kind first. */
const QTIS: { [Kind in QtiKind]: CheckQti<CheckKinds[Kind]> } = {
  truth,
  choice,
  several,
  order,
  sort,
  match,
  number,
  short,
  open,
  area,
};

/** Whether a check is of a kind that QTI has an item for. */
export const hasQti = (check: Check): check is CheckKinds[QtiKind] => Object.hasOwn(QTIS, check.kind);

/** A check as an item of QTI. */
export const qtiItemOf = (check: CheckKinds[QtiKind], words: Words): QtiItem =>
  (QTIS[check.kind] as CheckQti<Check>).write(check, check.points ?? 1, words);

/** An item's fields as a check's; undefined where there is no such kind. */
export function checkFieldsOf(given: QtiGiven, id: (letter: string) => string): Partial<Check> | undefined {
  for (const kind of Object.values(QTIS)) {
    const found = (kind as CheckQti<Check>).read(given, id);
    if (found) return found as Partial<Check>;
  }
  return undefined;
}
