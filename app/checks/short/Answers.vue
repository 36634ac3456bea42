<script setup lang="ts">
import type { ShortCheck } from '~~/core/checks/short/form';
import { linesOf, useCheckEditing } from '../editing';

/** What may be typed as the answer, and how near it must be. */
const props = defineProps<{ check: ShortCheck; readonly?: boolean }>();
const { mayEdit, set, type } = useCheckEditing<ShortCheck>(props);
const SPELLINGS = [
  { value: 'close' as const, label: 'Slips of the keyboard are forgiven' },
  { value: 'exact' as const, label: 'Spelling counts' },
];
/** With no line left there would be nothing right. */
const save = (text: string, was: string, group: string) =>
  linesOf(text).length > 0 ? type('accepted answers', 'accepted', linesOf(text), linesOf(was), group) : undefined;
</script>

<template>
  <div class="answers">
    <p class="small quiet">Accepted, a line each; the first is shown as the answer</p>
    <FieldInPlace
      :value="check.accepted.join('\n')"
      :save="save"
      lines
      required
      boxed
      :readonly="!mayEdit"
      aria-label="Accepted answers"
    />
    <CheckQuotes :quotes="check.quotes" />
    <FieldSelect
      v-if="mayEdit"
      :model-value="check.spelling"
      :items="SPELLINGS"
      label="Spelling"
      @update:model-value="set('spelling', 'spelling', $event)"
    />
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
