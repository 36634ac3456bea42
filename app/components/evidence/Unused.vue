<script setup lang="ts">
import { api } from '~/client';
import type { Lesson } from '~~/core/course/course';
import { giveTo, newLessonWith } from '~~/core/course/gestures';
import { reasonWords } from '~~/core/course/left-out-words';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { claimWords, placeWords, type PassageView } from './place';

/** What the sources say on a lesson's topic and no lesson uses yet, to be given to the lesson. */
const props = defineProps<{ lesson: Lesson }>();
const desk = useCourse();
const found = ref<PassageView[] | null>(null);
const failed = ref(false);
let asked = 0;

async function load() {
  const mine = ++asked;
  failed.value = false;
  const answer = await api('GET /api/courses/:course/lessons/:lesson/unused', {
    course: desk.course!.id,
    lesson: props.lesson.id,
  }).catch(() => undefined);
  if (mine !== asked) return;
  failed.value = answer === undefined;
  found.value = answer ?? null;
}
watch(
  () => props.lesson.id,
  () => {
    found.value = null;
    void load();
  },
  { immediate: true },
);
const planned = computed(() => new Set([...props.lesson.plannedPassages, ...(props.lesson.given ?? [])]));
/** Why a passage is not in the course, where drafting left it out. */
const reasons = computed(
  () =>
    new Map(
      (desk.course!.leftOut ?? []).flatMap(({ passages, reason }) =>
        passages.map((range) => [range.id, reason] as const),
      ),
    ),
);
/** Given to any lesson, it waits there for its draft. */
const given = computed(() => new Set(desk.lessons.flatMap((lesson) => lesson.given ?? [])));
const rest = computed(() =>
  (found.value ?? []).filter(({ passage }) => !planned.value.has(passage.id) && !given.value.has(passage.id)),
);
const own = computed(() => (found.value ?? []).filter((each) => planned.value.has(each.passage.id)));

function give(view: PassageView) {
  desk.change(`passage for “${props.lesson.title}”`, giveTo(props.lesson, [view.passage.id]));
}
/** A lesson of its own for what stands under one heading and is used nowhere, behind this one. */
function begin({ passage, source }: PassageView) {
  const heading = passage.locator.path.at(-1);
  const together = rest.value.filter(
    (each) => each.source.id === source.id && each.passage.locator.path.at(-1) === heading,
  );
  const title = (heading ?? source.title).slice(0, 400);
  desk.change(
    `lesson “${title}”`,
    newLessonWith(
      desk.course!,
      props.lesson.id,
      { lesson: freshId('l'), module: freshId('m') },
      { title, passages: together.map((each) => each.passage.id) },
    ),
  );
}
</script>

<template>
  <aside class="unused" aria-label="Not used yet">
    <h2>On this topic, not used yet</h2>
    <p class="small quiet">For “{{ lesson.title }}”. What you give it is drafted with it.</p>
    <p v-if="failed" class="small decide">
      It could not be looked for. <button type="button" class="link" @click="load">Look again</button>
    </p>
    <p v-else-if="found === null" class="small quiet">Looking</p>
    <p v-else-if="rest.length === 0" class="small quiet">
      Whatever fits it is in the course already.
      <NuxtLink class="link" :to="`/course/${desk.course!.id}/holds`">All that is left out</NuxtLink>
    </p>
    <article v-for="view in rest" :key="view.passage.id">
      <p>
        <strong>{{ view.source.title }}</strong>
      </p>
      <p class="mono">{{ placeWords(view.passage) }}</p>
      <SourceCells v-if="view.passage.table" :passage="view.passage" heads />
      <p v-else>{{ view.passage.text }}</p>
      <p class="small quiet">
        {{
          view.claims
            .map(claimWords)
            .filter((words, index, all) => all.indexOf(words) === index)
            .join(', ')
        }}<template v-if="reasons.has(view.passage.id)">
          left out: {{ reasonWords(reasons.get(view.passage.id)!) }}.</template
        >
        <button type="button" class="link" @click="give(view)">give to this lesson</button>,
        <button type="button" class="link" @click="begin(view)">make it a lesson</button>
      </p>
    </article>
    <p v-if="own.length" class="small quiet mt">{{ own.length }} given or planned already, not in the text yet.</p>
  </aside>
</template>

<style scoped>
.unused {
  overflow-y: auto;
  padding: 12px 16px;
  background: var(--paper);
  border-left: 1px solid var(--hair);
  font-size: 14px;
}
h2 {
  font-size: 15px;
}
article {
  padding: 10px 0;
  border-bottom: 1px solid var(--hair);
}
article p {
  margin-bottom: 3px;
}
.mt {
  margin-top: 10px;
}
</style>
