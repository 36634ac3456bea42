<script setup lang="ts">
import type { ChoiceCheck, Option } from '~~/core/checks/forms';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';

/** The answers of a choice as its author works on them: words and key in place, with what the sources say to each. */
const props = defineProps<{ check: ChoiceCheck; readonly?: boolean }>();
const desk = useCourse();
const root = ref<HTMLElement | null>(null);
const mayEdit = computed(() => desk.mayEdit && !props.readonly);
const CODES: Record<string, string> = {
  right: 'right',
  'other-case': 'holds in another case',
  'other-term': 'means something else',
  'other-figure': 'another figure',
  'not-said': 'not said by the source',
  own: 'your own',
};
const plain = <T,>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
/** The question as it stands now: a field that gives its words away late must not bring an older one back. */
const now = () =>
  (desk.course?.checks.find((each) => each.id === props.check.id) as ChoiceCheck | undefined) ?? props.check;

/**
 * Changes one answer. `before` is the answer as it was when typing began: when somebody else was quicker, both are
 * kept.
 */
function answer(
  id: string,
  what: string,
  group: string,
  changed: (option: Option) => Option,
  before: (option: Option) => Option,
) {
  const { options } = now();
  const each = (change: (option: Option) => Option) =>
    options.map((option) => (option.id === id ? change(plain(option)) : option));
  return desk.type(
    what,
    [{ type: 'set', id: props.check.id, field: 'options', value: each(changed), was: each(before) }],
    group,
  );
}
const words = (id: string, text: string, was: string, group: string) =>
  answer(
    id,
    'answer',
    group,
    (option) => ({ ...option, text }),
    (option) => ({ ...option, text: was }),
  );
function said(option: Option, text: string): Option {
  const { code, quotes } = option.feedback;
  return { ...option, feedback: { code, quotes, ...(text.trim() && { text }) } };
}
const feedback = (id: string, text: string, was: string, group: string) =>
  answer(
    id,
    'feedback',
    group,
    (option) => said(option, text),
    (option) => said(option, was),
  );
function right(id: string) {
  desk.flushTyping();
  const { options, key } = now();
  const marked = options.map((option) => ({
    ...plain(option),
    feedback: {
      ...plain(option.feedback),
      code:
        option.id === id
          ? ('right' as const)
          : option.feedback.code === 'right'
            ? ('own' as const)
            : option.feedback.code,
    },
  }));
  desk.change('right answer', [
    { type: 'set', id: props.check.id, field: 'options', value: marked, was: options },
    { type: 'set', id: props.check.id, field: 'key', value: id, was: key },
  ]);
}
/** One answer more, with the cursor in it. */
async function add() {
  desk.flushTyping();
  const id = freshId('a');
  const { options } = now();
  desk.change('new answer', [
    {
      type: 'set',
      id: props.check.id,
      field: 'options',
      value: [...options, { id, text: 'Another answer', feedback: { code: 'own', quotes: [] } }],
      was: options,
    },
  ]);
  await nextTick();
  const field = root.value?.querySelector<HTMLInputElement>(`[data-answer="${id}"]`);
  field?.focus();
  field?.select();
}
function drop(id: string) {
  desk.flushTyping();
  const { options, key } = now();
  if (options.length > 2 && id !== key)
    desk.change('answer deleted', [
      {
        type: 'set',
        id: props.check.id,
        field: 'options',
        value: options.filter((option) => option.id !== id),
        was: options,
      },
    ]);
}
</script>

<template>
  <div ref="root">
    <ul>
      <li v-for="each in check.options" :key="each.id" :class="{ right: each.id === check.key }">
        <CheckKeyMark
          :name="check.id"
          :checked="each.id === check.key"
          :disabled="!mayEdit"
          :aria-label="`Right answer: ${each.text}`"
          @change="right(each.id)"
        />
        <div>
          <FieldInPlace
            :value="each.text"
            :save="(text, was, group) => words(each.id, text, was, group)"
            lines
            required
            class="words"
            :data-answer="each.id"
            :readonly="!mayEdit"
            aria-label="Answer"
          />
          <p class="feedback small">
            <span :class="{ decide: each.feedback.code === 'own' && !each.feedback.text }">{{
              CODES[each.feedback.code]
            }}</span><template v-if="each.feedback.quotes[0]">: “{{ each.feedback.quotes[0].text }}”</template>
          </p>
          <FieldInPlace
            v-if="mayEdit || each.feedback.text"
            :value="each.feedback.text ?? ''"
            :save="(text, was, group) => feedback(each.id, text, was, group)"
            lines
            class="own small"
            :readonly="!mayEdit"
            placeholder="say it in your words"
            :aria-label="`Feedback to ${each.text}`"
          />
        </div>
        <button
          v-if="mayEdit && each.id !== check.key && check.options.length > 2"
          type="button"
          class="link small"
          :aria-label="`Delete answer ${each.text}`"
          @click="drop(each.id)"
        >
          delete
        </button>
      </li>
    </ul>
    <p v-if="mayEdit" class="small"><button type="button" class="link" @click="add">Another answer</button></p>
  </div>
</template>

<style scoped>
ul {
  margin: 6px 0 4px;
  list-style: none;
  padding: 0;
}
li {
  margin: 0;
  display: grid;
  grid-template-columns: 24px 1fr auto;
  gap: 6px;
  padding: 4px 0;
  align-items: start;
}
.words {
  min-height: 26px;
  padding: 2px 4px;
}
.right .words {
  font-weight: 700;
}
.feedback {
  color: var(--ink-2);
  padding-left: 4px;
}
li > .link {
  font-size: 13px;
  min-height: 24px;
  min-width: 24px;
}
p > .link {
  min-height: 24px;
}
.own {
  min-height: 24px;
  padding: 1px 4px;
  color: var(--ink);
}
</style>
