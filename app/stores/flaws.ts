import { watchDebounced } from '@vueuse/core';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import type { Flaw } from '~~/core/checks/lints';
import { lintCourse } from '~~/core/course/lint';
import { useCourse } from './course';
import { useFigures } from './figures';

/** Milliseconds of rest after which questions are looked through anew. */
const REST = 500;

/**
 * What is wrong with the questions of the course at hand, by the check's id; it follows what is typed. How hard they
 * read is the server's to say, as of pages.
 */
export const useFlaws = defineStore('flaws', () => {
  const desk = useCourse();
  const all = shallowRef<ReadonlyMap<string, Flaw[]>>(new Map());
  const figures = useFigures();
  const look = () => void (all.value = desk.course ? lintCourse(desk.course) : new Map<string, Flaw[]>());
  look();
  watchDebounced(() => desk.course, look, { debounce: REST });
  const of = (id: string): Flaw[] => [
    ...(all.value.get(id) ?? []),
    ...(figures.hard.has(id) ? [{ code: 'harder' as const }] : []),
  ];
  return { of, all };
});
