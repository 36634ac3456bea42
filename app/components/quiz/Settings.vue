<script setup lang="ts">
import { isQuiz, type QuizLesson } from '~~/core/course/quizzes';
import { LIMITS, SHOWS } from '~~/core/quiz/form';
import { useQuiz } from '~/composables/useQuiz';
import { SHOWS_WORDS } from '~/words/quiz';

/** How a quiz is taken: when it is passed, tries, time, order, what is shown when, what it counts. */
const props = defineProps<{ lesson: QuizLesson }>();
const { desk, set, type } = useQuiz(props);
const quiz = computed(() => props.lesson.quiz);
const shows = SHOWS.map((value) => ({ value, label: SHOWS_WORDS[value] }));
const percent = (share: number | undefined) => (share === undefined ? undefined : Math.round(share * 100));
const share = (value: number | undefined) => (value === undefined ? undefined : value / 100);
/** What all quizzes that count take of the course's mark. */
const together = computed(() =>
  desk.lessons
    .filter(isQuiz)
    .filter(({ quiz: { practice, skips } }) => !practice && !skips)
    .reduce((sum, { quiz: { weight = 0 } }) => sum + weight, 0),
);
/** Learners would never hear what was right. */
const neverOver = computed(() => {
  const { shows: when, pass, tries, practice } = quiz.value;
  return when === 'end' && pass === undefined && tries === undefined && !practice;
});
const SWITCHES = [
  { field: 'mix', label: 'Questions and answers in another order for each learner and try' },
  { field: 'again', label: 'A further try asks only what was wrong' },
  { field: 'practice', label: 'For practice: it counts nowhere' },
  { field: 'skips', label: 'A first test: lessons of the module whose questions are all right are done by it' },
] as const;
</script>

<template>
  <section class="settings">
    <label
      >Passed with
      <FieldFigure
        :value="percent(quiz.pass)"
        :save="(value, was, group) => type('pass mark', { pass: share(value) }, { pass: share(was) }, group)"
        label="Passed with so many per cent of the points"
        :min="1"
        :max="100"
        optional
        placeholder="no mark"
        :readonly="!desk.mayEdit"
      />
      % of the points</label
    >
    <label
      >Tries
      <FieldFigure
        :value="quiz.tries"
        :save="(value, was, group) => type('tries', { tries: value }, { tries: was }, group)"
        label="Tries"
        v-bind="LIMITS.tries"
        optional
        placeholder="any"
        :readonly="!desk.mayEdit"
    /></label>
    <label
      >Time for a try
      <FieldFigure
        :value="quiz.minutes"
        :save="(value, was, group) => type('time', { minutes: value }, { minutes: was }, group)"
        label="Minutes for a try"
        v-bind="LIMITS.minutes"
        optional
        placeholder="any"
        :readonly="!desk.mayEdit"
      />
      min</label
    >
    <p v-if="quiz.minutes" class="small quiet">More time for one learner is given under Results.</p>
    <div class="field">
      <span>Learners hear what was right</span>
      <FieldSelect
        :model-value="quiz.shows"
        :items="shows"
        label="Learners hear what was right"
        :disabled="!desk.mayEdit"
        @update:model-value="set('when answers show', { shows: $event })"
      />
    </div>
    <p v-if="neverOver" class="small decide">
      With any number of tries and nothing to pass this never comes. Limit the tries, or choose another moment.
    </p>
    <UCheckbox
      v-for="{ field, label } in SWITCHES"
      :key="field"
      :model-value="quiz[field] === true"
      :label="label"
      size="sm"
      :disabled="!desk.mayEdit"
      @update:model-value="set(label.toLowerCase(), { [field]: $event ? true : undefined })"
    />
    <template v-if="!quiz.practice && !quiz.skips">
      <label
        >Weight
        <FieldFigure
          :value="quiz.weight"
          :save="(value, was, group) => type('weight', { weight: value }, { weight: was }, group)"
          label="Part of the course's mark in per cent"
          v-bind="LIMITS.weight"
          optional
          placeholder="by points"
          :readonly="!desk.mayEdit"
        />
        % of the course's mark</label
      >
      <p v-if="together" class="small" :class="together > 100 ? 'decide' : 'quiet'">
        {{
          together > 100
            ? `Quizzes together weigh ${together} %: more than there is. Learners' marks are scaled to it.`
            : `Quizzes with a weight: ${together} %; the checks of lessons and other quizzes share ${100 - together} %.`
        }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 13px;
}
.settings > * {
  margin: 0;
}
label {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
}
.field {
  display: grid;
  gap: 4px;
}
</style>
