import { CHECK_KINDS, type Check, type CheckKind } from '~~/core/checks/forms';
import { FRESH } from '~~/core/checks/fresh';
import { area } from './area';
import { choice } from './choice';
import type { CheckEditor } from './editor';
import { match } from './match';
import { number } from './number';
import { open } from './open';
import { order } from './order';
import { scenario } from './scenario';
import { several } from './several';
import { short } from './short';
import { sort } from './sort';
import { task } from './task';
import { truth } from './truth';

/** Every kind of check as the desk knows it, in the order they are offered in. */
export const CHECK_EDITORS: Record<CheckKind, CheckEditor> = {
  choice,
  several,
  truth,
  order,
  match,
  sort,
  number,
  short,
  open,
  area,
  scenario,
  task,
};

/** What can be written by hand: what it is called, and a new one for a lesson. `id` gives ids by their letter. */
export function newChecks(id: (letter: string) => string): {
  kind: CheckKind;
  label: string;
  make: (lessonId: string) => Check;
}[] {
  return CHECK_KINDS.map((kind) => ({
    kind,
    label: CHECK_EDITORS[kind].label,
    make: (lessonId) =>
      ({
        id: id('k'),
        lessonId,
        evidence: [],
        level: 'apply',
        difficulty: 0.4,
        ...FRESH[kind](id),
      }) as Check,
  }));
}
