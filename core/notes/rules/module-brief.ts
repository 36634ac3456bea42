import { roots } from '../../document/letters';
import { contained } from '../../language/similarity';
import { lessonText } from '../lesson-text';
import type { Note, NoteMatter } from '../note';

/** What is asked is answered, and what is done is led to, where a lesson has so much of its words. */
const SERVED = 0.6;

/** What a module’s own brief asks for and no lesson of it serves: questions people ask, actions that matter. */
export function moduleNotes({ course, objective }: NoteMatter): Note[] {
  return course.modules.flatMap(({ id, brief, lessons }): Note[] => {
    const { asked = [], actions = [] } = brief ?? {};
    if (asked.length + actions.length === 0) return [];
    const aims = lessons.map(({ title, objectiveIds }) => roots([title, ...objectiveIds.map(objective)].join(' ')));
    const whole = lessons.map((lesson, at) => new Set([...aims[at], ...roots(lessonText(lesson))]));
    const open = (words: string, within: readonly ReadonlySet<string>[]) => {
      const own = roots(words);
      return own.size > 0 && !within.some((each) => contained(own, each) >= SERVED);
    };
    // What is still to be drafted may answer it.
    const isWhole = lessons.every(
      ({ blocks, plannedPassages, given }) => blocks.length > 0 || plannedPassages.length + (given?.length ?? 0) === 0,
    );
    const note = (rule: 'asked-open' | 'action-open', key: string, words: string): Note => ({
      rule,
      about: id,
      weight: 'decide',
      parameters: { [key]: words },
      print: words,
      mend: { kind: 'lesson', title: words.slice(0, 400), module: id },
    });
    return [
      ...asked.filter((words) => isWhole && open(words, whole)).map((words) => note('asked-open', 'asked', words)),
      ...actions.filter((words) => open(words, aims)).map((words) => note('action-open', 'action', words)),
    ];
  });
}
