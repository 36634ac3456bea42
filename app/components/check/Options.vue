<script setup lang="ts">
import { MORE_WORDS } from '~~/core/checks/fresh';
import type { ChoiceCheck, Option } from '~~/core/checks/forms';
import type { SeveralCheck } from '~~/core/checks/several/form';
import { useCheckEditing } from '~/checks/editing';

/** Answers to choose from as their author works on them: words and keys in place, with what the sources say to each. */
const props = defineProps<{ check: ChoiceCheck | SeveralCheck; readonly?: boolean }>();
const { desk, mayEdit, now, typeIn, saves, add, drop } = useCheckEditing<ChoiceCheck | SeveralCheck>(props);
const keysOf = (check: ChoiceCheck | SeveralCheck) => (check.kind === 'choice' ? [check.key] : check.keys);
const isKey = (id: string) => keysOf(props.check).includes(id);

/** The answer for which others are looked for. */
const instead = ref<string | null>(null);

/** Marks an answer as right: the one that is, or one of several. */
function right(id: string) {
  desk.flushTyping();
  const check = now();
  const was = keysOf(check);
  const keys = check.kind === 'choice' ? [id] : was.includes(id) ? was.filter((each) => each !== id) : [...was, id];
  if (keys.length === 0) return;
  const code = (option: Option): Option['feedback']['code'] =>
    keys.includes(option.id) ? 'right' : option.feedback.code === 'right' ? 'own' : option.feedback.code;
  const options = check.options.map((option) => ({ ...option, feedback: { ...option.feedback, code: code(option) } }));
  const [field, value, old] = check.kind === 'choice' ? ['key', id, check.key] : ['keys', keys, was];
  desk.change('right answer', [
    { type: 'set', id: check.id, field: 'options', value: options, was: check.options },
    { type: 'set', id: check.id, field: field as string, value, was: old },
  ]);
}
</script>

<template>
  <div>
    <CheckRows
      :rows="check.options"
      one="answer"
      :name-of="(option) => option.text"
      :least="2"
      :keep="({ id }) => isKey(id)"
      :may-edit="mayEdit"
      @add="
        (id) => add('options', { id, text: MORE_WORDS.option, feedback: { code: 'own', quotes: [] } }, 'new answer')
      "
      @drop="(id) => drop('options', id, 'answer deleted')"
    >
      <template #lead="{ row }">
        <CheckKeyMark
          :name="check.id"
          :several="check.kind === 'several'"
          :checked="isKey(row.id)"
          :disabled="!mayEdit"
          :aria-label="`Right answer: ${row.text}`"
          @change="right(row.id)"
        />
      </template>
      <template #default="{ row }">
        <FieldInPlace
          :value="row.text"
          :save="saves('options', row.id, 'text', 'answer')"
          lines
          required
          class="words"
          :class="{ right: isKey(row.id) }"
          :data-answer="row.id"
          :readonly="!mayEdit"
          aria-label="Answer"
        />
        <CheckSaid
          :feedback="row.feedback"
          :to="row.text"
          :may-edit="mayEdit"
          @say="
            (changed, before, group) =>
              typeIn(
                'options',
                row.id,
                'feedback',
                group,
                (option) => ({ ...option, feedback: changed }),
                (option) => ({ ...option, feedback: before }),
              )
          "
        />
        <CheckInstead v-if="instead === row.id" :check="check" :option="row" @close="instead = null" />
      </template>
      <template #do="{ row }">
        <button
          v-if="!isKey(row.id)"
          type="button"
          class="link small"
          :aria-expanded="instead === row.id"
          :aria-label="`exchange ${row.text}`"
          @click="instead = instead === row.id ? null : row.id"
        >
          exchange
        </button>
      </template>
    </CheckRows>
    <CheckCredit v-if="check.kind === 'several'" :check="check" :readonly="readonly" />
  </div>
</template>

<style scoped>
.right {
  font-weight: 700;
}
button.link {
  min-height: 24px;
}
</style>
