<script setup lang="ts">
import { addressOf } from '~/client';
import type { DropdownMenuItem } from '@nuxt/ui';
import type { ListColumn } from '~/components/list/column';
import { dayOf } from '~/words/dates';
import { STATES } from '~/words/states';
import type { CourseRow as Row } from '~~/core/course/row';

/** One's courses as a table: how far each is, whether people learn by it, and what can be done with it as a whole. */
const { rows } = defineProps<{ rows: readonly Row[] }>();
const emit = defineEmits<{ rename: [row: Row]; duplicate: [row: Row]; remove: [row: Row] }>();

const COLUMNS: ListColumn<Row>[] = [
  { key: 'title', label: 'Course', value: (row) => row.title.toLowerCase() },
  { key: 'path', label: 'Path', roomy: true },
  { key: 'minutes', label: 'Min', value: (row) => row.minutes, down: true, number: true, roomy: true },
  { key: 'work', label: 'Work' },
  { key: 'release', label: 'Release', value: (row) => row.release?.at ?? 0, down: true },
  { key: 'learners', label: 'Learners', value: (row) => row.learners, down: true, number: true, roomy: true },
  { key: 'changed', label: 'Changed', value: (row) => row.changedAt, down: true, roomy: true },
  { key: 'more', label: 'Actions', hidden: true },
];
const sorting = ref([{ id: 'changed', desc: true }]);

const work = (row: Row) => {
  const lessons = Object.values(row.states).reduce((sum, count) => sum + count, 0);
  if (lessons === 0) return 'No outline yet';
  if ((row.states.blank ?? 0) === lessons) return 'Outline, nothing drafted';
  const furthest = STATES.toReversed().find(({ state }) => row.states[state])!;
  return `${row.states[furthest.state]} of ${lessons} ${furthest.label.toLowerCase()}`;
};
const states = (row: Row) =>
  new Map(row.path.flatMap((module) => module.lessons.map((lesson) => [lesson.id, lesson.state] as const)));

/**
 * What was chosen from a menu and opens a dialog: once the menu has given the focus back, or it would take it from the
 * dialog in the middle of a word.
 */
let chosen: (() => void) | undefined;
const menu = {
  align: 'end' as const,
  onCloseAutoFocus() {
    const run = chosen;
    chosen = undefined;
    if (run) setTimeout(run);
  },
};

function actions(row: Row): DropdownMenuItem[][] {
  const can = row.broken === undefined;
  const own = row.role === 'author';
  return [
    [
      { label: 'Open', onSelect: () => void navigateTo(`/course/${row.id}/outline`), disabled: !can },
      ...(own
        ? [
            { label: 'Rename', onSelect: () => void (chosen = () => emit('rename', row)), disabled: !can },
            { label: 'Duplicate', onSelect: () => emit('duplicate', row), disabled: !can },
          ]
        : []),
      {
        label: 'Save as an archive',
        onSelect: () => void window.location.assign(addressOf('GET /api/courses/:course/archive', { course: row.id })),
        disabled: !can,
      },
    ],
    ...(own ? [[{ label: 'Delete', onSelect: () => void (chosen = () => emit('remove', row)) }]] : []),
  ];
}
</script>

<template>
  <ListTable v-model:sorting="sorting" :rows="rows" :columns="COLUMNS" label="Courses" class="courses">
    <template #title="{ row }">
      <template v-if="row.broken"
        ><strong>{{ row.title }}</strong
        ><span class="small decide block">{{ row.broken }}</span></template
      >
      <span v-else class="name"
        ><NuxtLink :to="`/course/${row.id}/outline`">{{ row.title }}</NuxtLink
        ><span class="small quiet">{{ row.audience || 'For whom is not said yet' }}</span></span
      >
    </template>
    <template #path="{ row }"
      ><PathDrawing v-if="!row.broken" :modules="row.path" :states="states(row)" :width="220" :height="34"
    /></template>
    <template #minutes="{ row }">{{ (!row.broken && row.minutes) || '' }}</template>
    <template #work="{ row }">
      <template v-if="!row.broken"
        >{{ work(row)
        }}<span v-if="row.toChoose" class="small decide block">{{
          row.toChoose === 1 ? 'one text to choose' : `${row.toChoose} texts to choose`
        }}</span
        ><span v-if="row.role !== 'author'" class="small quiet block">you review</span></template
      >
    </template>
    <template #release="{ row }">
      <template v-if="row.release && !row.broken"
        >Release {{ row.release.number
        }}<span class="small quiet block">{{
          row.release.withdrawn
            ? 'withdrawn'
            : row.release.changed
              ? `${dayOf(row.release.at)}, changed since`
              : dayOf(row.release.at)
        }}</span></template
      ><span v-else-if="!row.broken" class="quiet">not yet</span>
    </template>
    <template #learners="{ row }">{{ (!row.broken && row.learners) || '' }}</template>
    <template #changed="{ row }"
      ><span class="small quiet">{{ dayOf(row.changedAt) }}</span></template
    >
    <template #more="{ row }">
      <UDropdownMenu :items="actions(row)" :content="menu"
        ><button type="button" class="link small" :aria-label="`More for ${row.title}`">more</button></UDropdownMenu
      >
    </template>
  </ListTable>
</template>

<style scoped>
.courses :deep(td) {
  padding-block: 12px;
}
.name a {
  display: block;
  font-weight: 700;
}
.name a:hover {
  text-decoration: underline;
}
.courses :deep(.path) {
  width: 236px;
}
</style>
