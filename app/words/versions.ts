import type { LessonChange } from '~~/core/course/comparison';
import { counted, stateLabel } from './states';

/** What differs in a lesson, in a line. */
export function changeWords({ kind, moved, words, checks, order, state }: LessonChange): string {
  if (kind === 'added') return 'came since';
  if (kind === 'gone') return 'was there, and is not any more';
  const parts = [
    ...(words.length > 0 ? [counted(words.length, ['text differs', 'texts differ'])] : []),
    ...(checks.length > 0 ? [counted(checks.length, ['check differs', 'checks differ'])] : []),
    ...(order ? ['another order'] : []),
    ...(moved ? ['stands elsewhere'] : []),
    ...(state ? [`${stateLabel(state.before).toLowerCase()} then, ${stateLabel(state.after).toLowerCase()} now`] : []),
  ];
  return parts.join(', ') || 'nothing differs';
}
