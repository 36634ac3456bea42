import type { SortableEvent } from 'vue-draggable-plus';
import type { Lesson } from '~~/core/course/course';
import {
  beginModuleAt,
  joinModuleBefore,
  moveRows,
  newLessonBelow,
  newModuleBelow,
  placeLessons,
  removeRows,
  setOfLessons,
} from '~~/core/course/gestures';
import { mergeLessons, splitLesson } from '~~/core/course/joining';
import { finalQuiz, newQuizBelow } from '~~/core/course/quiz-gestures';
import { surveyLesson, type SurveyMoment } from '~~/core/course/surveys';
import { openingLesson } from '~~/core/brief/opening-lesson';
import { wordsFor } from '~~/core/words';
import type { Operation } from '~~/core/course/operations';
import type { Row } from '~/components/outline/rows';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import type { useOutlineRows } from './useOutlineRows';

/** What is done with the chosen rows of the outline, each one gesture that can be undone. `shown`: rows as dragged. */
export function useOutlineGestures(
  {
    rows,
    places,
    folded,
    current,
    anchor,
    selected,
    chosenLesson,
    chosenLessons,
    focus,
    select,
    name,
  }: ReturnType<typeof useOutlineRows>,
  shown: Ref<Row[]>,
) {
  const desk = useCourse();
  /** Makes the operations of a gesture, once what is typed was given to the course, and keeps the row in view. */
  function make(what: string, gesture: () => Operation[], then = current.value) {
    desk.flushTyping();
    const operations = gesture();
    if (operations.length > 0 && desk.change(what, operations)) void focus(then);
  }
  function below() {
    const ids = { lesson: freshId('l'), module: freshId('m') };
    if (current.value && folded.value.has(current.value))
      folded.value = new Set([...folded.value].filter((id) => id !== current.value));
    make(
      'new lesson',
      () => newLessonBelow(desk.course!, current.value, ids, { lesson: 'New lesson', module: 'New module' }),
      ids.lesson,
    );
    void name(ids.lesson);
  }
  function moduleBelow() {
    const id = freshId('m');
    make('new module', () => newModuleBelow(desk.course!, current.value, id, 'New module'), id);
    void name(id);
  }
  function quizBelow() {
    const ids = { lesson: freshId('l'), module: freshId('m') };
    make(
      'new quiz',
      () => newQuizBelow(desk.course!, current.value, ids, { lesson: 'Quiz', module: 'New module' }),
      ids.lesson,
    );
    void name(ids.lesson);
  }
  /** A quiz at the end that draws on all lessons. */
  function quizAtEnd() {
    const ids = { lesson: freshId('l'), module: freshId('m') };
    make('final quiz', () => finalQuiz(desk.course!, ids, 'Final quiz'), ids.lesson);
  }
  /** A lesson with a feedback form, drafted for where it stands. */
  function form(moment: SurveyMoment) {
    const ids = { lesson: freshId('l'), block: freshId('b'), id: () => freshId('a') };
    make('feedback form', () => surveyLesson(desk.course!, moment, ids, current.value ?? undefined), ids.lesson);
  }
  /** A first lesson made of brief and outline. */
  function opening() {
    const lesson = freshId('l');
    const { words } = wordsFor(desk.course!.language);
    make('opening lesson', () => openingLesson(desk.course!, { lesson, block: () => freshId('b') }, words), lesson);
  }
  function indent(out: boolean) {
    const id = current.value;
    if (!id) return;
    const modules = desk.course!.modules;
    const place = modules.findIndex((module) => module.id === id);
    const isModule = place >= 0;
    const fresh = freshId(isModule ? 'l' : 'm');
    // An empty module becomes a lesson under the fresh id; one with lessons goes, and they join the one before.
    const then = !isModule ? id : modules[place]!.lessons.length === 0 ? fresh : (modules[place - 1]?.id ?? null);
    make(
      out ? 'new module from here' : 'module joined to the one before',
      () =>
        isModule && !out
          ? joinModuleBefore(desk.course!, id, fresh)
          : !isModule && out
            ? beginModuleAt(desk.course!, id, fresh)
            : [],
      then,
    );
  }
  function remove() {
    const at = Math.max(0, places.value.indexOf(current.value ?? '') - (selected.value.size - 1));
    const gone = [...selected.value];
    const rest = places.value.filter((id) => !gone.includes(id));
    const next = rest[Math.min(rest.length - 1, at)] ?? null;
    make(gone.length > 1 ? `${gone.length} rows deleted` : 'row deleted', () => removeRows(desk.course!, gone), next);
    anchor.value = next;
  }
  /** The chosen lesson in two, at the heading nearest its middle. */
  function split() {
    const lesson = chosenLesson.value;
    const id = freshId('l');
    if (!lesson || lesson.kind === 'quiz') return;
    make(`“${lesson.title}” split`, () => splitLesson(desk.course!, lesson, undefined, id), id);
    void name(id);
  }
  /** The lesson above the chosen one in its module. */
  const lessonAbove = computed(() => {
    const home = desk.course!.modules.find((module) => module.lessons.some(({ id }) => id === current.value));
    return home?.lessons[home.lessons.findIndex(({ id }) => id === current.value) - 1];
  });
  function join() {
    const [into, from] = [lessonAbove.value, chosenLesson.value];
    // A quiz and a lesson are no one thing.
    if (into && from && into.kind === from.kind)
      make(`“${from.title}” joined to “${into.title}”`, () => mergeLessons(into, from), into.id);
  }
  function move(by: -1 | 1) {
    make('row moved', () => moveRows(desk.course!, [...selected.value], by));
  }
  function setEach<Field extends 'state' | 'lessonKind'>(field: Field, value: Lesson[Field], what: string) {
    make(what, () => setOfLessons(chosenLessons.value, field, value));
  }
  /** Dragged rows: what stands above the new place tells where it belongs. */
  function dropped(event: SortableEvent) {
    const list = shown.value;
    const row = list[event.newDraggableIndex ?? event.newIndex ?? 0];
    shown.value = [...rows.value];
    if (!row || row.kind === 'check') return;
    const at = list.indexOf(row);
    const above = list.slice(0, at).toReversed();
    if (row.kind === 'module') {
      const before = above.find((each) => each.kind === 'module')?.id ?? null;
      make('module moved', () => [{ type: 'move', id: row.id, parent: desk.course!.id, after: before }], row.id);
      return;
    }
    const moved = selected.value.has(row.id)
      ? desk.lessons.filter((lesson) => selected.value.has(lesson.id)).map((lesson) => lesson.id)
      : [row.id];
    const module = above.find((each) => each.kind === 'module')?.id ?? desk.course!.modules[0]!.id;
    const before = above.find((each) => each.kind === 'lesson' && !moved.includes(each.id));
    const after = before?.kind === 'lesson' && before.module === module ? before.id : null;
    make(
      moved.length > 1 ? `${moved.length} lessons moved` : 'lesson moved',
      () => placeLessons(moved, module, after),
      row.id,
    );
  }
  function dragging(event: SortableEvent) {
    const row = shown.value[event.oldDraggableIndex ?? 0];
    if (row && !selected.value.has(row.id)) void select(row.id);
  }

  return {
    make,
    below,
    moduleBelow,
    quizBelow,
    quizAtEnd,
    form,
    opening,
    indent,
    remove,
    split,
    join,
    lessonAbove,
    move,
    setEach,
    dropped,
    dragging,
  };
}
