import { watchDebounced } from '@vueuse/core';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import type { Flaw } from '~~/core/checks/lints';
import { lintCourse } from '~~/core/course/lint';
import { useCourse } from './course';

/** Milliseconds of rest after which questions are looked through anew. */
const REST = 500;

/** What is wrong with the questions of the course at hand, by the check's id; it follows what is typed. */
export const useFlaws = defineStore('flaws', () => {
  const desk = useCourse();
  const all = shallowRef<ReadonlyMap<string, Flaw[]>>(new Map());
  const look = () => void (all.value = desk.course ? lintCourse(desk.course) : new Map<string, Flaw[]>());
  look();
  watchDebounced(() => desk.course, look, { debounce: REST });
  return { of: (id: string): Flaw[] => all.value.get(id) ?? [], all };
});
