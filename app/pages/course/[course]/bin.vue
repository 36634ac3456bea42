<script setup lang="ts">
import { restore } from '~~/core/course/gestures';
import { blockTexts, type Block } from '~~/core/course/blocks';
import type { Answer, BinEntry, Lesson, Module } from '~~/core/course/course';
import type { Check } from '~~/core/course/checks';
import { textOf } from '~~/core/course/rich-text';
import { useCourse } from '~/stores/course';

/** Everything that was deleted, with a way back. */
const desk = useCourse();
const KINDS: Record<BinEntry['kind'], string> = { module: 'Module', lesson: 'Lesson', block: 'Part of a page', check: 'Check', objective: 'What the learner can do', term: 'Term', take: 'Take', answer: 'Question and answer' };
function words({ kind, node }: BinEntry): string {
  if (kind === 'module') return `${(node as Module).title} (${(node as Module).lessons.length} lessons)`;
  if (kind === 'lesson') return (node as Lesson).title;
  if (kind === 'block') return blockTexts(node as Block).map(textOf).join(' / ') || (node as Block).kind;
  if (kind === 'check') return (node as Check).stem;
  if (kind === 'answer') return [(node as Answer).question, (node as Answer).text].filter(Boolean).join(' / ');
  return 'text' in node ? String(node.text) : 'field' in node ? String(node.field) : '';
}
const entries = computed(() => {
  const order = ['module', 'lesson', 'check', 'block', 'objective', 'term', 'answer', 'take'];
  return desk.course!.bin.toSorted((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind));
});
const back = (entry: BinEntry) => desk.change(`back from the bin: ${KINDS[entry.kind].toLowerCase()}`, restore(desk.course!, entry.node.id));
const can = (entry: BinEntry) => restore(desk.course!, entry.node.id).length > 0;
</script>

<template>
  <div class="bin">
    <div class="head"><h1>Bin</h1><span class="small quiet">what was deleted or replaced; it goes back where it was</span></div>
    <table v-if="entries.length" class="lines">
      <thead><tr><th>What</th><th>Words</th><th><span class="sr-only">Back</span></th></tr></thead>
      <tbody><tr v-for="entry in entries" :key="entry.node.id"><td class="small quiet">{{ KINDS[entry.kind] }}</td><td>{{ words(entry).slice(0, 240) }}</td><td class="number"><button v-if="desk.mayEdit && can(entry)" type="button" class="link" @click="back(entry)">put back</button><span v-else class="small quiet">its place is gone</span></td></tr></tbody>
    </table>
    <div v-else class="empty"><h2>Nothing was deleted</h2><p>Rows, parts of pages and checks that you delete lie here until you put them back.</p></div>
  </div>
</template>

<style scoped>
.bin { flex: 1; overflow-y: auto; }
td:first-child, th:first-child { padding-left: 18px; white-space: nowrap; }
</style>
