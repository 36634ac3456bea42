<script setup lang="ts">
import type { TruthCheck } from '~~/core/checks/truth/form';
import { useCheckEditing } from '../editing';

/** Whether a statement is true, and why, as its author settles it. */
const props = defineProps<{ check: TruthCheck; readonly?: boolean }>();
const { mayEdit, set, type } = useCheckEditing<TruthCheck>(props);
</script>

<template>
  <div class="truth">
    <label v-for="value in [true, false]" :key="String(value)" :class="{ right: value === check.answer }">
      <CheckKeyMark
        :name="check.id"
        :checked="value === check.answer"
        :disabled="!mayEdit"
        @change="set('right answer', 'answer', value)"
      />{{ value ? 'True' : 'False' }}
    </label>
    <CheckQuotes :quotes="check.quotes" />
    <FieldInPlace
      v-if="mayEdit || check.why"
      :value="check.why ?? ''"
      :save="(text, was, group) => type('feedback', 'why', text.trim() || undefined, was.trim() || undefined, group)"
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
