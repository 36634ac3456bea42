<script setup lang="ts" generic="Row extends { id: string }">
import { freshId } from '~/composables/useApi';

/** Things of a check, a row each: edited in its slot, added, deleted, moved where their order matters. */
const props = defineProps<{
  rows: readonly Row[];
  /** What one of them is called. */
  one: string;
  /** What it says of itself, for who hears the page. */
  nameOf: (row: Row) => string;
  /** So many must stay. */
  least?: number;
  /** Which must not be deleted. */
  keep?: (row: Row) => boolean;
  mayEdit: boolean;
  moves?: boolean;
}>();
const emit = defineEmits<{ add: [id: string]; drop: [id: string]; move: [id: string, by: 1 | -1] }>();
defineSlots<{
  default: (given: { row: Row; at: number }) => unknown;
  lead?: (given: { row: Row; at: number }) => unknown;
  /** What else can be done with one. */
  do?: (given: { row: Row }) => unknown;
}>();
const root = ref<HTMLElement | null>(null);
const mayDrop = (row: Row) => props.rows.length > (props.least ?? 0) && !props.keep?.(row);

/** One more, with the cursor in it. */
async function add() {
  const id = freshId('a');
  emit('add', id);
  await nextTick();
  const field = root.value?.querySelector<HTMLInputElement>(
    `[data-row="${id}"] input:not([type=radio], [type=checkbox]), [data-row="${id}"] textarea`,
  );
  field?.focus();
  field?.select();
}
async function move(row: Row, by: 1 | -1) {
  emit('move', row.id, by);
  await nextTick();
  const buttons = root.value?.querySelectorAll<HTMLButtonElement>(`[data-row="${row.id}"] .moves button`) ?? [];
  const [up, down] = buttons;
  const button = by < 0 ? up : down;
  (button?.disabled ? (by < 0 ? down : up) : button)?.focus();
}
</script>

<template>
  <div ref="root">
    <ul>
      <li v-for="(row, at) in rows" :key="row.id" :data-row="row.id">
        <slot name="lead" :row="row" :at="at"
          ><span class="at small quiet">{{ at + 1 }}</span></slot
        >
        <div class="of"><slot :row="row" :at="at" /></div>
        <span v-if="mayEdit" class="do">
          <span v-if="moves" class="moves">
            <button
              type="button"
              class="link small"
              :disabled="at === 0"
              :aria-label="`Up: ${nameOf(row)}`"
              @click="move(row, -1)"
            >
              ↑
            </button>
            <button
              type="button"
              class="link small"
              :disabled="at === rows.length - 1"
              :aria-label="`Down: ${nameOf(row)}`"
              @click="move(row, 1)"
            >
              ↓
            </button>
          </span>
          <slot name="do" :row="row" />
          <button
            v-if="mayDrop(row)"
            type="button"
            class="link small"
            :aria-label="`Delete ${one} ${nameOf(row)}`"
            @click="emit('drop', row.id)"
          >
            delete
          </button>
        </span>
      </li>
    </ul>
    <p v-if="mayEdit" class="small">
      <button type="button" class="link" @click="add">Another {{ one }}</button>
    </p>
  </div>
</template>

<style scoped>
ul {
  margin: 6px 0 4px;
  list-style: none;
  padding: 0;
}
li {
  margin: 0;
  display: grid;
  grid-template-columns: minmax(24px, auto) 1fr auto;
  gap: 6px;
  padding: 4px 0;
  align-items: start;
}
:deep(.words) {
  min-height: 26px;
  padding: 2px 4px;
}
.at {
  padding-top: 4px;
  text-align: right;
}
.do {
  display: flex;
  gap: 4px;
}
.do .link {
  min-height: 24px;
  min-width: 24px;
}
button:disabled {
  color: var(--ink-3);
  opacity: 0.5;
  text-decoration: none;
  cursor: default;
}
p > .link {
  min-height: 24px;
}
</style>
