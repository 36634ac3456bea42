<script setup lang="ts">
import type { Brief } from '~~/core/course/course';

/** A number of the brief's sizes, typed in place; empty, there is none, unless it must be said. */
const { of, required = false } = defineProps<{ of: keyof typeof MOST; required?: boolean }>();
const { brief, set } = useBrief();
const MOST = {
  minutes: 100_000,
  questionsPerLesson: 50,
  modules: 1000,
  lessonsPerModule: 1000,
  wordsPerLesson: 5000,
  checkEvery: 1000,
};
const LEAST: Partial<Record<keyof typeof MOST, number>> = {
  questionsPerLesson: 0,
  wordsPerLesson: 40,
  checkEvery: 0.5,
};
/** Minutes may be parts of one, counts may not. */
const isWhole = computed(() => of !== 'minutes' && of !== 'checkEvery');

function sized(words: string): Partial<Brief> | undefined {
  const number = Number(words);
  const size = { ...brief.value.size };
  if (words.trim() === '') {
    if (of === 'questionsPerLesson') return undefined;
    delete size[of];
  } else if (!Number.isFinite(number)) return undefined;
  else size[of] = Math.min(MOST[of], Math.max(LEAST[of] ?? 1, isWhole.value ? Math.round(number) : number));
  return { size };
}
function save(words: string, was: string, group: string) {
  const change = sized(words);
  return !change || set('size', change, sized(was) ?? {}, group);
}
</script>

<template>
  <FieldInPlace
    :value="String(brief.size[of] ?? '')"
    :save="save"
    :required="required"
    :inputmode="isWhole ? 'numeric' : 'decimal'"
    boxed
    class="count"
    :placeholder="required ? undefined : 'any'"
  />
</template>

<style scoped>
.count {
  width: 84px;
}
</style>
