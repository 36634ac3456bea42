<script setup lang="ts">
import { lettersOf, type AreaCheck, type Box } from '~~/core/checks/area/form';
import type { CheckPicture } from '~~/core/checks/check';
import { MORE_WORDS } from '~~/core/checks/fresh';
import type { ChoiceCheck, Option } from '~~/core/checks/forms';
import type { SeveralCheck } from '~~/core/checks/several/form';
import { useCheckEditing } from '~/checks/editing';

/** Answers to choose from as their author works on them: words and keys in place, with what the sources say to each. */
type Asked = ChoiceCheck | SeveralCheck | AreaCheck;
const props = defineProps<{
  check: Asked;
  readonly?: boolean;
  /** What one of them is called, and the words of a new one; with `box` where it lies in a picture. */
  one?: string;
  fresh?: { text: string; box?: Box };
  /** Named by letters, as they lie in a picture: no pictures of their own, none exchanged for another. */
  lettered?: boolean;
}>();
const { desk, mayEdit, now, typeIn, saves, change, add, drop } = useCheckEditing<Asked>(props);
const keysOf = (check: Asked) => (check.kind === 'choice' ? [check.key] : check.keys);
const letters = computed(() =>
  props.check.kind === 'area' ? lettersOf(props.check.options) : new Map<string, string>(),
);
/** What an answer says beside its words; areas have no pictures of their own. */
const pictureOf = (option: Option) => (props.lettered ? undefined : option.picture);
const pictured = (picture: CheckPicture | undefined) => (option: Option) => {
  const changed = { ...option };
  if (picture) changed.picture = picture;
  else delete changed.picture;
  return changed as never;
};
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
  const options = (check.options as Option[]).map((option) => ({
    ...option,
    feedback: { ...option.feedback, code: code(option) },
  }));
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
      :rows="check.options as Option[]"
      :one="one ?? 'answer'"
      :name-of="(option) => option.text"
      :least="2"
      :keep="({ id }) => isKey(id)"
      :may-edit="mayEdit"
      @add="
        (id) =>
          add(
            'options',
            { id, text: MORE_WORDS.option, feedback: { code: 'own', quotes: [] }, ...fresh } as never,
            'new answer',
          )
      "
      @drop="(id) => drop('options', id, 'answer deleted')"
    >
      <template #lead="{ row }">
        <span class="lead">
          <span v-if="lettered" class="letter">{{ letters.get(row.id) }}</span>
          <CheckKeyMark
            :name="check.id"
            :several="check.kind !== 'choice'"
            :checked="isKey(row.id)"
            :disabled="!mayEdit"
            :aria-label="`Right answer: ${row.text}`"
            @change="right(row.id)"
          />
        </span>
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
        <CheckPicture
          v-if="pictureOf(row)"
          :picture="pictureOf(row)!"
          :may-edit="mayEdit"
          small
          :save="
            (picture, was, group) =>
              typeIn('options', row.id, 'what the picture shows', group, pictured(picture), pictured(was))
          "
          @out="change('options', row.id, 'picture taken out', pictured(undefined))"
        />
        <CheckInstead
          v-if="check.kind !== 'area' && instead === row.id"
          :check="check"
          :option="row"
          @close="instead = null"
        />
      </template>
      <template v-if="!lettered" #do="{ row }">
        <CheckPictureFile
          v-if="!pictureOf(row)"
          class="small"
          label="picture"
          :name="`Picture for ${row.text}`"
          @take="change('options', row.id, 'picture', pictured($event))"
        />
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
    <CheckCredit v-if="check.kind !== 'choice'" :check="check" :readonly="readonly" />
  </div>
</template>

<style scoped>
.lead {
  display: flex;
  gap: 6px;
  align-items: center;
}
.letter {
  font-weight: 700;
}
.right {
  font-weight: 700;
}
button.link {
  min-height: 24px;
}
</style>
