<script setup lang="ts">
import { MORE_WORDS } from '~~/core/checks/fresh';
import type { OrderCheck } from '~~/core/checks/order/form';
import { useCheckEditing } from '../editing';

/** Things in their right order, as their author works on them. */
const props = defineProps<{ check: OrderCheck; readonly?: boolean }>();
const { mayEdit, saves, add, drop, move } = useCheckEditing<OrderCheck>(props);
</script>

<template>
  <div>
    <CheckRows
      :rows="check.items"
      one="step"
      :name-of="(item) => item.text"
      :least="2"
      :may-edit="mayEdit"
      moves
      @add="(id) => add('items', { id, text: MORE_WORDS.item }, 'new step')"
      @drop="(id) => drop('items', id, 'step deleted')"
      @move="(id, by) => move('items', id, by, 'step moved')"
    >
      <template #default="{ row }">
        <FieldInPlace
          :value="row.text"
          :save="saves('items', row.id, 'text', 'step')"
          lines
          required
          class="words"
          :readonly="!mayEdit"
          aria-label="Step"
        />
      </template>
    </CheckRows>
    <CheckQuotes :quotes="check.quotes" />
    <CheckCredit :check="check" :readonly="readonly" />
  </div>
</template>
