import type { Check } from '~~/core/checks/forms';
import { useFieldEditing } from '~/composables/useFieldEditing';
import { useCourse } from '~/stores/course';

/** How the answers of a check are edited in place. */
export function useCheckEditing<Kind extends Check>(props: { check: Kind; readonly?: boolean }) {
  const desk = useCourse();
  const mayEdit = computed(() => desk.mayEdit && !props.readonly);
  const now = () => (desk.course?.checks.find((each) => each.id === props.check.id) as Kind | undefined) ?? props.check;
  const editing = useFieldEditing<Kind>(now, (what, field, value, was, group) => {
    const set = { type: 'set' as const, id: props.check.id, field, value: value ?? null, was: was ?? null };
    return group ? desk.type(what, [set], group) : desk.change(what, [set]);
  });
  return { ...editing, mayEdit };
}

/** Lines of a field as a list, without empty ones. */
export const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
