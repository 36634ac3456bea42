<script setup lang="ts">
import { reach, type NumberCheck } from '~~/core/checks/number/form';
import { useCheckEditing } from '../editing';

/** The figure that is asked for, how near is near enough, and wrong ones that are to be expected. */
const props = defineProps<{ check: NumberCheck; readonly?: boolean }>();
const { mayEdit, set, type, typeIn, add, drop } = useCheckEditing<NumberCheck>(props);
const BOUNDS = computed(() => [
  { value: 'unit', label: props.check.unit || 'in the same unit' },
  { value: 'percent', label: 'per cent' },
]);
/** What is right, in words, once a tolerance makes it a range. */
const range = computed(() => {
  const by = reach(props.check);
  return by > 0 ? `right from ${round(props.check.value - by)} to ${round(props.check.value + by)}` : '';
});
const round = (value: number) => Number(value.toPrecision(10));
/** One more figure, as far from the right one as it must be. */
const next = () =>
  round(Math.max(props.check.value, ...props.check.known.map(({ value }) => value)) + reach(props.check) + 1);
</script>

<template>
  <div>
    <p class="line">
      <span class="small quiet">Right</span>
      <FieldFigure
        :value="check.value"
        :save="(value, was, group) => type('right number', 'value', value, was, group)"
        label="Right number"
        :readonly="!mayEdit"
      />
      <FieldInPlace
        :value="check.unit ?? ''"
        :save="(text, was, group) => type('unit', 'unit', text.trim() || undefined, was.trim() || undefined, group)"
        class="unit"
        boxed
        maxlength="40"
        :readonly="!mayEdit"
        placeholder="unit"
        aria-label="Unit"
      />
      <span class="small quiet">give or take</span>
      <FieldFigure
        :value="check.tolerance"
        :save="(value, was, group) => type('tolerance', 'tolerance', value, was, group)"
        label="Tolerance"
        :min="0"
        :readonly="!mayEdit"
      />
      <FieldSelect
        v-if="mayEdit"
        :model-value="check.inPercent ? 'percent' : 'unit'"
        :items="BOUNDS"
        label="Tolerance in"
        @update:model-value="set('tolerance', 'inPercent', $event === 'percent' ? true : undefined)"
      />
      <span v-if="range" class="small quiet">{{ range }}</span>
    </p>
    <CheckQuotes :quotes="check.quotes" />
    <template v-if="mayEdit || check.known.length">
      <p class="small quiet">Wrong numbers to be expected, and what is said to them</p>
      <CheckRows
        :rows="check.known"
        one="wrong number"
        :name-of="(known) => String(known.value)"
        :may-edit="mayEdit"
        @add="(id) => add('known', { id, value: next(), feedback: { code: 'own', quotes: [] } }, 'new wrong number')"
        @drop="(id) => drop('known', id, 'wrong number deleted')"
      >
        <template #default="{ row }">
          <FieldFigure
            :value="row.value"
            :save="
              (value, was, group) =>
                typeIn(
                  'known',
                  row.id,
                  'wrong number',
                  group,
                  (known) => ({ ...known, value: value! }),
                  (known) => ({ ...known, value: was! }),
                )
            "
            label="Wrong number"
            :readonly="!mayEdit"
          />
          <CheckSaid
            :feedback="row.feedback"
            :to="String(row.value)"
            :may-edit="mayEdit"
            @say="
              (changed, before, group) =>
                typeIn(
                  'known',
                  row.id,
                  'feedback',
                  group,
                  (known) => ({ ...known, feedback: changed }),
                  (known) => ({ ...known, feedback: before }),
                )
            "
          />
        </template>
      </CheckRows>
    </template>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
.unit {
  width: 7em;
  min-height: 28px;
  padding: 2px 7px;
}
</style>
