<script setup lang="ts">
import { giveTo } from '~~/core/course/gestures';
import { byTopic, kindWords, reasonWords } from '~~/core/course/left-out-words';
import { staying } from '~/composables/staying';
import { useCourse } from '~/stores/course';
import type { LeftOutView } from '~/stores/account';

/**
 * Parts of the sources that are not in the course, by topic: what each says, why it is out, and the way back into a
 * lesson.
 */
const props = defineProps<{ lines: readonly LeftOutView[] }>();
const desk = useCourse();
const topics = computed(() => byTopic(props.lines));
const lessonFor = (line: LeftOutView) => desk.lessons.find((lesson) => lesson.id === line.lesson) ?? desk.lessons[0];

function back(line: LeftOutView, lesson = lessonFor(line)) {
  if (lesson)
    desk.change(
      `“${line.topic}” brought back`,
      giveTo(
        lesson,
        line.passages.map((range) => range.id),
      ),
    );
}
function step(event: KeyboardEvent) {
  const { key, currentTarget } = event;
  if (key !== 'ArrowDown' && key !== 'ArrowUp') return;
  event.preventDefault();
  const all = [...document.querySelectorAll<HTMLElement>('[data-left-out]')];
  all[all.indexOf(currentTarget as HTMLElement) + (key === 'ArrowDown' ? 1 : -1)]?.focus();
}
const choices = (line: LeftOutView) => [
  desk.course!.modules.flatMap((module) =>
    module.lessons.map((lesson) => ({ label: lesson.title, onSelect: () => back(line, lesson) })),
  ),
];
</script>

<template>
  <section v-for="group in topics" :key="group.key" class="topic">
    <h3>{{ group.topic }}</h3>
    <article
      v-for="(line, at) in group.lines"
      :key="`${line.passages[0]!.id}/${line.passages[0]!.from}/${at}`"
      data-left-out
      tabindex="0"
      @keydown.self="step"
    >
      <p class="words">{{ line.text }}</p>
      <p class="small quiet">
        <strong v-if="kindWords(line.kinds)">{{ kindWords(line.kinds) }}</strong><span>{{
          reasonWords(line.reason)
        }}</span>
        <NuxtLink class="link" :to="`/course/${desk.course!.id}/sources/${line.sourceId}#${line.passages[0]!.id}`"
          >in the source</NuxtLink
        >
        <template v-if="desk.mayEdit && lessonFor(line)"
          ><button type="button" class="link" data-back @click="back(line)">
            bring back to “{{ lessonFor(line)!.title }}”
          </button>
          <UDropdownMenu :items="choices(line)" :content="staying" :ui="{ content: 'max-h-72 overflow-y-auto' }"
            ><button type="button" class="link">to another lesson</button></UDropdownMenu
          ></template
        >
      </p>
    </article>
  </section>
</template>

<style scoped>
.topic h3 {
  font-size: 14.5px;
  margin: 14px 0 2px;
}
article {
  padding: 6px 8px;
  margin: 0 -8px;
  border-bottom: 1px solid var(--hair);
}
article:focus {
  background: var(--shade);
  outline: none;
  box-shadow: inset 3px 0 var(--moss);
}
.words {
  font-family: var(--font-read);
  font-size: 14.5px;
  max-width: 72ch;
  display: -webkit-box;
  -webkit-line-clamp: 3;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
article:focus .words,
article:focus-within .words {
  -webkit-line-clamp: unset;
}
p.small {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}
p.small strong {
  color: var(--ink);
  font-weight: 600;
}
</style>
