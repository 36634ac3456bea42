<script setup lang="ts">
import { staying } from '~/composables/staying';

/** Brings questions from elsewhere: pasted, as a file, or out of one's other courses. */
const props = defineProps<{
  /** The lesson they are put into; absent: they come as offers. */
  into?: string;
  /** As a link among words. */
  link?: boolean;
}>();
/** Each dialog comes when it is first wanted, and stays. */
const pasting = ref(false);
const looking = ref(false);
const wanted = reactive({ paste: false, pool: false });
function paste() {
  wanted.paste = true;
  pasting.value = true;
}
function look() {
  wanted.pool = true;
  looking.value = true;
}
const items = [
  [
    { label: 'From text or a file', onSelect: paste },
    { label: 'From my other courses', onSelect: look },
  ],
];
defineExpose({ paste, look });
</script>

<template>
  <UDropdownMenu :items="items" :content="staying">
    <button v-if="link" type="button" class="link small">Bring questions</button>
    <UButton v-else size="sm" color="neutral" variant="outline">Bring questions</UButton>
  </UDropdownMenu>
  <LazyCheckBringDialog v-if="wanted.paste" v-model:open="pasting" :into="props.into" />
  <LazyCheckPoolDialog v-if="wanted.pool" v-model:open="looking" :into="props.into" />
</template>
