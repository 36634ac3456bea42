<script setup lang="ts">
import type { Check } from '~~/core/checks/forms';
import { CHECK_EDITORS } from '~/checks';
import { useCourse } from '~/stores/course';

/** A check as its author works on it: what is asked, and its answers as its kind has them. */
const props = defineProps<{ check: Check; readonly?: boolean }>();
const desk = useCourse();
const mayEdit = computed(() => desk.mayEdit && !props.readonly);
const editor = computed(() => CHECK_EDITORS[props.check.kind]);

function stem(words: string, was: string, group: string) {
  return desk.type('question', [{ type: 'set', id: props.check.id, field: 'stem', value: words, was }], group);
}
</script>

<template>
  <div class="check" :data-check="check.id" :data-node="check.id">
    <FieldInPlace
      :value="check.stem"
      :save="stem"
      lines
      required
      class="stem"
      :readonly="!mayEdit"
      :aria-label="editor.stem"
    />
    <component :is="editor.part" :check="check" :readonly="readonly" />
  </div>
</template>

<style scoped>
.stem {
  font-family: var(--font-read);
  font-weight: 600;
  font-size: 16px;
  line-height: 1.4;
  padding: 2px 4px;
  margin-left: -4px;
}
</style>
