<script setup lang="ts">
import type { Check } from '~~/core/checks/forms';
import type { Credit } from '~~/core/checks/check';
import { useCheckEditing } from '~/checks/editing';

/** What an answer that is partly right counts for. */
const props = defineProps<{ check: Extract<Check, { credit: Credit }>; readonly?: boolean }>();
const { mayEdit, set } = useCheckEditing<Extract<Check, { credit: Credit }>>(props);
const EACH: Record<(typeof props)['check']['kind'], string> = {
  several: 'each right one counts, each wrong one takes off',
  order: 'each behind its right neighbour counts',
  match: 'each right pair counts',
  sort: 'each in its group counts',
  area: 'areas',
};
const items = computed(() => [
  { value: 'each' as const, label: `Partly right: ${EACH[props.check.kind]}` },
  { value: 'all' as const, label: 'Partly right: counts for nothing' },
]);
</script>

<template>
  <FieldSelect
    v-if="mayEdit"
    :model-value="check.credit"
    :items="items"
    label="What partly right counts for"
    @update:model-value="set('what partly right counts for', 'credit', $event)"
  />
</template>
