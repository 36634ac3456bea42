import type { GivenMark, HandedIn } from '../../core/checks/markings';
import { mostOf, pointsAt, worthOf } from '../../core/checks/task/form';
import type { TaskSecret } from '../../core/checks/task/marking';
import { suggestMarks, type SuggestedLevel } from '../../core/grading/suggest';
import { say, wordsFor } from '../../core/words';
import type { Taking } from '../../core/learning/sittings';
import { own } from '../../core/learning/state';
import { packFor } from '../language/packs';

/** A task of a released course: what it asks, and what its hand-ins are held against. */
export function taskOf({ course, keys }: Taking, check: string) {
  const view = course.checks.find(({ id }) => id === check);
  const secret = own(keys, check);
  return view?.kind === 'task' && secret?.kind === 'task' ? { view, secret } : undefined;
}

/** The marks that are suggested for a hand-in; undefined where there is nothing to hold it against. */
export function suggestedMark(
  taking: Taking,
  check: string,
  { text, files }: HandedIn,
): { score: number; given: GivenMark; suggested: SuggestedLevel[] } | undefined {
  const task = taskOf(taking, check);
  if (!task || task.secret.criteria.length === 0) return undefined;
  const { stem, setting } = task.view;
  const { criteria, model } = task.secret;
  const { language } = taking.course;
  const suggested = suggestMarks({ criteria, model, prompt: `${stem}\n${setting}` }, text, packFor(language));
  return { ...markOf(task.secret, suggested, language, files.length > 0), suggested };
}

/** Suggested levels as a mark. What lies in files is not read: what was not found may be there. */
function markOf(
  { criteria }: TaskSecret,
  suggested: readonly SuggestedLevel[],
  language: string,
  hasFiles: boolean,
): { score: number; given: GivenMark } {
  const { words } = wordsFor(language);
  const by = <Value>(value: (each: SuggestedLevel) => Value | undefined) =>
    Object.fromEntries(
      suggested.flatMap((each) => {
        const found = value(each);
        return found === undefined ? [] : [[each.criterion, found] as const];
      }),
    );
  const levels = by(({ level }) => level);
  const isBest = ({ criterion, level }: SuggestedLevel) =>
    criteria.some((each) => each.id === criterion && pointsAt(each, level) === mostOf(each));
  const doubt = suggested.filter((each) => !each.sure || (hasFiles && !isBest(each))).map(({ criterion }) => criterion);
  return {
    score: worthOf(criteria, levels),
    given: {
      suggested: true,
      levels,
      words: by((each) => (each.words.length > 0 ? each.words : undefined)),
      notes: by((each) =>
        each.missing.length === 0 ? undefined : say(words.task.notFound, { words: each.missing.join(', ') }),
      ),
      ...(doubt.length > 0 && { doubt }),
    },
  };
}
