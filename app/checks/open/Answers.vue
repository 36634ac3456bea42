<script setup lang="ts">
import type { OpenCheck } from '~~/core/checks/open/form';
import { linesOf, useCheckEditing } from '../editing';

/** A good answer, what it names, and who marks it. */
const props = defineProps<{ check: OpenCheck; readonly?: boolean }>();
const { mayEdit, set, type } = useCheckEditing<OpenCheck>(props);
const BY = [
  { value: 'learner' as const, label: 'Learners compare it with the good answer' },
  { value: 'person' as const, label: 'A person marks it, under Results' },
];
</script>

<template>
  <div class="answers">
    <p class="small" :class="check.model ? 'quiet' : 'decide'">A good answer, shown afterwards</p>
    <FieldInPlace
      :value="check.model"
      :save="(text, was, group) => type('good answer', 'model', text, was, group)"
      lines
      boxed
      :readonly="!mayEdit"
      maxlength="5000"
      aria-label="A good answer"
    />
    <p class="small quiet">What a good answer names, a line each</p>
    <FieldInPlace
      :value="check.looksFor.join('\n')"
      :save="(text, was, group) => type('what it names', 'looksFor', linesOf(text), linesOf(was), group)"
      lines
      boxed
      :readonly="!mayEdit"
      aria-label="What a good answer names"
    />
    <CheckQuotes :quotes="check.quotes" />
    <template v-if="mayEdit">
      <FieldSelect
        :model-value="check.by"
        :items="BY"
        label="Who marks it"
        @update:model-value="set('who marks it', 'by', $event)"
      />
      <p v-if="check.by === 'person'" class="small quiet">In packages nobody marks: there learners compare.</p>
    </template>
  </div>
</template>

<style scoped>
.answers {
  display: grid;
  gap: 4px;
  justify-items: start;
  margin-top: 4px;
}
</style>
