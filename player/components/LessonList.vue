<script setup lang="ts">
import type { Progress } from '../../core/learning/progress';
import type { LearnerCourse } from '../../core/learning/view';
import { say, type Words } from '../../core/words';

/** All lessons, with what is done and where one is. */
defineProps<{ course: LearnerCourse; progress: Progress; at?: string; words: Words }>();
</script>

<template>
  <nav class="up-list" :aria-label="words.lessons">
    <template v-for="module in course.modules" :key="module.id">
      <h2>{{ module.title }}</h2>
      <ul>
        <li v-for="lesson in module.lessons" :key="lesson.id">
          <component
            :is="progress.lessons[lesson.id]!.open ? 'a' : 'span'"
            :href="progress.lessons[lesson.id]!.open ? `#${lesson.id}` : undefined"
            :class="{ shut: !progress.lessons[lesson.id]!.open }"
            :aria-current="lesson.id === at ? 'page' : undefined"
          >
            <svg width="13" height="11" viewBox="0 0 13 11" aria-hidden="true">
              <path
                d="M.5 10.5 V5 Q.5 .5 5 .5 H12.5 V10.5 Z"
                :fill="progress.lessons[lesson.id]!.done ? 'var(--moss)' : 'none'"
                stroke="var(--moss)"
                :stroke-dasharray="progress.lessons[lesson.id]!.done ? undefined : '2 2'"
              />
            </svg>
            <span
              >{{ lesson.title
              }}<span class="sr">{{
                progress.lessons[lesson.id]!.known
                  ? `, ${words.quiz.known}`
                  : progress.lessons[lesson.id]!.done
                    ? `, ${words.done}`
                    : progress.lessons[lesson.id]!.open
                      ? ''
                      : `, ${words.shut}`
              }}</span></span
            >
            <span class="min">{{ say(words.minutes, { minutes: Math.max(1, Math.round(lesson.minutes)) }) }}</span>
          </component>
        </li>
      </ul>
    </template>
  </nav>
</template>
