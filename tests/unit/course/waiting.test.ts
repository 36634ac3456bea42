import { expect, it } from 'vitest';
import { waitingForAnswers } from '../../../core/course/waiting';
import { aCourse, aLesson, aModule, anId } from '../../builders';

it('a blank lesson waits for its author while nothing is planned for it and nothing it asks is answered', () => {
  const blank = (name: string) => aLesson(name, []);
  const asked = (lesson: string, text = '') => ({
    id: anId(`${lesson} ${text}`),
    topic: lesson,
    question: 'What of it?',
    text,
    lesson: anId(lesson),
  });
  const course = {
    ...aCourse(),
    checks: [],
    modules: [
      aModule('All', [
        blank('Asks'),
        blank('Answered'),
        blank('Silent'),
        { ...blank('Planned'), plannedPassages: [anId('p')] },
        { ...blank('Given'), given: [anId('p')] },
        aLesson('Written'),
      ]),
    ],
    answers: [
      asked('Asks'),
      asked('Answered'),
      asked('Answered', 'This.'),
      ...['Planned', 'Given', 'Written'].map((lesson) => asked(lesson)),
    ],
  };
  expect([...waitingForAnswers(course)]).toEqual([anId('Asks')]);
  expect(waitingForAnswers({ ...course, answers: undefined }).size).toBe(0);
});
