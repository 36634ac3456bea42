import { useCourse } from '~/stores/course';

/**
 * Says of a field or page whether it holds words that the course does not have yet, so that nothing is called saved
 * that is not.
 */
export function useTyping(): (holds: boolean) => void {
  const desk = useCourse();
  let held = false;
  const say = (holds: boolean) => {
    if (holds !== held) desk.typing += holds ? 1 : -1;
    held = holds;
  };
  onBeforeUnmount(() => say(false));
  return say;
}
