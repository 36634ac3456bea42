<script setup lang="ts">
import type { LessonChange } from '~~/core/course/comparison';
import { differences } from '~/words/differences';

/** What differs in one lesson between two states of it: texts and checks, word by word. */
const props = defineProps<{ change: LessonChange }>();
const rows = computed(() =>
  [...props.change.words, ...props.change.checks].map((each) => ({
    id: each.id,
    ...differences(each.before, each.after),
  })),
);
</script>

<template>
  <div class="differing">
    <div v-for="row in rows" :key="row.id" class="row">
      <p><SourceDiffering :stretches="row.before" gone /></p>
      <p><SourceDiffering :stretches="row.after" /></p>
    </div>
    <p v-if="rows.length === 0" class="small quiet">
      {{
        change.order
          ? 'Only the order differs.'
          : change.moved
            ? 'It stands in another place; its page is the same.'
            : change.kind === 'same'
              ? 'Nothing differs.'
              : 'It has no words.'
      }}
    </p>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 14px;
  white-space: pre-line;
}
</style>
