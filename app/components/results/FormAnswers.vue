<script setup lang="ts">
import type { AnswerOf } from '~/client';
import { counted } from '~/words/states';

/** What was answered to a feedback form, question by question. */
type Results = AnswerOf<'GET /api/courses/:course/forms/:block'>;
defineProps<{ results: Results }>();
type Item = Results['items'][number];
/** Shares, so that a form many filled in stands beside one that few did. */
const shareOf = (count: number, answered: number) => (100 * count) / Math.max(1, answered);
const before = ({ before: earlier }: Item) =>
  earlier &&
  `Pale: “${earlier.form}”, ${counted(earlier.answered, ['answer', 'answers'])}${
    earlier.mean === undefined ? '' : `, ${earlier.mean.toFixed(1)} on average`
  }`;
const middle = ({ mean, median, item }: Item) =>
  mean === undefined
    ? ''
    : `${mean.toFixed(1)} on average${item.kind === 'rating' ? ` of ${item.of}` : ''}, median ${median}${
        item.kind === 'number' && item.unit ? ` ${item.unit}` : ''
      }`;
const ends = ({ item }: Item) =>
  item.kind === 'rating' && (item.low || item.high) ? `1 ${item.low ?? ''} – ${item.of} ${item.high ?? ''}` : '';
</script>

<template>
  <ol class="items">
    <li v-for="(each, at) in results.items" :key="each.item.id">
      <h3>{{ at + 1 }}. {{ each.item.text }}</h3>
      <p class="small quiet">
        {{ [counted(each.answered, ['answer', 'answers']), middle(each), ends(each)].filter(Boolean).join(', ') }}
      </p>
      <p v-if="each.before" class="small quiet">{{ before(each) }}</p>
      <table v-if="each.counts && each.answered" class="small">
        <tbody>
          <tr v-for="(count, index) in each.counts" :key="index">
            <th scope="row">{{ count.text }}</th>
            <td class="bar" aria-hidden="true">
              <i
                v-if="each.before?.counts"
                class="before"
                :style="{ width: `${shareOf(each.before.counts[index]?.count ?? 0, each.before.answered)}%` }"
              />
              <i :style="{ width: `${shareOf(count.count, each.answered)}%` }" />
            </td>
            <td class="count">
              <template v-if="each.before?.counts"
                ><span class="quiet"
                  ><span class="sr-only">before </span>{{ each.before.counts[index]?.count ?? 0 }}</span
                >
                → </template
              >{{ count.count }}
            </td>
          </tr>
        </tbody>
      </table>
      <ul v-if="each.words?.length" class="words">
        <li v-for="(words, index) in each.words" :key="index">{{ words }}</li>
      </ul>
    </li>
  </ol>
</template>

<style scoped>
.items {
  list-style: none;
  margin: 0;
  padding: 0;
}
.items > li {
  padding: 10px 0 12px;
  border-top: 1px solid var(--hair);
}
h3 {
  margin: 0;
  font-size: 15px;
}
p {
  margin: 2px 0 6px;
}
table {
  border-collapse: collapse;
  width: 100%;
  max-width: 620px;
}
th {
  font-weight: 400;
  text-align: start;
  width: 32%;
  padding: 2px 10px 2px 0;
}
.bar i {
  display: block;
  height: 12px;
  background: var(--moss);
}
.bar i.before {
  height: 5px;
  margin-bottom: 1px;
  background: var(--ink-3);
  opacity: 0.5;
}
.bar {
  vertical-align: middle;
}
.count {
  width: 76px;
  white-space: nowrap;
  padding-inline-start: 8px;
  font-variant-numeric: tabular-nums;
}
.words {
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
  max-width: 720px;
}
.words li {
  padding: 4px 0 4px 12px;
  margin: 4px 0;
  border-inline-start: 2px solid var(--hair);
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
</style>
