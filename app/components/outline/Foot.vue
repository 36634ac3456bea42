<script setup lang="ts">
import { SURVEY_MOMENTS, type SurveyMoment } from '~~/core/course/surveys';
import { placedChecks } from '~~/core/course/course';
import { FORM_LABELS } from '~/blocks/survey/words';
import { staying } from '~/composables/staying';
import { useCourse } from '~/stores/course';

/** Below the outline's rows: what can be added, what is shown of them, and the keys. */
defineProps<{ rows: number; folded: boolean }>();
const emit = defineEmits<{
  lesson: [];
  module: [];
  quiz: [];
  last: [];
  form: [moment: SurveyMoment];
  opening: [];
  fold: [];
}>();
const checks = defineModel<boolean>('checks', { required: true });
const desk = useCourse();
/** What is made of what the course has already. */
const MADE = [
  [
    { label: 'An opening lesson, of brief and outline', onSelect: () => emit('opening') },
    { label: 'A final quiz, of the questions of all lessons', onSelect: () => emit('last') },
  ],
  SURVEY_MOMENTS.map((moment) => ({ label: FORM_LABELS[moment], onSelect: () => emit('form', moment) })),
];
</script>

<template>
  <p class="foot small quiet">
    <template v-if="desk.mayEdit"
      ><button type="button" class="link" @click="emit('lesson')">New lesson</button
      ><button type="button" class="link" @click="emit('module')">New module</button
      ><button type="button" class="link" @click="emit('quiz')">New quiz</button
      ><UDropdownMenu v-if="rows" :items="MADE" :content="staying"
        ><button type="button" class="link">Made for you</button></UDropdownMenu
      ></template
    ><button type="button" class="link" @click="emit('fold')">{{ folded ? 'Unfold all' : 'Fold all' }}</button
    ><button type="button" class="link" :aria-pressed="checks" @click="checks = !checks">
      {{ checks ? 'Without checks' : `With the ${placedChecks(desk.course!).length} checks` }}</button
    ><span><kbd>Enter</kbd> new, <kbd>Alt ↑↓</kbd> move, <kbd>Ctrl [ ]</kbd> level, <kbd>Ctrl Del</kbd> delete</span>
  </p>
</template>

<style scoped>
.foot {
  display: flex;
  gap: 16px;
  padding: 10px 16px;
  flex-wrap: wrap;
}
.foot span {
  margin-left: auto;
}
</style>
