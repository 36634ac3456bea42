import { api } from '~/client';
import { defineStore } from 'pinia';
import { watchDebounced } from '@vueuse/core';
import { computed, shallowRef } from 'vue';
import { asksOf } from '~~/core/course/quizzes';
import { lessonDemand, lessonMinutes } from '~~/core/brief/sizing';
import type { Lesson } from '~~/core/course/course';
import { useCourse } from './course';

export interface LessonFigures {
  minutes: number;
  demand: number;
  grade?: number;
  checks: number;
}

/**
 * Minutes, demand and checks of each lesson, computed from the course as it is typed; reading grades come from the
 * server.
 */
export const useFigures = defineStore('figures', () => {
  const desk = useCourse();
  const served = shallowRef<Record<string, { grade?: number; planned: number; hard?: string[] }>>({});

  async function load() {
    if (!desk.course) return;
    served.value = await api('GET /api/courses/:course/figures', { course: desk.course.id }).catch(() => served.value);
  }
  watchDebounced(() => [desk.savedAt, desk.outside], load, { debounce: 1200 });

  /** A lesson as the engine would draft it is as long as its plan; one with text is as long as its text. */
  function of(lesson: Lesson): LessonFigures {
    const { grade, planned } = served.value[lesson.id] ?? { planned: 0 };
    const minutes =
      lesson.blocks.length === 0 && lesson.minutesFixed === undefined && planned > 0 ? planned : lessonMinutes(lesson);
    return {
      minutes,
      demand: lessonDemand(lesson, desk.course!, grade),
      ...(grade !== undefined && { grade }),
      checks: asksOf(lesson),
    };
  }
  const all = computed(() => new Map(desk.lessons.map((lesson) => [lesson.id, of(lesson)])));
  const minutes = computed(() => Math.round([...all.value.values()].reduce((sum, each) => sum + each.minutes, 0)));
  /** Checks that read much harder than the pages of their course. */
  const hard = computed(() => new Set(Object.values(served.value).flatMap((each) => each.hard ?? [])));
  return { all, minutes, hard, load };
});
