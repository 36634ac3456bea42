<script setup lang="ts">
import { LONGEST_SHORT } from '../../../core/checks/short/form';
import { say } from '../../../core/words';
import type { CheckPartProps } from '../part';

/** A few words that are typed in. */
defineProps<CheckPartProps<object, string>>();
const response = defineModel<string>();
const take = (typed: string) => (response.value = typed.trim() ? typed : undefined);
</script>

<template>
  <div class="up-typed">
    <label :for="`${check.id}-typed`">{{ view.words.asks.short }}</label>
    <input
      :id="`${check.id}-typed`"
      :value="response ?? ''"
      type="text"
      autocomplete="off"
      :maxlength="LONGEST_SHORT"
      :disabled="!open"
      @input="take(($event.target as HTMLInputElement).value)"
    />
    <p v-if="!open && wrong && solution" class="good">{{ say(view.words.asks.rightly, { answer: solution }) }}</p>
  </div>
</template>
