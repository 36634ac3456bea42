import type { QuizLesson } from '~~/core/course/quizzes';
import type { Quiz } from '~~/core/quiz/form';
import { useCourse } from '~/stores/course';

/** How a quiz is taken, changed one setting at a time; each change starts from the quiz as it stands now. */
export function useQuiz(props: { lesson: QuizLesson }) {
  const desk = useCourse();
  const now = (): Quiz => {
    const lesson = desk.lessons.find(({ id }) => id === props.lesson.id);
    return lesson?.quiz ?? props.lesson.quiz;
  };
  /** A quiz with some settings changed; what is undefined is taken away. */
  const changed = (quiz: Quiz, change: Partial<Quiz>): Quiz =>
    JSON.parse(JSON.stringify({ ...quiz, ...change })) as Quiz;
  /** Puts settings in at once. */
  function set(what: string, change: Partial<Quiz>) {
    desk.flushTyping();
    const was = now();
    const value = changed(was, change);
    if (JSON.stringify(value) !== JSON.stringify(was))
      desk.change(what, [{ type: 'set', id: props.lesson.id, field: 'quiz', value, was }]);
  }
  /** Takes in what is typed; `before` is what stood there when typing began. */
  function type(what: string, change: Partial<Quiz>, before: Partial<Quiz>, group: string) {
    const quiz = now();
    const [value, was] = [changed(quiz, change), changed(quiz, before)];
    return desk.type(what, [{ type: 'set', id: props.lesson.id, field: 'quiz', value, was }], group);
  }
  return { desk, set, type };
}
