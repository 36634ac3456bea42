<script setup lang="ts">
import type { TruthCheck } from '~~/core/checks/truth/form';
import { useCourse } from '~/stores/course';

/** Whether a statement is true, and why, as its author settles it. */
const props = defineProps<{ check: TruthCheck; readonly?: boolean }>();
const desk = useCourse();
const mayEdit = computed(() => desk.mayEdit && !props.readonly);

function right(value: boolean) {
  desk.flushTyping();
  const { id, answer } = props.check;
  if (value !== answer) desk.change('right answer', [{ type: 'set', id, field: 'answer', value, was: answer }]);
}
function why(words: string, was: string, group: string) {
  const given = (text: string) => text.trim() || null;
  const operation = { type: 'set' as const, id: props.check.id, field: 'why', value: given(words), was: given(was) };
  return desk.type('feedback', [operation], group);
}
</script>

<template>
  <div class="truth">
    <label v-for="value in [true, false]" :key="String(value)" :class="{ right: value === check.answer }">
      <CheckKeyMark :name="check.id" :checked="value === check.answer" :disabled="!mayEdit" @change="right(value)" />{{
        value ? 'True' : 'False'
      }}
    </label>
    <p v-for="quote in check.quotes" :key="quote.text" class="small quiet">“{{ quote.text }}”</p>
    <FieldInPlace
      v-if="mayEdit || check.why"
      :value="check.why ?? ''"
      :save="why"
      lines
      class="small"
      :readonly="!mayEdit"
      placeholder="say why, in your words"
      aria-label="Why"
    />
  </div>
</template>

<style scoped>
label {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 2px 0;
}
.right {
  font-weight: 700;
}
</style>
