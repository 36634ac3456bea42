<script setup lang="ts">
import type { Refusal } from '~~/core/checks/check';
import type { Check } from '~~/core/checks/forms';
import { staying } from '~/composables/staying';
import { useCourse } from '~/stores/course';
import { REFUSAL_FOLLOWS, refusals } from '~/words/asking';

/** Refuses an offer, with the reason that is remembered: what is refused is kept, and not offered again. */
const props = defineProps<{ check: Check }>();
const open = defineModel<boolean>('open', { default: false });
const desk = useCourse();
const refuse = (because: Refusal) =>
  desk.change('check refused', [
    { type: 'set', id: props.check.id, field: 'refused', value: { because }, was: props.check.refused ?? null },
  ]);
const items = refusals.map(({ value, label }) => ({
  label,
  description: REFUSAL_FOLLOWS[value],
  onSelect: () => void refuse(value),
}));
</script>

<template>
  <UDropdownMenu v-model:open="open" :items="items" :content="staying">
    <UButton size="sm" color="neutral" variant="outline">Refuse</UButton>
  </UDropdownMenu>
</template>
