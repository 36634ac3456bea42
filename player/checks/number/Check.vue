<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { CheckViews } from '../../../core/checks/markings';
import { inUnit, LEADS } from '../../../core/checks/number/form';
import { readNumber } from '../../../core/checks/number/reading';
import { say } from '../../../core/words';
import type { CheckPartProps } from '../part';

/** A figure that is typed in, read in the way of the course's language. */
const props = defineProps<CheckPartProps<CheckViews['number'], number>>();
const response = defineModel<number>();
const inWords = (value: number) =>
  new Intl.NumberFormat(props.view.language, { maximumFractionDigits: 10 }).format(value);
const typed = ref(response.value === undefined ? '' : inWords(response.value));
const read = computed(() => readNumber(typed.value, props.view.language));
const hint = computed(() => {
  const { asks } = props.view.words;
  if (!props.open || typed.value.trim() === '') return '';
  if (read.value === undefined) return asks.noNumber;
  return /^-?\d+$/.test(typed.value.trim()) ? '' : say(asks.readAs, { number: inWords(read.value) });
});
watch(typed, () => (response.value = read.value));
</script>

<template>
  <div class="up-typed">
    <label :for="`${check.id}-typed`">{{ view.words.asks.number }}</label>
    <span class="line" :class="{ led: LEADS.test(check.unit ?? '') }">
      <input
        :id="`${check.id}-typed`"
        v-model="typed"
        class="number"
        type="text"
        inputmode="decimal"
        autocomplete="off"
        maxlength="40"
        :disabled="!open"
        :aria-describedby="`${check.id}-unit ${check.id}-hint`"
      /><span :id="`${check.id}-unit`">{{ check.unit }}</span>
    </span>
    <p :id="`${check.id}-hint`" class="hint" aria-live="polite">{{ hint }}</p>
    <p v-if="!open && wrong && solution !== undefined" class="good">
      {{ say(view.words.asks.rightly, { answer: inUnit(inWords(solution), check.unit) }) }}
    </p>
  </div>
</template>
