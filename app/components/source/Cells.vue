<script setup lang="ts">
import { cellRanges } from '~~/core/source/cells';
import type { Passage } from '~~/core/source/source';

/**
 * A row of a table in its source, cell beside cell; of a wide one, each with the name of its column. `heads` names the
 * columns over them, `range` are the words that are marked.
 */
const props = defineProps<{ passage: Passage; heads?: boolean; range?: { from: number; to: number } }>();
const WIDE = 6;
const cells = computed(() =>
  cellRanges(props.passage).map(({ from, to }, at) => ({
    text: props.passage.text.slice(from, to),
    head: props.passage.table!.header[at] ?? '',
    marked: props.range !== undefined && from < to && from >= props.range.from && to <= props.range.to,
  })),
);
const wide = computed(() => cells.value.length > WIDE);
const named = computed(() =>
  wide.value ? cells.value.some((cell) => cell.head) : props.heads === true && cells.value.some((cell) => cell.head),
);
</script>

<template>
  <div v-if="wide" class="cells wide">
    <span v-for="(cell, at) in cells.filter(({ text }) => text)" :key="at"
      ><span v-if="named" class="cell-head">{{ cell.head }}</span
      ><mark v-if="cell.marked">{{ cell.text }}</mark
      ><template v-else>{{ cell.text }}</template></span
    >
  </div>
  <div v-else class="cells" :style="{ gridTemplateColumns: `repeat(${cells.length}, minmax(0, 1fr))` }">
    <template v-if="named"
      ><span v-for="(cell, at) in cells" :key="`h${at}`" class="cell-head">{{ cell.head }}</span></template
    >
    <span v-for="(cell, at) in cells" :key="at"
      ><mark v-if="cell.marked">{{ cell.text }}</mark
      ><template v-else>{{ cell.text }}</template></span
    >
  </div>
</template>

<style scoped>
.cells {
  display: grid;
  gap: 1px 12px;
  overflow-wrap: anywhere;
}
.cells.wide {
  display: flex;
  flex-wrap: wrap;
  gap: 1px 18px;
}
.cell-head {
  font-family: var(--font-sans);
  font-size: 12.5px;
  font-weight: 600;
  color: var(--ink-2);
  align-self: end;
}
.wide .cell-head {
  margin-right: 5px;
}
.cells mark {
  background: none;
  color: inherit;
  font-weight: 600;
}
</style>
