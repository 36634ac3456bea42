<script setup lang="ts">
import type { CheckViews } from '../../../core/checks/markings';
import type { CheckPartProps } from '../part';
import Picture from '../Picture.vue';

/** One answer of several. */
defineProps<CheckPartProps<CheckViews['choice'], string>>();
const response = defineModel<string>();
</script>

<template>
  <label
    v-for="option in check.options"
    :key="option.id"
    class="up-option"
    :class="{ chosen: response === option.id, off: !open, 'is-key': solution === option.id }"
  >
    <input v-model="response" type="radio" :name="check.id" :value="option.id" :disabled="!open" />
    <Picture :picture="option.picture" :view="view" />
    <span>{{ option.text }}</span>
    <span v-if="!open && solution === option.id" class="mark">✓ {{ view.words.rightAnswer }}</span>
    <span v-else-if="!open && wrong && response === option.id" class="mark no">{{ view.words.yourAnswer }}</span>
  </label>
</template>
