<script setup lang="ts">
import { waitingForAnswers } from '~~/core/course/waiting';
import { useActions } from '~/actions/registry';
import { useCourse } from '~/stores/course';
import { useStale } from '~/stores/stale';
import { staleWords } from '~/words/sources';
import { useJobs } from '~/stores/jobs';
import { useFigures } from '~/stores/figures';
import type { ListColumn } from '~/components/list/column';
import { counted, STATES } from '~/words/states';

/** All lessons: drafted one by one or all, with what is done and what is left. */
const desk = useCourse();
const figures = useFigures();
const stale = useStale();
const jobs = useJobs();
const chosen = ref<string[]>([]);
const search = ref('');
/** As the course goes, unless a column is asked for. */
const sorting = ref<{ id: string; desc: boolean }[]>([]);
/** Those that ask their author something first. */
const asking = computed(() => waitingForAnswers(desk.course!));
const blank = computed(() =>
  desk.lessons
    .filter(({ id, kind, blocks }) => kind === 'lesson' && blocks.length === 0 && !asking.value.has(id))
    .map((lesson) => lesson.id),
);
const next = computed(() =>
  (chosen.value.length > 0
    ? desk.lessons.filter(({ id, kind }) => kind === 'lesson' && chosen.value.includes(id)).map(({ id }) => id)
    : blank.value
  ).filter((id) => !jobs.waiting.has(id)),
);

async function draft() {
  await jobs.draft(next.value);
  chosen.value = [];
}
/** What is going on with a lesson, in words. */
const going = (id: string) => ({ now: 'being drafted', waiting: 'waits for its draft' })[jobs.waiting.get(id)!];
const rows = computed(() =>
  desk.course!.modules.flatMap((module) =>
    module.lessons.map((lesson) => ({
      id: lesson.id,
      title: lesson.title,
      module: module.title,
      minutes: figures.all.get(lesson.id)?.minutes ?? 0,
      checks: figures.all.get(lesson.id)?.checks ?? 0,
      state: lesson.state,
      stale: stale.lessons.has(lesson.id) ? staleWords(stale.lessons.get(lesson.id)!) : '',
      going: going(lesson.id),
    })),
  ),
);
type Row = (typeof rows.value)[number];
const nameOf = (row: Row) => row.title;
const wordsOf = (row: Row) => `${row.title} ${row.module} ${STATES.find(({ state }) => state === row.state)?.label}`;
const COLUMNS: ListColumn<Row>[] = [
  { key: 'title', label: 'Lesson', value: (row) => row.title },
  { key: 'module', label: 'Module', value: (row) => row.module },
  { key: 'minutes', label: 'Min', value: (row) => row.minutes, number: true, down: true },
  { key: 'checks', label: 'Checks', value: (row) => row.checks, number: true, down: true },
  { key: 'state', label: 'State', value: (row) => STATES.findIndex(({ state }) => state === row.state) },
];
useActions([
  {
    id: 'ls-draft',
    label: 'Draft the chosen or blank lessons',
    key: 'Alt+D',
    area: 'Lessons',
    when: () => desk.mayEdit && next.value.length > 0 && (chosen.value.length > 0 || jobs.running.length === 0),
    run: () => void draft(),
  },
]);
</script>

<template>
  <div class="lessons">
    <div class="head">
      <h1>Lessons</h1>
      <span class="small quiet"
        >{{ blank.length ? `${blank.length} blank` : asking.size ? '' : 'every lesson has text'
        }}<template v-if="asking.size"
          >{{ blank.length ? ', ' : ''
          }}<NuxtLink class="link" :to="`/course/${desk.course!.id}/sources/interview`">{{
            asking.size === 1 ? '1 waits for your answers' : `${asking.size} wait for your answers`
          }}</NuxtLink></template
        ></span
      >
      <div class="end">
        <UButton v-if="desk.mayEdit && next.length && (chosen.length || jobs.running.length === 0)" @click="draft">{{
          chosen.length
            ? `Draft ${counted(chosen.length, ['lesson', 'lessons'])}`
            : `Draft ${next.length === 1 ? 'the blank lesson' : `all ${next.length} blank lessons`}`
        }}</UButton>
        <UInput v-model="search" size="sm" placeholder="Find a lesson" aria-label="Find a lesson" />
      </div>
    </div>
    <ListTable
      v-if="rows.length"
      v-model:search="search"
      v-model:chosen="chosen"
      v-model:sorting="sorting"
      :rows="rows"
      :columns="COLUMNS"
      :name-of="desk.mayEdit ? nameOf : undefined"
      :words="wordsOf"
      label="Lessons"
    >
      <template #title="{ row }"
        ><NuxtLink class="font-semibold hover:underline" :to="`/course/${desk.course!.id}/lessons/${row.id}`">{{
          row.title
        }}</NuxtLink
        ><span v-if="row.stale" class="small decide block">{{ row.stale }}</span></template
      >
      <template #module="{ row }"
        ><span class="small quiet">{{ row.module }}</span></template
      >
      <template #minutes="{ row }">{{ row.minutes }}</template>
      <template #checks="{ row }">{{ row.checks || '' }}</template>
      <template #state="{ row }"
        ><em v-if="row.going" class="small going">{{ row.going }}</em
        ><PathStateMark v-else :state="row.state"
      /></template>
    </ListTable>
    <div v-else class="empty">
      <h2>No lessons yet</h2>
      <p>Lessons come with the outline.</p>
      <NuxtLink class="link" :to="`/course/${desk.course!.id}/outline`">To the outline</NuxtLink>
    </div>
  </div>
</template>

<style scoped>
.lessons {
  flex: 1;
  overflow-y: auto;
}
:deep(td:first-child),
:deep(th:first-child) {
  padding-left: 18px;
}
.going {
  font-style: normal;
  color: var(--moss);
}
</style>
