import { useLocalStorage } from '@vueuse/core';
import { useCourse } from '~/stores/course';

/**
 * What is typed into a form before it is sent, kept in this browser by course and form: closing a dialog, another room
 * or a reload takes nothing of it away. Sent, it begins anew with `clear`.
 */
export function useKeptForm<Form extends Record<string, string | number>>(name: string, blank: Form) {
  const desk = useCourse();
  const form = useLocalStorage<Form>(
    `uplift-form/${desk.course?.id ?? ''}/${name}`,
    { ...blank },
    { mergeDefaults: true },
  );
  return {
    form,
    clear: () => void (form.value = { ...blank }),
  };
}
