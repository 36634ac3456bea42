<script setup lang="ts" generic="Row extends { id: string }">
import type { TableColumn } from '@nuxt/ui';
import type { TableFeature } from '@tanstack/vue-table';
import type { Directive } from 'vue';
import type { ListColumn } from './column';

/**
 * A list as a table: sorted by a click on a column's name, searched by words, many rows chosen at once. Each cell is
 * its value, or what the slot of the column's key makes of the row.
 */
const {
  rows,
  columns,
  label,
  words = undefined,
  nameOf = undefined,
} = defineProps<{
  rows: readonly Row[];
  columns: readonly ListColumn<Row>[];
  /** What the table is, for who does not see it. */
  label: string;
  /** What is searched in a row; the values of the columns otherwise. */
  words?: (row: Row) => string;
  /** What a row is called where it is chosen; without it rows are not chosen. */
  nameOf?: (row: Row) => string;
}>();
const search = defineModel<string>('search', { default: '' });
const chosen = defineModel<string[]>('chosen', { default: () => [] });
const sorting = defineModel<{ id: string; desc: boolean }[]>('sorting', { default: () => [] });

const wordsOf = (row: Row) =>
  (words?.(row) ?? columns.map((column) => column.value?.(row) ?? '').join(' ')).toLowerCase();
// A list anew each time, so that the table need not look into its rows for changes; the one before where all rows are
// as they were, for drawing hundreds of them again is what takes time here.
const found = computed<Row[]>((before) => {
  const asked = search.value.trim().toLowerCase();
  const now = asked ? rows.filter((row) => wordsOf(row).includes(asked)) : [...rows];
  return before?.length === now.length && now.every((row, at) => alike(row, before[at]!)) ? before : now;
});
const alike = (a: Row, b: Row) => {
  const keys = Object.keys(a) as (keyof Row)[];
  return keys.length === Object.keys(b).length && keys.every((key) => a[key] === b[key]);
};
const shape = computed<TableColumn<Row>[]>(() => [
  ...(nameOf ? [{ id: 'choose', enableSorting: false } as TableColumn<Row>] : []),
  ...columns.map((column): TableColumn<Row> => ({
    id: column.key,
    accessorFn: (row) => column.value?.(row) ?? '',
    enableSorting: column.value !== undefined,
    sortDescFirst: column.down ?? false,
    meta: { class: { th: classOf(column), td: classOf(column) } },
  })),
]);
const classOf = ({ number, roomy, key }: ListColumn<Row>) =>
  [key, number && 'number text-right', roomy && 'max-md:hidden'].filter(Boolean).join(' ');
const selection = computed({
  get: () => Object.fromEntries(chosen.value.map((id) => [id, true])),
  set: (next: Record<string, boolean>) => void (chosen.value = Object.keys(next).filter((id) => next[id])),
});
const columnOf = (key: string) => columns.find((column) => column.key === key)!;
const arrow = (way: false | string) => (way === 'asc' ? '↑' : way === 'desc' ? '↓' : '');
/** Nothing is pinned here; the table asks it of each cell, at length, each time it is drawn. */
const UNPINNED: TableFeature<Row> = {
  createColumn: (column) => void Object.assign(column, { getIsPinned: () => false }),
  createRow: (row) => void Object.assign(row, { getIsPinned: () => false }),
};
/** Says of a column's head how it is sorted: the table draws the head itself. */
const vSorted: Directive<HTMLElement, false | 'asc' | 'desc'> = (button, { value }) => {
  const head = button.closest('th');
  if (value) head?.setAttribute('aria-sort', value === 'asc' ? 'ascending' : 'descending');
  else head?.removeAttribute('aria-sort');
};
</script>

<template>
  <UTable
    v-model:sorting="sorting"
    v-model:row-selection="selection"
    :data="found"
    :columns="shape"
    :get-row-id="(row: Row) => row.id"
    :_features="[UNPINNED]"
    :watch-options="{ deep: false }"
    :caption="label"
    class="list"
  >
    <template v-if="nameOf" #choose-header="{ table }">
      <UCheckbox
        :model-value="table.getIsSomeRowsSelected() ? 'indeterminate' : table.getIsAllRowsSelected()"
        aria-label="Choose all"
        @update:model-value="table.toggleAllRowsSelected(!!$event)"
      />
    </template>
    <template v-if="nameOf" #choose-cell="{ row }">
      <UCheckbox
        :model-value="row.getIsSelected()"
        :aria-label="`Choose ${nameOf(row.original)}`"
        @update:model-value="row.toggleSelected(!!$event)"
      />
    </template>
    <template v-for="each in columns" :key="each.key" #[`${each.key}-header`]="{ column }">
      <button
        v-if="column.getCanSort()"
        v-sorted="column.getIsSorted()"
        type="button"
        class="sort"
        @click="column.toggleSorting()"
      >
        {{ each.label }} <span aria-hidden="true">{{ arrow(column.getIsSorted()) }}</span>
      </button>
      <span v-else :class="{ 'sr-only': each.hidden }">{{ each.label }}</span>
    </template>
    <template v-for="each in columns" :key="`${each.key} cell`" #[`${each.key}-cell`]="{ row }">
      <slot :name="each.key" :row="row.original">{{ columnOf(each.key).value?.(row.original) }}</slot>
    </template>
    <template #empty
      ><p class="small quiet">Nothing fits “{{ search.trim() }}”.</p></template
    >
  </UTable>
</template>

<style scoped>
.sort {
  font: inherit;
  color: inherit;
  white-space: nowrap;
}
.sort:hover {
  color: var(--ink);
}
</style>
