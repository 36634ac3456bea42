<script setup lang="ts">
import { LONGEST_OPEN } from '../../../core/checks/open/form';
import type { CheckViews } from '../../../core/checks/markings';
import type { CheckPartProps } from '../part';

/** An answer in one's own words, and a good one to hold it against. */
defineProps<CheckPartProps<CheckViews['open'], string>>();
const response = defineModel<string>();
const take = (typed: string) => (response.value = typed.trim() ? typed : undefined);
</script>

<template>
  <div class="up-typed">
    <label :for="`${check.id}-typed`"
      >{{ view.words.asks.open }}<template v-if="check.byPerson">. {{ view.words.asks.byPerson }}</template></label
    >
    <textarea
      :id="`${check.id}-typed`"
      :value="response ?? ''"
      rows="5"
      :maxlength="LONGEST_OPEN"
      :disabled="!open"
      @input="take(($event.target as HTMLTextAreaElement).value)"
    />
    <template v-if="!open && solution">
      <p class="good">{{ view.words.asks.goodAnswer }}</p>
      <p>{{ solution }}</p>
    </template>
  </div>
</template>
