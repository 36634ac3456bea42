<script setup lang="ts">
import { MORE_WORDS } from '~~/core/checks/fresh';
import type { MatchCheck } from '~~/core/checks/match/form';
import { useCheckEditing } from '../editing';

/** Pairs, and what belongs to nothing, as their author works on them. */
const props = defineProps<{ check: MatchCheck; readonly?: boolean }>();
const { mayEdit, saves, add, drop } = useCheckEditing<MatchCheck>(props);
const SIDES = [
  { side: 'left', label: 'Thing' },
  { side: 'right', label: 'What belongs to it' },
] as const;
</script>

<template>
  <div>
    <CheckRows
      :rows="check.pairs"
      one="pair"
      :name-of="(pair) => pair.left"
      :least="2"
      :may-edit="mayEdit"
      @add="(id) => add('pairs', { id, left: MORE_WORDS.left, right: MORE_WORDS.right }, 'new pair')"
      @drop="(id) => drop('pairs', id, 'pair deleted')"
    >
      <template #default="{ row }">
        <div class="pair">
          <FieldInPlace
            v-for="{ side, label } in SIDES"
            :key="side"
            :value="row[side]"
            :save="saves('pairs', row.id, side, 'pair')"
            lines
            required
            class="words"
            :readonly="!mayEdit"
            :aria-label="label"
          />
        </div>
      </template>
    </CheckRows>
    <template v-if="mayEdit || check.others.length">
      <p class="small quiet">Also on the right, belonging to nothing</p>
      <CheckRows
        :rows="check.others"
        one="wrong one"
        :name-of="(other) => other.text"
        :may-edit="mayEdit"
        @add="(id) => add('others', { id, text: MORE_WORDS.other }, 'new answer')"
        @drop="(id) => drop('others', id, 'answer deleted')"
      >
        <template #default="{ row }">
          <FieldInPlace
            :value="row.text"
            :save="saves('others', row.id, 'text', 'answer')"
            lines
            required
            class="words"
            :readonly="!mayEdit"
            aria-label="Belongs to nothing"
          />
        </template>
      </CheckRows>
    </template>
    <CheckQuotes :quotes="check.quotes" />
    <CheckCredit :check="check" :readonly="readonly" />
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px 14px;
}
.pair .words + .words {
  border-left: 2px solid var(--hair);
  padding-left: 10px;
}
</style>
