<script setup lang="ts">
import type { CheckViews } from '../../../core/checks/markings';
import { say } from '../../../core/words';
import { usePairing } from '../pairing';
import type { CheckPartProps } from '../part';

/** What belongs to what, chosen from a list each. */
const props = defineProps<CheckPartProps<CheckViews['match'], Record<string, string>>>();
const response = defineModel<Record<string, string>>();
const { places, choose } = usePairing(response, () => props.check.from);
const textOf = (id: string | undefined) => props.check.to.find((each) => each.id === id)?.text ?? '';
</script>

<template>
  <div class="up-match">
    <div
      v-for="each in check.from"
      :key="each.id"
      :class="{ 'is-key': solution && solution[each.id] === places[each.id] }"
    >
      <label :for="`${check.id} ${each.id}`">{{ each.text }}</label>
      <select
        :id="`${check.id} ${each.id}`"
        :value="places[each.id] ?? ''"
        :disabled="!open"
        @change="choose(each.id, ($event.target as HTMLSelectElement).value)"
      >
        <option value="" disabled>{{ view.words.asks.choose }}</option>
        <option v-for="place in check.to" :key="place.id" :value="place.id">{{ place.text }}</option>
      </select>
      <template v-if="!open && solution">
        <span v-if="solution[each.id] === places[each.id]" class="mark">✓ {{ view.words.rightAnswer }}</span>
        <span v-else class="mark no">{{ say(view.words.asks.rightly, { answer: textOf(solution[each.id]) }) }}</span>
      </template>
    </div>
  </div>
</template>
