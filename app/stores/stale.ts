import { api } from '~/client';
import { defineStore } from 'pinia';
import { watchDebounced } from '@vueuse/core';
import { computed, shallowRef } from 'vue';
import { usesOf } from '~~/core/course/uses';
import type { Stale } from '~~/core/review/stale';
import { useCourse } from './course';

/**
 * What of the course stands on words that a newer version of a source changed or dropped; counted on the course as it
 * is typed.
 */
export const useStale = defineStore('stale', () => {
  const desk = useCourse();
  const found = shallowRef<ReadonlyMap<string, Stale>>(new Map());
  const ids = computed(() => new Set(found.value.keys()));

  async function load() {
    const id = desk.course?.id;
    if (!id) return;
    const list = await api('GET /api/courses/:course/stale', { course: id }).catch(() => null);
    if (list && desk.course?.id === id) found.value = new Map(list.map((each) => [each.id, each]));
  }
  // Undo and other hands can bring back what stood on old words.
  watchDebounced(() => desk.outside, load, { debounce: 1200 });

  /** Sentences and questions on such words, by lesson. */
  const lessons = computed(() => {
    const counts = new Map<string, { sentences: number; checks: number }>();
    if (!desk.course || ids.value.size === 0) return counts;
    for (const [id, uses] of usesOf(desk.course)) {
      if (!ids.value.has(id)) continue;
      for (const { lesson, check } of uses) {
        const count = counts.get(lesson) ?? { sentences: 0, checks: 0 };
        counts.set(
          lesson,
          check ? { ...count, checks: count.checks + 1 } : { ...count, sentences: count.sentences + 1 },
        );
      }
    }
    return counts;
  });
  const sum = (key: 'sentences' | 'checks') =>
    computed(() => [...lessons.value.values()].reduce((total, each) => total + each[key], 0));
  return { found, ids, lessons, sentences: sum('sentences'), checks: sum('checks'), load };
});
