<script setup lang="ts">
import { computed } from 'vue';
import type { CheckViews } from '../../../core/checks/markings';
import type { CheckPartProps } from '../part';
import Picture from '../Picture.vue';

/** Several answers of many; with none chosen there is no response. */
defineProps<CheckPartProps<CheckViews['several'], string[]>>();
const response = defineModel<string[]>();
const chosen = computed({
  get: () => response.value ?? [],
  set: (ids) => (response.value = ids.length > 0 ? ids : undefined),
});
</script>

<template>
  <p v-if="open" class="how">{{ view.words.asks.several }}</p>
  <label
    v-for="option in check.options"
    :key="option.id"
    class="up-option"
    :class="{ chosen: chosen.includes(option.id), off: !open, 'is-key': solution?.includes(option.id) }"
  >
    <input v-model="chosen" type="checkbox" :value="option.id" :disabled="!open" />
    <Picture :picture="option.picture" :view="view" />
    <span>{{ option.text }}</span>
    <span v-if="!open && solution?.includes(option.id)" class="mark">✓ {{ view.words.rightAnswer }}</span>
    <span v-else-if="!open && solution && chosen.includes(option.id)" class="mark no">{{ view.words.yourAnswer }}</span>
  </label>
</template>
