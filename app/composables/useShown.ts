import { checkFormOf, type Check } from '~~/core/checks/forms';
import { checksOn } from '~~/core/blocks/forms';
import type { Course } from '~~/core/course/course';
import { findNode } from '~~/core/course/tree';
import { useCourse } from '~/stores/course';

/** Milliseconds for which what was just shown stays marked, and its words stay in the bar. */
const MARKED = 2400;
export const SAID_FOR = 9000;

/**
 * What of a course stands with its sources: which of two contradicting ones holds, corrected passages, how much a
 * source counts.
 */
const WITH_SOURCES = new Set(['settled', 'corrections', 'supporting']);

/**
 * The room in which a node of the course is worked on, below the course's address; undefined where there is none to
 * show. `fields`: which of the course itself.
 */
export function roomOf(course: Course, id: string, fields: readonly string[] = []): string | undefined {
  if (id === course.id) return fields.some((field) => WITH_SOURCES.has(field)) ? 'sources' : 'brief';
  const found = findNode(course, id);
  const placed = (check: string) =>
    course.modules.flatMap((module) => module.lessons).find((lesson) => checksOn(lesson).includes(check))?.id;
  switch (found?.kind) {
    case 'block':
      return `lessons/${found.parent}`;
    case 'lesson':
    case 'module':
    case 'objective':
      return 'outline';
    case 'check': {
      if (checkFormOf(found.node as Check).standsAlone) return `checks/${id}`;
      const lesson = placed(id);
      return lesson ? `lessons/${lesson}` : 'checks';
    }
    case 'take':
      return course.modules.some((module) =>
        module.lessons.some((lesson) => lesson.id === (found.node as { of: string }).of),
      )
        ? `lessons/${(found.node as { of: string }).of}`
        : undefined;
    case 'answer':
      return 'sources/interview';
    case 'medium':
      return 'media';
    default:
      return undefined;
  }
}

/** Shows what undo, redo or going back did: goes to its room where this one does not show it, and marks it there. */
export function useShown(): void {
  const desk = useCourse();
  const go = useGo();
  const route = useRoute();
  const onScreen = (id: string) => document.querySelector<HTMLElement>(`[data-node="${id}"]`);

  watch(
    () => desk.shown?.count,
    async () => {
      const { course, shown } = desk;
      if (!course || !shown) return;
      await nextTick();
      const here = shown.ids.find((id) => onScreen(id));
      // A page says more than the row of its lesson.
      const rooms = shown.ids
        .flatMap((id) => roomOf(course, id, shown.fields) ?? [])
        .sort((a, b) => Number(b.startsWith('lessons/')) - Number(a.startsWith('lessons/')));
      // What was taken away shows by its going: there is nothing to go to.
      const room = here ? undefined : rooms[0];
      const at = `/course/${course.id}/${room}`;
      if (room && !route.path.startsWith(at)) go(at);
      for (let tries = 0; tries < 20; tries++) {
        const element = shown.ids.map(onScreen).find(Boolean);
        if (element) return mark(element);
        await new Promise((later) => setTimeout(later, 80));
      }
    },
  );
}

function mark(element: HTMLElement): void {
  element.scrollIntoView({ block: 'nearest' });
  element.classList.add('just-shown');
  setTimeout(() => element.classList.remove('just-shown'), MARKED);
}
