import { roots } from '../../document/letters';
import { contained } from '../../language/similarity';
import type { Note, NoteMatter } from '../note';

/** What is promised with less than this share of its words in the outline is served by nothing. */
const SERVED = { outcome: 0.4, promise: 0.3 };
/** Of fewer words nothing can be said. */
const LEAST = 2;

/** What the brief promises and no lesson serves, by the words of titles, objectives and purposes. */
export function promiseNotes({ course, lessons, objective }: NoteMatter): Note[] {
  if (lessons.length === 0) return [];
  const said = lessons.map(({ lesson, module }) =>
    roots([lesson.title, ...lesson.objectiveIds.map(objective), module.title, module.purpose].join(' ')),
  );
  const whole = new Set(said.flatMap((each) => [...each]));
  const { promise, outcomes } = course.brief;
  const words = roots(promise);
  return [
    ...(words.size >= LEAST && contained(words, whole) < SERVED.promise
      ? [
          {
            rule: 'promise-unserved' as const,
            about: course.id,
            weight: 'decide' as const,
            parameters: { promise },
            print: promise,
            mend: { kind: 'open' as const, room: 'brief' as const },
          },
        ]
      : []),
    ...(course.about?.description ?? '')
      .split(/(?<=[.!?…。])\s+|\n+/)
      .filter((sentence) => {
        const own = roots(sentence);
        return own.size > LEAST && contained(own, whole) < SERVED.promise;
      })
      .map((sentence): Note => ({
        rule: 'description-unserved',
        about: course.id,
        weight: 'decide',
        parameters: { sentence },
        print: sentence,
        mend: { kind: 'open', room: 'brief' },
      })),
    ...outcomes
      .filter((outcome) => {
        const own = roots(outcome);
        return own.size >= LEAST && Math.max(...said.map((each) => contained(own, each))) < SERVED.outcome;
      })
      .map((outcome): Note => ({
        rule: 'outcome-unserved',
        about: course.id,
        weight: 'decide',
        parameters: { outcome },
        print: outcome,
        mend: { kind: 'lesson', title: outcome },
      })),
  ];
}
