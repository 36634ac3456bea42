import { allLessons } from '../../course/course';
import { drawsOf, isQuiz } from '../../course/quizzes';
import type { Note, NoteMatter } from '../note';

/** Quizzes that ask nothing or less than they should, and quizzes that together weigh more than there is. */
export function quizNotes({ course }: NoteMatter): Note[] {
  const quizzes = allLessons(course).filter(isQuiz);
  const short = quizzes.flatMap((lesson): Note[] => {
    const { id, title, quiz } = lesson;
    const asks = drawsOf(course, lesson).reduce((sum, { take }) => sum + take, 0);
    const wants = quiz.draw ? quiz.draw.rules.reduce((sum, { count }) => sum + count, 0) : 1;
    const parameters = { title, asks, wants };
    return asks < wants
      ? [{ rule: 'quiz-short', about: id, weight: 'decide', parameters, print: `${title} ${asks} ${wants}` }]
      : [];
  });
  const weighted = quizzes.filter(({ quiz }) => quiz.weight !== undefined && !quiz.practice && !quiz.skips);
  const percent = weighted.reduce((sum, { quiz }) => sum + quiz.weight!, 0);
  const heavy: Note[] =
    percent > 100
      ? weighted.slice(-1).map(({ id, title }) => ({
          rule: 'quiz-weights',
          about: id,
          weight: 'decide',
          parameters: { title, percent },
          print: String(percent),
        }))
      : [];
  return [...short, ...heavy];
}
