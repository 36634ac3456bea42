<script setup lang="ts">
import type { Refusal } from '~~/core/checks/check';
import type { Check } from '~~/core/checks/forms';
import { useCourse } from '~/stores/course';
import { REFUSAL_FOLLOWS, refusals } from '~/words/asking';

/** Why a question was refused, as its author says it, and the way back. */
const props = defineProps<{ check: Check }>();
const desk = useCourse();
const refused = computed(() => props.check.refused ?? { because: 'other' as const });
const set = (what: string, value: Check['refused'] | null) =>
  desk.change(what, [{ type: 'set', id: props.check.id, field: 'refused', value, was: props.check.refused ?? null }]);
const because = (value: Refusal) => set('reason of a refusal', { ...refused.value, because: value });
function typed(text: string, was: string, group: string) {
  const { because: reason } = refused.value;
  const said = (words: string) => ({ because: reason, ...(words.trim() && { words: words.trim() }) });
  return desk.type(
    'reason of a refusal',
    [{ type: 'set', id: props.check.id, field: 'refused', value: said(text), was: said(was) }],
    group,
  );
}
</script>

<template>
  <span class="refused">
    <FieldSelect
      v-if="desk.mayEdit"
      :model-value="refused.because"
      :items="refusals"
      label="Why it is refused"
      @update:model-value="because"
    />
    <FieldInPlace
      :value="refused.words ?? ''"
      :save="typed"
      :readonly="!desk.mayEdit"
      placeholder="say why"
      aria-label="Why, in your words"
      class="why small"
    />
    <span v-if="REFUSAL_FOLLOWS[refused.because]" class="small quiet">{{ REFUSAL_FOLLOWS[refused.because] }}</span>
    <UButton v-if="desk.mayEdit" size="sm" color="neutral" variant="outline" @click="set('check offered again', null)"
      >Offer it again</UButton
    >
  </span>
</template>

<style scoped>
.refused {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.why {
  width: 260px;
}
</style>
