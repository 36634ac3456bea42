<script setup lang="ts">
import { MORE_WORDS } from '~~/core/checks/fresh';
import type { SortCheck } from '~~/core/checks/sort/form';
import { useCheckEditing } from '../editing';

/** Groups and what belongs to each, as their author works on them. */
const props = defineProps<{ check: SortCheck; readonly?: boolean }>();
const { mayEdit, saves, change, add, drop } = useCheckEditing<SortCheck>(props);
const groups = computed(() => props.check.groups.map(({ id, text }) => ({ value: id, label: text })));
/** A group that something belongs to stays. */
const isUsed = ({ id }: { id: string }) => props.check.items.some(({ group }) => group === id);
const LISTS = [
  { field: 'groups', one: 'group', label: 'Group' },
  { field: 'items', one: 'thing', label: 'Thing to sort' },
] as const;
function another(field: 'groups' | 'items', id: string) {
  if (field === 'groups') add('groups', { id, text: MORE_WORDS.group }, 'new group');
  else add('items', { id, text: MORE_WORDS.left, group: props.check.groups[0]!.id }, 'new thing');
}
</script>

<template>
  <div>
    <template v-for="{ field, one, label } in LISTS" :key="field">
      <CheckRows
        :rows="check[field] as { id: string; text: string; group?: string }[]"
        :one="one"
        :name-of="(row) => row.text"
        :least="2"
        :keep="field === 'groups' ? isUsed : undefined"
        :may-edit="mayEdit"
        @add="(id) => another(field, id)"
        @drop="(id) => drop(field, id, `${one} deleted`)"
      >
        <template v-if="field === 'items'" #lead><span class="small quiet">–</span></template>
        <template #default="{ row }">
          <div class="row">
            <FieldInPlace
              :value="row.text"
              :save="saves(field, row.id, 'text', one)"
              lines
              required
              class="words"
              :class="{ group: field === 'groups' }"
              :readonly="!mayEdit"
              :aria-label="label"
            />
            <FieldSelect
              v-if="row.group !== undefined && mayEdit"
              :model-value="row.group"
              :items="groups"
              :label="`Group of ${row.text}`"
              @update:model-value="(group) => change('items', row.id, 'group', (item) => ({ ...item, group }))"
            />
            <span v-else-if="row.group !== undefined" class="small">{{
              groups.find(({ value }) => value === row.group)?.label
            }}</span>
          </div>
        </template>
      </CheckRows>
    </template>
    <CheckQuotes :quotes="check.quotes" />
    <CheckCredit :check="check" :readonly="readonly" />
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 1fr minmax(0, 14em);
  gap: 4px 14px;
  align-items: start;
}
.group {
  font-weight: 700;
}
</style>
