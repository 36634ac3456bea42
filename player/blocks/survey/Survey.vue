<script setup lang="ts">
import { computed, nextTick, onMounted, reactive, ref, watch } from 'vue';
import { answerRead, answersRead, unanswered, type SurveyAnswers } from '../../../core/blocks/survey/answers';
import { LETTERS_MOST, LINE_MOST, type SurveyBody, type SurveyItem } from '../../../core/blocks/survey/form';
import { UNNAMED_LEAST } from '../../../core/learning/surveys';
import { say } from '../../../core/words';
import { chanceName } from '../../carriers/carrier';
import type { PartView } from '../part';

/** A feedback form: filled in, kept on this device at every key, and sent as a whole. */
const props = defineProps<{
  body: SurveyBody;
  view: PartView;
  id: string;
  /** It is all of its page. */
  whole?: boolean;
}>();
const emit = defineEmits<{ sent: [] }>();
const words = computed(() => props.view.words.survey);

/** A question's fields as they are filled in: whatever its kind, what it does not have stays empty. */
interface Filled {
  ids: string[];
  own: boolean;
  text: string;
  points?: number;
}
interface Draft {
  sheet: string;
  filled: Record<string, Filled>;
}
const draft = reactive<Draft>({ sheet: chanceName(), filled: {} });
const standing = ref<'looking' | 'open' | 'sending' | 'given'>(props.view.surveys ? 'looking' : 'open');
const trouble = ref('');
/** What was sent before, where it may be changed. */
const before = ref<SurveyAnswers>();
const root = ref<HTMLElement | null>(null);
/** Sent with what must be answered left open: each is said, until it is answered. */
const pressed = ref(false);

const emptyFields = (): Filled => ({ ids: [], own: false, text: '' });
// Every question has its fields, those an author adds while they look at it, too.
watch(
  () => props.body.items,
  (items) => {
    for (const { id } of items) draft.filled[id] ??= emptyFields();
  },
  { immediate: true },
);
const fieldsOf = ({ id }: SurveyItem): Filled => draft.filled[id]!;
function answerOf(item: SurveyItem): unknown {
  const { ids, own, text, points } = fieldsOf(item);
  if (item.kind === 'rating') return points;
  if (item.kind === 'number') return text.trim() === '' ? undefined : Number(text.trim().replace(',', '.'));
  if (item.kind === 'text') return text;
  return { ids: item.kind !== 'several' && own ? [] : ids, ...(own && { other: text }) };
}
/** Puts answers that were sent into the fields. */
function fill(answers: SurveyAnswers) {
  for (const item of props.body.items) {
    const answer = answers[item.id];
    const fields = emptyFields();
    if (typeof answer === 'string') fields.text = answer;
    else if (typeof answer === 'number') Object.assign(fields, { points: answer, text: String(answer) });
    else if (answer)
      Object.assign(fields, { ids: answer.ids, own: answer.other !== undefined, text: answer.other ?? '' });
    draft.filled[item.id] = fields;
  }
}
const answers = computed(
  (): SurveyAnswers => Object.fromEntries(props.body.items.map((item) => [item.id, answerOf(item)])) as SurveyAnswers,
);
const open = computed(() => unanswered(props.body, answers.value));
/** Numbers that are none, or out of their range. */
const wrong = computed(() =>
  props.body.items.filter(
    (item) =>
      item.kind === 'number' && fieldsOf(item).text.trim() !== '' && answerRead(item, answerOf(item)) === undefined,
  ),
);
const ready = computed(() => answersRead({ ...props.body, items: props.body.items.map(loose) }, answers.value));
/** A question that may be left open. */
function loose(item: SurveyItem): SurveyItem {
  const free = { ...item };
  delete free.required;
  return free;
}
const numberOf = (item: SurveyItem) => props.body.items.findIndex(({ id }) => id === item.id) + 1;
const isOff = computed(() => !props.view.surveys || standing.value === 'sending');
const told = computed(() =>
  props.body.named ? words.value.named : `${say(words.value.unnamed, { least: UNNAMED_LEAST })} ${words.value.once}`,
);
function rangeOf(item: SurveyItem & { kind: 'number' }): string {
  const { min, max, unit } = item;
  const range =
    min !== undefined && max !== undefined
      ? say(words.value.range, { min, max })
      : min !== undefined
        ? say(words.value.least, { min })
        : max !== undefined
          ? say(words.value.most, { max })
          : '';
  return [unit, range].filter(Boolean).join(', ');
}

const isDraft = (kept: unknown): kept is Draft =>
  typeof kept === 'object' &&
  kept !== null &&
  typeof (kept as Draft).sheet === 'string' &&
  typeof (kept as Draft).filled === 'object';
onMounted(async () => {
  const { surveys, drafts } = props.view;
  if (!surveys) return;
  const kept = drafts?.load(props.id);
  if (isDraft(kept)) {
    draft.sheet = kept.sheet;
    for (const [id, fields] of Object.entries(kept.filled)) draft.filled[id] = { ...emptyFields(), ...fields };
  }
  try {
    const { given, answers: sent } = await surveys.sent(props.id);
    before.value = sent;
    // What was being changed when the page was left is gone on with.
    standing.value = given && !isDraft(kept) ? 'given' : 'open';
  } catch {
    // Without a connection it can be filled in all the same.
    standing.value = 'open';
  }
});
// What is filled in is kept at every key, until it is sent.
watch(
  () => JSON.stringify(draft),
  (now, was) => {
    if (was !== now && standing.value === 'open') props.view.drafts?.save(props.id, JSON.parse(now));
  },
);

function own(item: SurveyItem, typed: string) {
  const fields = fieldsOf(item);
  fields.text = typed;
  fields.own = typed.trim() !== '' || fields.own;
}
function choose(item: SurveyItem, id: string) {
  Object.assign(fieldsOf(item), { ids: [id], own: false });
}
async function change() {
  draft.sheet = chanceName();
  if (before.value) fill(before.value);
  standing.value = 'open';
  await nextTick();
  root.value?.querySelector<HTMLElement>('input, textarea')?.focus();
}
async function send() {
  pressed.value = true;
  const missing = [...open.value, ...wrong.value][0];
  if (missing) {
    await nextTick();
    root.value?.querySelector<HTMLElement>(`[data-item="${missing.id}"] :is(input, textarea)`)?.focus();
    return;
  }
  if (!ready.value || !props.view.surveys) return;
  standing.value = 'sending';
  trouble.value = '';
  try {
    const { sheet } = draft;
    await props.view.surveys.send(props.id, { sheet, named: props.body.named, answers: ready.value });
    if (props.body.named) before.value = ready.value;
    props.view.drafts?.save(props.id, undefined);
    pressed.value = false;
    standing.value = 'given';
    emit('sent');
    await nextTick();
    root.value?.querySelector<HTMLElement>('.arrived')?.focus();
  } catch (error) {
    standing.value = 'open';
    const why = error instanceof Error && /\s/.test(error.message) ? error.message : props.view.words.task.lost;
    trouble.value = say(words.value.failed, { why });
  }
}
</script>

<template>
  <section ref="root" class="up-check up-survey" :aria-label="body.title">
    <component :is="whole ? 'h1' : 'h2'">{{ body.title }}</component>
    <p v-if="body.intro" class="intro">{{ body.intro }}</p>
    <div v-if="standing === 'given'" class="up-said arrived" tabindex="-1" role="status">
      <p>{{ body.thanks || words.given }}</p>
      <p v-if="body.named && before">
        <button type="button" @click="change">{{ words.change }}</button>
      </p>
    </div>
    <template v-else-if="standing !== 'looking'">
      <p class="quiet">{{ told }}</p>
      <fieldset
        v-for="(item, at) in body.items"
        :key="item.id"
        :data-item="item.id"
        :disabled="isOff"
        :class="{ open: pressed && (open.includes(item) || wrong.includes(item)) }"
      >
        <legend :id="`${id}-${item.id}`">
          {{ at + 1 }}. {{ item.text }} <span v-if="item.required" class="quiet">({{ words.must }})</span>
        </legend>
        <div v-if="item.kind === 'rating'" class="points">
          <span v-if="item.low" class="quiet">{{ item.low }}</span>
          <label v-for="point in item.of" :key="point" :class="{ chosen: fieldsOf(item).points === point }"
            ><input
              type="radio"
              :name="`${id}-${item.id}`"
              :value="point"
              :checked="fieldsOf(item).points === point"
              :aria-label="say(words.rating, { at: point, of: item.of })"
              @change="fieldsOf(item).points = point"
            /><span aria-hidden="true">{{ point }}</span></label
          >
          <span v-if="item.high" class="quiet">{{ item.high }}</span>
        </div>
        <template v-else-if="item.kind === 'text'">
          <input
            v-if="item.short"
            v-model="fieldsOf(item).text"
            type="text"
            :maxlength="LINE_MOST"
            :aria-labelledby="`${id}-${item.id}`"
          />
          <template v-else>
            <textarea
              v-model="fieldsOf(item).text"
              rows="4"
              :maxlength="LETTERS_MOST"
              :aria-labelledby="`${id}-${item.id}`"
            />
            <p v-if="LETTERS_MOST - fieldsOf(item).text.length < 300" class="quiet" role="status">
              {{ say(words.letters, { left: LETTERS_MOST - fieldsOf(item).text.length }) }}
            </p>
          </template>
        </template>
        <p v-else-if="item.kind === 'number'" class="figure">
          <input
            v-model="fieldsOf(item).text"
            type="text"
            inputmode="decimal"
            autocomplete="off"
            :aria-labelledby="`${id}-${item.id}`"
            :aria-describedby="`${id}-${item.id}-range`"
          />
          <span :id="`${id}-${item.id}-range`" class="quiet">{{ rangeOf(item) }}</span>
          <span v-if="wrong.includes(item)" class="over" role="status">{{ words.noNumber }}</span>
        </p>
        <template v-else>
          <p v-if="item.kind === 'several'" class="how">{{ words.choose }}</p>
          <div :class="{ steps: item.kind === 'scale' }">
            <label
              v-for="option in item.options"
              :key="option.id"
              class="up-option"
              :class="{
                chosen: fieldsOf(item).ids.includes(option.id) && !(item.kind === 'choice' && fieldsOf(item).own),
              }"
            >
              <input v-if="item.kind === 'several'" v-model="fieldsOf(item).ids" type="checkbox" :value="option.id" />
              <input
                v-else
                type="radio"
                :name="`${id}-${item.id}`"
                :checked="fieldsOf(item).ids.includes(option.id) && !fieldsOf(item).own"
                @change="choose(item, option.id)"
              />
              <span>{{ option.text }}</span>
            </label>
          </div>
          <div
            v-if="(item.kind === 'choice' || item.kind === 'several') && item.other"
            class="up-option own"
            :class="{ chosen: fieldsOf(item).own }"
          >
            <label
              ><input
                :type="item.kind === 'several' ? 'checkbox' : 'radio'"
                :name="item.kind === 'several' ? undefined : `${id}-${item.id}`"
                :checked="fieldsOf(item).own"
                @change="fieldsOf(item).own = ($event.target as HTMLInputElement).checked"
              /><span>{{ words.own }}</span></label
            >
            <input
              type="text"
              :value="fieldsOf(item).text"
              :maxlength="LINE_MOST"
              :aria-label="words.own"
              @input="own(item, ($event.target as HTMLInputElement).value)"
            />
          </div>
        </template>
      </fieldset>
      <p v-if="pressed && open.length" class="up-note" role="alert">
        {{ say(words.missing, { questions: open.map(numberOf).join(', ') }) }}
      </p>
      <p v-if="trouble" class="up-note" role="alert">{{ trouble }}</p>
      <p v-if="!view.surveys" class="quiet">{{ words.nowhere }}</p>
      <p v-else>
        <button type="button" class="first" :disabled="!ready || standing === 'sending'" @click="send">
          {{ standing === 'sending' ? words.sending : trouble ? words.again : words.send }}
        </button>
        <span v-if="view.drafts" class="quiet"> {{ words.kept }}</span>
      </p>
    </template>
  </section>
</template>
