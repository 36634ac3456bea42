<script setup lang="ts">
import { LEVELS, type Level } from '~~/core/checks/check';
import { drawsOf, objectivesFor, poolOf, type QuizLesson } from '~~/core/course/quizzes';
import { LIMITS, type Draw } from '~~/core/quiz/form';
import { useQuiz } from '~/composables/useQuiz';
import { counted } from '~/words/states';
import { FROM_WORDS, LEVEL_WORDS } from '~/words/quiz';

/** What a try asks: all that stands on the page, or so many drawn by rules. */
const props = defineProps<{ lesson: QuizLesson }>();
const { desk, set, type } = useQuiz(props);
type From = keyof typeof FROM_WORDS;
const draw = computed(() => props.lesson.quiz.draw);
const pool = computed(() => poolOf(desk.course!, props.lesson).length);
const draws = computed(() => drawsOf(desk.course!, props.lesson));
const asks = computed(() => draws.value.reduce((sum, { take }) => sum + take, 0));
const FROM = [
  { value: 'all' as const, label: 'all questions of this page' },
  ...(Object.keys(FROM_WORDS) as From[]).map((value) => ({ value, label: `some, drawn from ${FROM_WORDS[value]}` })),
];
const ANY = 'any';
const objectives = computed(() => [
  { value: ANY, label: 'any objective' },
  ...objectivesFor(desk.course!, props.lesson).flatMap((id) => {
    const objective = desk.course!.objectives.find((each) => each.id === id);
    return objective ? [{ value: id, label: objective.text }] : [];
  }),
]);
const levels = [
  { value: ANY, label: 'any level' },
  ...LEVELS.map((value) => ({ value: value as string, label: LEVEL_WORDS[value] })),
];
function from(value: From | 'all') {
  if (value === 'all') return set('what a try asks', { draw: undefined });
  const rules = draw.value?.rules ?? [{ count: Math.max(1, Math.min(10, pool.value || 10)) }];
  set('what a try asks', { draw: { from: value, rules } });
}
const withRule = (at: number, change: Partial<Draw>): Draw[] =>
  draw.value!.rules.map((rule, index) =>
    index === at ? (JSON.parse(JSON.stringify({ ...rule, ...change })) as Draw) : rule,
  );
const rules = (list: Draw[]) => ({ draw: { from: draw.value!.from, rules: list } });
const isKnown = (objectiveId: string | undefined) =>
  objectiveId === undefined || desk.course!.objectives.some(({ id }) => id === objectiveId);
</script>

<template>
  <section>
    <h2>A try asks {{ counted(asks, ['question', 'questions']) }}</h2>
    <FieldSelect
      v-if="desk.mayEdit"
      class="from"
      :model-value="draw?.from ?? 'all'"
      :items="FROM"
      label="What a try asks"
      @update:model-value="from"
    />
    <ul v-if="draw" class="rules">
      <li v-for="(rule, at) in draw.rules" :key="at">
        <FieldFigure
          :value="rule.count"
          :save="
            (value, was, group) =>
              value !== undefined &&
              type('what a try asks', rules(withRule(at, { count: value })), rules(withRule(at, { count: was })), group)
          "
          :label="`Questions of rule ${at + 1}`"
          v-bind="LIMITS.count"
          :readonly="!desk.mayEdit"
        />
        <template v-if="desk.mayEdit">
          <FieldSelect
            class="which"
            :model-value="isKnown(rule.objectiveId) ? (rule.objectiveId ?? ANY) : ANY"
            :items="objectives"
            :label="`Objective of rule ${at + 1}`"
            @update:model-value="
              set(
                'what a try asks',
                rules(withRule(at, { objectiveId: $event === ANY ? undefined : ($event as string) })),
              )
            "
          />
          <FieldSelect
            :model-value="(rule.level as string) ?? ANY"
            :items="levels"
            :label="`Level of rule ${at + 1}`"
            @update:model-value="
              set('what a try asks', rules(withRule(at, { level: $event === ANY ? undefined : ($event as Level) })))
            "
          />
        </template>
        <p class="small" :class="draws[at]!.from.length < rule.count ? 'decide' : 'quiet'">
          {{ !isKnown(rule.objectiveId) ? 'its objective is gone; ' : '' }}the pool holds {{ draws[at]!.from.length }}
          <button
            v-if="desk.mayEdit && draw.rules.length > 1"
            type="button"
            class="link small"
            :aria-label="`Take rule ${at + 1} away`"
            @click="set('what a try asks', rules(draw.rules.filter((_, index) => index !== at)))"
          >
            take away
          </button>
        </p>
      </li>
    </ul>
    <p v-if="draw && desk.mayEdit">
      <button type="button" class="link small" @click="set('what a try asks', rules([...draw.rules, { count: 1 }]))">
        Another rule
      </button>
    </p>
    <p v-if="draw" class="small quiet">
      {{ counted(pool, ['question', 'questions']) }} to draw from; none is drawn twice, each learner and try gets its
      own.
    </p>
  </section>
</template>

<style scoped>
.from {
  width: 100%;
}
.rules {
  display: grid;
  gap: 8px;
  margin: 8px 0 4px;
}
.rules li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 5px 6px;
}
.rules :deep(input) {
  width: 3.4em;
}
.rules p {
  flex-basis: 100%;
  margin: 0;
  display: flex;
  gap: 10px;
}
.which {
  flex: 1;
  min-width: 0;
}
</style>
