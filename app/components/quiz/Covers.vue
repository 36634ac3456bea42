<script setup lang="ts">
import { LEVELS } from '~~/core/checks/check';
import { coverageOf, type QuizLesson } from '~~/core/course/quizzes';
import { useCourse } from '~/stores/course';
import { LEVEL_WORDS } from '~/words/quiz';

/** Questions of each level for each objective, at a glance; what nothing asks about stands out. */
const props = defineProps<{ lesson: QuizLesson }>();
const desk = useCourse();
const lines = computed(() =>
  coverageOf(desk.course!, props.lesson).map(({ objectiveId, levels }) => ({
    id: objectiveId ?? 'none',
    text: objectiveId ? (desk.course!.objectives.find(({ id }) => id === objectiveId)?.text ?? '') : 'of no objective',
    levels,
    of: LEVELS.reduce((sum, level) => sum + levels[level], 0),
  })),
);
const missing = computed(() => lines.value.filter(({ of }) => of === 0).length);
</script>

<template>
  <section v-if="lines.length">
    <h2>
      What it covers<span v-if="missing" class="decide small">
        {{ missing === 1 ? '1 objective is not asked about' : `${missing} objectives are not asked about` }}</span
      >
    </h2>
    <table class="small">
      <thead>
        <tr>
          <th scope="col"><span class="sr-only">Objective</span></th>
          <th v-for="level in LEVELS" :key="level" scope="col">{{ LEVEL_WORDS[level] }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.id" :class="{ none: line.of === 0 }">
          <th scope="row" :title="line.text">{{ line.text }}</th>
          <td v-for="level in LEVELS" :key="level">{{ line.levels[level] || '·' }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
th,
td {
  padding: 3px 4px;
  border-bottom: 1px solid var(--hair);
  text-align: right;
  font-weight: 400;
  font-variant-numeric: tabular-nums;
}
thead th {
  color: var(--ink-2);
  width: 46px;
}
th:first-child {
  width: auto;
  padding-left: 0;
  text-align: left;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.none th,
.none td {
  color: var(--rust);
}
h2 span {
  font-weight: 400;
  margin-left: 4px;
}
</style>
