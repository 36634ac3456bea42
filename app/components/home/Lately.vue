<script setup lang="ts">
import { dayOf } from '~/words/dates';
import type { Lately } from '~~/core/course/row';

/** What happened lately in one's courses, each a way to where it happened. */
defineProps<{ lines: readonly Lately[] }>();
/** So many people are named; the others are counted. */
const NAMED = 3;
function together(names: readonly string[]): string {
  const shown =
    names.length <= NAMED ? [...names] : [...names.slice(0, NAMED - 1), `${names.length - NAMED + 1} others`];
  return shown.length < 2 ? shown.join('') : `${shown.slice(0, -1).join(', ')} and ${shown.at(-1)}`;
}
const said = (line: Lately) => {
  if (line.kind === 'release') return `Release ${line.number} was made`;
  if (line.kind === 'learner') return `${together(line.who.map((name) => name || 'somebody without a name'))} learned`;
  return `${line.who || 'Somebody'} changed it${line.what.length > 0 ? `: ${line.what.join(', ')}` : ''}`;
};
const PLACES = { change: 'outline', release: 'release', learner: 'results' } as const;
</script>

<template>
  <section class="lately" aria-labelledby="lately">
    <h2 id="lately">Lately</h2>
    <ul>
      <li v-for="(line, at) in lines" :key="at">
        <span class="small quiet time">{{ dayOf(line.at) }}</span><span>{{ said(line) }}</span
        ><NuxtLink class="link small" :to="`/course/${line.course.id}/${PLACES[line.kind]}`">{{
          line.course.title
        }}</NuxtLink>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.lately {
  margin-top: 36px;
}
h2 {
  font-size: 18px;
  margin-bottom: 8px;
}
li {
  display: grid;
  grid-template-columns: 130px 1fr minmax(120px, 300px);
  gap: 12px;
  align-items: baseline;
  padding: 5px 8px;
  border-top: 1px solid var(--hair);
}
.time {
  white-space: nowrap;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: 1fr;
    gap: 0;
  }
}
</style>
