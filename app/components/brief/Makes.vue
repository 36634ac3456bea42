<script setup lang="ts">
import { useCourse } from '~/stores/course';
import { useFigures } from '~/stores/figures';
import { makesWords } from '~/words/brief';
import { counted } from '~/words/states';
import type { BriefOffers } from '~~/core/brief/verdict';

/** What the brief makes for the learner, said at once; `makes`: what a draft by it would have, once that is known. */
const { makes } = defineProps<{ makes: BriefOffers['makes'] }>();
const desk = useCourse();
const figures = useFigures();
/** So far from the minutes asked is a gap. */
const CLOSE = 0.1;
const gap = computed(() => {
  const { minutes, modules, lessonsPerModule } = desk.course!.brief.size;
  if (!makes || minutes === undefined) return '';
  const by = makes.minutes - minutes;
  if (Math.abs(by) <= minutes * CLOSE) return '';
  const why =
    (modules ?? lessonsPerModule)
      ? 'the counts you fixed are kept'
      : by > 0
        ? 'no rule of a topic that stays is left out'
        : 'the sources hold no more';
  return `${Math.abs(by)} minutes ${by > 0 ? 'more' : 'fewer'} than asked: ${why}.`;
});
const FILLED =
  'That is filled first, and kept then: background goes before topics, and no topic that stays loses a rule. What is left out is named.';
const said = computed(() => {
  const { audience, size, sourcesOnly } = desk.course!.brief;
  const { minutes: asked, questionsPerLesson: checks, checkEvery } = size;
  const now = figures.minutes;
  const every = checkEvery ? `, about one for every ${counted(checkEvery, ['minute', 'minutes'])} of reading` : '';
  return [
    makesWords(makes),
    gap.value,
    asked
      ? `About ${asked} minutes for ${audience.who || 'the learner'}${now ? `; the course has ${now} now` : ''}. ${FILLED}`
      : 'No length is asked: everything that the sources teach is taught.',
    audience.knows.length > 0
      ? `${audience.knows.join(', ')}: recalled in a line, not taught.`
      : 'Everything is explained: nothing is said to be known.',
    `Up to ${counted(checks, ['check', 'checks'])} in a lesson${every}; fewer where the sources give fewer good ones.`,
    sourcesOnly
      ? 'Only sentences that stand in your sources.'
      : 'Short connecting text may be added, marked as ours; it never states a fact.',
  ].filter(Boolean);
});
</script>

<template>
  <aside>
    <h2>What this makes</h2>
    <p v-for="line in said" :key="line" :class="{ gap: line === gap }">{{ line }}</p>
    <slot />
  </aside>
</template>

<style scoped>
aside {
  width: 270px;
  border-left: 1px solid var(--hair);
  padding-left: 22px;
  font-size: 14px;
  color: var(--ink-2);
}
h2 {
  font-size: 16px;
  margin-bottom: 8px;
}
p {
  margin-bottom: 10px;
}
.gap {
  border-left: 3px solid var(--rust);
  padding-left: 8px;
}
</style>
