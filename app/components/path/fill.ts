import type { LessonState } from '~~/core/course/course';

/** The fill of a lesson's segment: its state, told by pattern. */
export function fillOf(state: LessonState): string {
  return state === 'blank' ? 'var(--sheet)' : state === 'approved' ? 'var(--moss)' : `url(#state-${state})`;
}
