<script setup lang="ts">
import { computed } from 'vue';
import type { Progress } from '../../core/learning/progress';
import { checksIn, type LearnerCourse } from '../../core/learning/view';
import { drawProfile } from '../../core/picture/profile';

/**
 * The path walked so far: done or not, to scale, with a flag where the learner is. It says nothing that is not said in
 * words too.
 */
const props = defineProps<{ course: LearnerCourse; progress: Progress; at?: string }>();
const WIDTH = 1000;
const HEIGHT = 60;
const drawing = computed(() =>
  drawProfile(
    props.course.modules.map((module) => ({
      title: module.title,
      lessons: module.lessons.map((lesson) => ({
        id: lesson.id,
        title: lesson.title,
        minutes: lesson.minutes,
        demand: lesson.demand,
        checks: checksIn(lesson).length,
      })),
    })),
    WIDTH,
    HEIGHT,
    { foot: 1, head: 8 },
  ),
);
const flag = computed(() => drawing.value.segments.find((segment) => segment.id === props.at));
</script>

<template>
  <div class="up-path" aria-hidden="true">
    <svg class="drawn" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" preserveAspectRatio="none">
      <path
        v-for="segment in drawing.segments"
        :key="segment.id"
        :d="segment.path"
        :class="progress.lessons[segment.id]?.done ? 'done' : 'ahead'"
        vector-effect="non-scaling-stroke"
      />
      <path :d="drawing.line" class="line" vector-effect="non-scaling-stroke" />
    </svg>
    <svg v-if="flag" class="flag" :style="{ insetInlineStart: `${flag.x / 10}%` }" viewBox="0 0 14 32">
      <path d="M1.5 32 V2" stroke="var(--rust)" stroke-width="1.8" />
      <path d="M1.5 2 L13 6.5 L1.5 11 Z" fill="var(--rust)" />
    </svg>
  </div>
</template>
