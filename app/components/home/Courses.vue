<script setup lang="ts">
import { addressOf } from '~/client';
import type { DropdownMenuItem } from '@nuxt/ui';
import { dayOf } from '~/words/dates';
import { STATES } from '~/words/states';
import type { CourseRow as Row } from '~~/core/course/row';

/** One's courses as a table: how far each is, whether people learn by it, and what can be done with it as a whole. */
const { rows } = defineProps<{ rows: readonly Row[] }>();
const emit = defineEmits<{ rename: [row: Row]; duplicate: [row: Row]; remove: [row: Row] }>();

const COLUMNS = [
  { key: 'title', label: 'Course', of: (row: Row) => row.title.toLowerCase(), down: false },
  { key: 'path', label: 'Path' },
  { key: 'minutes', label: 'Min', of: (row: Row) => row.minutes, down: true, number: true },
  { key: 'work', label: 'Work' },
  { key: 'release', label: 'Release', of: (row: Row) => row.release?.at ?? 0, down: true },
  { key: 'learners', label: 'Learners', of: (row: Row) => row.learners, down: true, number: true },
  { key: 'changed', label: 'Changed', of: (row: Row) => row.changedAt, down: true },
] as const;
type Sorted = Extract<(typeof COLUMNS)[number], { of: unknown }>;
const order = ref<{ key: Sorted['key']; down: boolean }>({ key: 'changed', down: true });
function sort(column: Sorted) {
  order.value = { key: column.key, down: order.value.key === column.key ? !order.value.down : column.down };
}
const sorted = computed(() => {
  const { of } = COLUMNS.find((column): column is Sorted => column.key === order.value.key)!;
  const way = order.value.down ? -1 : 1;
  return rows.toSorted((a, b) => (of(a) < of(b) ? -way : of(a) > of(b) ? way : 0) || b.changedAt - a.changedAt);
});

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
  <table class="lines">
    <thead>
      <tr>
        <th
          v-for="column in COLUMNS"
          :key="column.key"
          :class="[column.key, { number: 'number' in column }]"
          :aria-sort="
            'of' in column && order.key === column.key ? (order.down ? 'descending' : 'ascending') : undefined
          "
        >
          <button v-if="'of' in column" type="button" class="sort" @click="sort(column)">
            {{ column.label
            }}<span v-if="order.key === column.key" aria-hidden="true">{{ order.down ? ' ↓' : ' ↑' }}</span>
          </button>
          <template v-else>{{ column.label }}</template>
        </th>
        <th><span class="sr-only">Actions</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in sorted" :key="row.id">
        <td v-if="row.broken" colspan="6">
          <strong>{{ row.title }}</strong><span class="small decide block">{{ row.broken }}</span>
        </td>
        <template v-else>
          <td class="name">
            <NuxtLink :to="`/course/${row.id}/outline`">{{ row.title }}</NuxtLink><span class="small quiet">{{
              row.audience || 'For whom is not said yet'
            }}</span>
          </td>
          <td class="path"><PathDrawing :modules="row.path" :states="states(row)" :width="220" :height="34" /></td>
          <td class="number minutes">{{ row.minutes || '' }}</td>
          <td>
            {{ work(row)
            }}<span v-if="row.toChoose" class="small decide block">{{
              row.toChoose === 1 ? 'one text to choose' : `${row.toChoose} texts to choose`
            }}</span
            ><span v-if="row.role !== 'author'" class="small quiet block">you review</span>
          </td>
          <td>
            <template v-if="row.release"
              >Release {{ row.release.number
              }}<span class="small quiet block">{{
                row.release.withdrawn
                  ? 'withdrawn'
                  : row.release.changed
                    ? `${dayOf(row.release.at)}, changed since`
                    : dayOf(row.release.at)
              }}</span></template
            ><span v-else class="quiet">not yet</span>
          </td>
          <td class="number learners">{{ row.learners || '' }}</td>
        </template>
        <td class="small quiet changed">{{ dayOf(row.changedAt) }}</td>
        <td class="number">
          <UDropdownMenu :items="actions(row)" :content="menu"
            ><button type="button" class="link small" :aria-label="`More for ${row.title}`">more</button></UDropdownMenu
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.lines td {
  padding: 12px 8px;
}
.name a {
  display: block;
  font-weight: 700;
}
.name a:hover {
  text-decoration: underline;
}
.path {
  width: 236px;
}
.sort {
  font: inherit;
  color: inherit;
  white-space: nowrap;
}
.sort:hover {
  text-decoration: underline;
}
/* On a phone: what course it is, how far, released or not. */
@media (max-width: 760px) {
  .path,
  .minutes,
  .learners,
  .changed {
    display: none;
  }
}
</style>
