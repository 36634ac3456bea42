import type { Brief } from '~~/core/course/course';
import { useCourse } from '~/stores/course';

/** The brief of the course at hand, and how a part of it is set. */
export function useBrief() {
  const desk = useCourse();
  const brief = computed(() => desk.course!.brief);
  const plain = (value: Brief) => JSON.parse(JSON.stringify(value)) as Brief;
  /**
   * Sets a part of the brief. `was`, in the form of the part, is what it was when typing began; without it, what it is.
   */
  function set(field: string, change: Partial<Brief>, was: Partial<Brief> = {}, group?: string): boolean {
    const value = plain({ ...brief.value, ...change });
    const before = plain({ ...brief.value, ...was });
    return desk.type(
      `brief: ${field}`,
      [{ type: 'set', id: desk.course!.id, field: 'brief', value, was: before }],
      group,
    );
  }
  return { brief, set };
}
