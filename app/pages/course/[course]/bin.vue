<script setup lang="ts">
import { standingIn, takeText } from '~~/core/course/conflicts';
import { restore } from '~~/core/course/restore';
import type { BinEntry, Module, Take } from '~~/core/course/course';
import { dropTake, isPage } from '~~/core/course/takes';
import { useCourse } from '~/stores/course';
import { madeWords, nodeWords, takeWords } from '~/words/takes';
import { counted } from '~/words/states';

/** Everything that was deleted, with a way back; and kept texts whose place was deleted. */
const desk = useCourse();
const KINDS: Record<BinEntry['kind'], string> = {
  module: 'Module',
  lesson: 'Lesson',
  block: 'Part of a page',
  check: 'Check',
  objective: 'What the learner can do',
  term: 'Term',
  take: 'Take',
  answer: 'Question and answer',
  point: 'Point of a lesson',
  medium: 'File of the shelf',
};
const words = ({ kind, node }: BinEntry) =>
  kind === 'module'
    ? `${(node as Module).title} (${counted((node as Module).lessons.length, ['lesson', 'lessons'])})`
    : kind === 'take'
      ? takeWords(desk.course!, node as Take) || 'A page'
      : nodeWords(kind, node) || KINDS[kind];
const entries = computed(() => {
  const order = ['module', 'lesson', 'check', 'block', 'point', 'objective', 'term', 'answer', 'medium', 'take'];
  return desk
    .course!.bin.toSorted((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind))
    .map((entry) => ({ entry, can: restore(desk.course!, entry.node.id).length > 0 }));
});
/** Texts that were typed for a place that is not there any more. */
const homeless = computed(() =>
  desk
    .course!.takes.filter((take) => !isPage(take) && take.made.why !== 'draft' && !standingIn(desk.course!, take))
    .map((take) => ({ take, can: takeText(desk.course!, take).length > 0 })),
);
const back = (entry: BinEntry) =>
  desk.change(`back from the bin: ${KINDS[entry.kind].toLowerCase()}`, restore(desk.course!, entry.node.id));
const putBack = (take: Take) => desk.change('words put back with their place', takeText(desk.course!, take));
</script>

<template>
  <div class="bin">
    <div class="head">
      <h1>Bin</h1>
      <span class="small quiet">what was deleted or replaced; it goes back where it was</span>
    </div>
    <table v-if="homeless.length" class="lines">
      <caption>
        Texts without a place
      </caption>
      <thead>
        <tr>
          <th>Of</th>
          <th>Words</th>
          <th><span class="sr-only">Back</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ take, can } in homeless" :key="take.id">
          <td class="small quiet">{{ madeWords(take.made) }}</td>
          <td class="words">{{ takeWords(desk.course!, take).slice(0, 400) }}</td>
          <td class="number">
            <template v-if="desk.mayEdit"
              ><button v-if="can" type="button" class="link" @click="putBack(take)">put back with its place</button>
              <button type="button" class="link" @click="desk.change('take thrown away', dropTake(take.id))">
                throw away
              </button></template
            >
          </td>
        </tr>
      </tbody>
    </table>
    <table v-if="entries.length" class="lines">
      <thead>
        <tr>
          <th>What</th>
          <th>Words</th>
          <th><span class="sr-only">Back</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ entry, can } in entries" :key="entry.node.id">
          <td class="small quiet">{{ KINDS[entry.kind] }}</td>
          <td class="words">{{ words(entry).slice(0, 240) }}</td>
          <td class="number">
            <button v-if="desk.mayEdit && can" type="button" class="link" @click="back(entry)">put back</button
            ><span v-else class="small quiet">{{ can ? '' : 'its place is gone' }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <div v-else-if="homeless.length === 0" class="empty">
      <h2>Nothing was deleted</h2>
      <p>Rows, parts of pages and checks that you delete lie here until you put them back.</p>
    </div>
  </div>
</template>

<style scoped>
.bin {
  flex: 1;
  overflow-y: auto;
}
td:first-child,
th:first-child {
  padding-left: 18px;
  white-space: nowrap;
}
.words {
  white-space: pre-line;
}
caption {
  text-align: left;
  font-weight: 700;
  padding: 10px 18px 2px;
}
</style>
