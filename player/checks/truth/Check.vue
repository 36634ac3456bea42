<script setup lang="ts">
import type { CheckPartProps } from '../part';

/** A statement that is true or false. */
defineProps<CheckPartProps<object, boolean>>();
const response = defineModel<boolean>();
</script>

<template>
  <label
    v-for="value in [true, false]"
    :key="String(value)"
    class="up-option"
    :class="{ chosen: response === value, off: !open, 'is-key': solution === value }"
  >
    <input v-model="response" type="radio" :name="check.id" :value="value" :disabled="!open" />
    <span>{{ value ? view.words.isTrue : view.words.isFalse }}</span>
    <span v-if="!open && solution === value" class="mark">✓ {{ view.words.rightAnswer }}</span>
    <span v-else-if="!open && wrong && response === value" class="mark no">{{ view.words.yourAnswer }}</span>
  </label>
</template>
