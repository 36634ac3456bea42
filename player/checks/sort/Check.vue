<script setup lang="ts">
import type { CheckViews } from '../../../core/checks/markings';
import { say } from '../../../core/words';
import { usePairing } from '../pairing';
import type { CheckPartProps } from '../part';

/** Things that are given their group. */
const props = defineProps<CheckPartProps<CheckViews['sort'], Record<string, string>>>();
const response = defineModel<Record<string, string>>();
const { places, choose } = usePairing(response, () => props.check.items);
const textOf = (id: string | undefined) => props.check.groups.find((each) => each.id === id)?.text ?? '';
</script>

<template>
  <p v-if="open" class="how">{{ view.words.asks.sort }}</p>
  <div class="up-sort">
    <div
      v-for="item in check.items"
      :key="item.id"
      role="radiogroup"
      :aria-labelledby="`${check.id} ${item.id}`.replaceAll(' ', '-')"
      :class="{ 'is-key': solution && solution[item.id] === places[item.id] }"
    >
      <span :id="`${check.id} ${item.id}`.replaceAll(' ', '-')" class="text">{{ item.text }}</span>
      <span class="groups">
        <label
          v-for="group in check.groups"
          :key="group.id"
          :class="{ chosen: places[item.id] === group.id, off: !open }"
        >
          <input
            type="radio"
            :name="`${check.id} ${item.id}`"
            :value="group.id"
            :checked="places[item.id] === group.id"
            :disabled="!open"
            @change="choose(item.id, group.id)"
          />{{ group.text }}
        </label>
      </span>
      <template v-if="!open && solution">
        <span v-if="solution[item.id] === places[item.id]" class="mark">✓ {{ view.words.rightAnswer }}</span>
        <span v-else class="mark no">{{ say(view.words.asks.rightly, { answer: textOf(solution[item.id]) }) }}</span>
      </template>
    </div>
  </div>
</template>
