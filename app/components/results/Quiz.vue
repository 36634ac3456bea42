<script setup lang="ts">
import { useCourse } from '~/stores/course';
import type { QuizAnswers } from '~~/core/learning/answers';
import { counted } from '~/words/states';

/** A learner's tries at a quiz, and what they can be granted besides. */
const props = defineProps<{ quiz: QuizAnswers; name: string }>();
const desk = useCourse();
const emit = defineEmits<{ grant: [what: { minutes?: number; tries?: number }] }>();
const percent = (share: number) => `${Math.floor(share * 100 + 1e-6)} %`;
const when = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
const result = computed(() => {
  const { share, passed, unmarked, open } = props.quiz;
  return [
    share === undefined ? '' : percent(share),
    passed === undefined ? '' : passed ? 'passed' : 'not passed',
    unmarked ? `${counted(unmarked, ['answer waits', 'answers wait'])} for a mark` : '',
    open ? 'a try is under way' : '',
    share === undefined && !open ? 'not begun' : '',
  ]
    .filter(Boolean)
    .join(', ');
});
const granted = computed(() => {
  const { minutes = 0, tries = 0 } = props.quiz.granted ?? {};
  return [minutes ? `${minutes} min more for each try` : '', tries ? counted(tries, ['try', 'tries']) + ' more' : '']
    .filter(Boolean)
    .join(', ');
});
const minutes = ref<number>();
</script>

<template>
  <div class="small">
    <p>
      <strong>{{ result }}</strong>
    </p>
    <ol v-if="quiz.sittings.length">
      <li v-for="(sitting, at) in quiz.sittings" :key="at">
        {{
          [
            `Try ${at + 1}`,
            ...(sitting.begun ? [when(sitting.begun)] : []),
            ...(sitting.handed ? [`${Math.max(1, Math.round((sitting.handed - sitting.begun) / 60_000))} min`] : []),
            ...(sitting.share === undefined ? [] : [percent(sitting.share)]),
            ...(sitting.late ? [`came in ${sitting.late} min after its time`] : []),
          ].join(', ')
        }}
      </li>
    </ol>
    <p v-if="granted" class="quiet">Granted: {{ granted }}.</p>
    <p v-if="desk.mayEdit && (quiz.limited.tries || quiz.limited.minutes)" class="line">
      <UButton
        v-if="quiz.limited.tries"
        size="xs"
        color="neutral"
        variant="outline"
        :aria-label="`Give ${name} one more try at ${quiz.lesson.title}`"
        @click="emit('grant', { tries: 1 })"
        >Give one more try</UButton
      >
      <template v-if="quiz.limited.minutes">
        <FieldFigure
          :value="minutes"
          :save="(value) => (minutes = value)"
          label="More minutes for each try"
          :min="1"
          :max="600"
          optional
          placeholder="minutes"
        />
        <UButton
          size="xs"
          color="neutral"
          variant="outline"
          :disabled="minutes === undefined"
          :aria-label="`Give ${name} more time at ${quiz.lesson.title}`"
          @click="emit('grant', { minutes })"
          >Give more time</UButton
        >
      </template>
    </p>
  </div>
</template>

<style scoped>
ol {
  margin: 2px 0;
}
.line {
  display: flex;
  gap: 7px;
  align-items: center;
  margin: 6px 0;
}
</style>
