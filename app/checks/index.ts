import { CHECK_KINDS, type Check, type CheckKind, type CheckKinds } from '~~/core/checks/forms';
import { choice } from './choice';
import type { CheckEditor } from './editor';
import { truth } from './truth';

/** Every kind of check as the desk knows it, in the order they are offered in. */
export const CHECK_EDITORS: { [Kind in CheckKind]: CheckEditor<CheckKinds[Kind]> } = { choice, truth };

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
        ...CHECK_EDITORS[kind].fresh(id),
      }) as Check,
  }));
}
