<script setup lang="ts">
import type { Check } from '~~/core/checks/forms';
import { CHECK_EDITORS } from '~/checks';
import { useCheckEditing } from '~/checks/editing';

/** A check as its author works on it: what is asked, and its answers as its kind has them. */
const props = defineProps<{ check: Check; readonly?: boolean }>();
const { mayEdit, set, type } = useCheckEditing<Check>(props);
const editor = computed(() => CHECK_EDITORS[props.check.kind]);
</script>

<template>
  <div class="check" :data-check="check.id" :data-node="check.id">
    <FieldInPlace
      :value="check.stem"
      :save="(words, was, group) => type('question', 'stem', words, was, group)"
      lines
      required
      class="stem"
      :readonly="!mayEdit"
      :aria-label="editor.stem"
    />
    <CheckPicture
      v-if="check.picture"
      :picture="check.picture"
      :may-edit="mayEdit"
      :save="(picture, was, group) => type('what the picture shows', 'picture', picture, was, group)"
      @out="set('picture taken out', 'picture', undefined)"
    >
      <component :is="editor.over" v-if="editor.over" :check="check" :readonly="readonly" />
    </CheckPicture>
    <component :is="editor.part" :check="check" :readonly="readonly" />
    <CheckFlaws :check="check" :readonly="readonly" :whole="editor.saysFlaws" />
    <CheckMore :check="check" :readonly="readonly" />
  </div>
</template>

<style scoped>
.stem {
  font-family: var(--font-read);
  font-weight: 600;
  font-size: 16px;
  line-height: 1.4;
  padding: 2px 4px;
  margin-left: -4px;
}
</style>
