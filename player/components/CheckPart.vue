<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, watch } from 'vue';
import type { Feedback, LearnerCheck } from '../../core/checks/markings';
import { type Shown } from '../../core/learning/shown';
import { isRight } from '../../core/learning/state';
import { say } from '../../core/words';
import type { PartView } from '../blocks/part';
import { picture } from '../blocks/picture';
import { BY_STEPS, CHECK_PARTS } from '../checks';

/**
 * A question: answered, marked, tried again as long as the rules allow. `held`: as in a quiz that says nothing before
 * it is handed in, what is answered is taken as it changes, until it is `closed`; `held` is what was answered so far.
 */
const props = defineProps<{
  check: LearnerCheck;
  shown?: Shown;
  waiting?: unknown;
  tries: number | null;
  view: PartView;
  /** Where it stands among others, where they are numbered. */
  number?: number;
  held?: { response?: unknown };
  closed?: boolean;
  /** Said beside what it asks. */
  note?: string;
}>();
const emit = defineEmits<{ answer: [response: unknown] }>();
const response = ref<unknown>(props.waiting ?? props.shown?.response ?? props.held?.response);
/** A wrong answer stands with what is said to it until it is tried again. */
const again = ref(false);
const form = ref<HTMLFormElement | null>(null);
const words = computed(() => props.view.words);
/** What it weighs, and whether it must be answered. */
const asides = computed(() => {
  const { points, required } = props.check;
  const { asks } = words.value;
  const weight = points === undefined ? '' : points === 1 ? asks.onePoint : say(asks.points, { points });
  return [weight, required ? asks.required : ''].filter(Boolean);
});
/** The same answer again would only cost a try. */
const isSame = computed(
  () => props.shown !== undefined && JSON.stringify(response.value) === JSON.stringify(props.shown.response),
);
/** A story that is not at its end: it is gone on with, not tried again. */
const isGoing = computed(() => props.shown?.state === 'going');
const bySteps = computed(() => BY_STEPS.has(props.check.kind));
const isHeld = computed(() => props.held !== undefined && !props.shown);
const open = computed(
  () =>
    !props.closed &&
    (isHeld.value ||
      (props.waiting === undefined && (!props.shown || isGoing.value || (!props.shown.settled && again.value)))),
);
const left = computed(() => (props.tries === null || !props.shown ? null : props.tries - props.shown.tries));
watch(
  () => props.shown?.tries,
  () => {
    again.value = false;
    if (props.shown) response.value = props.shown.response;
  },
);
/** How long an answer may still be changing, as words do while they are typed, before it is taken: milliseconds. */
const SETTLES = 500;
let settling: ReturnType<typeof setTimeout> | undefined;
let taken = JSON.stringify(response.value);
function take() {
  clearTimeout(settling);
  const now = JSON.stringify(response.value);
  if (!isHeld.value || props.closed || now === taken) return;
  taken = now;
  // What was emptied is taken back.
  emit('answer', response.value ?? null);
}
watch(response, () => {
  if (!isHeld.value) return;
  clearTimeout(settling);
  settling = setTimeout(take, SETTLES);
});
onBeforeUnmount(take);
defineExpose({ take });

async function retry() {
  again.value = true;
  await nextTick();
  const fields = [...(form.value?.querySelectorAll<HTMLElement>('input, textarea, select, button') ?? [])];
  (fields.find((field) => field.matches(':checked')) ?? fields.find((field) => !field.matches(':disabled')))?.focus();
}
/** What an answer is worth, in words. */
const verdict = (answer: Shown) => {
  const { toBeMarked, right, wrong, partly } = words.value;
  if (answer.state === 'waiting') return toBeMarked;
  if (isRight(answer)) return right;
  return answer.score > 0 ? say(partly, { share: Math.round(answer.score * 100) }) : wrong;
};
const sayWhy = (feedback: Feedback) =>
  feedback.text ??
  (feedback.code === 'right' ? words.value.says : feedback.code === 'own' ? '' : words.value.feedback[feedback.code]);
/** Where learners compare, nothing is right or wrong. */
const isCompared = (answer: Shown) => answer.state === 'marked' && answer.feedback?.code === 'compare';
</script>

<template>
  <form
    ref="form"
    class="up-check"
    @submit.prevent="isHeld ? take() : response !== undefined && emit('answer', response)"
    @focusout="take"
  >
    <fieldset>
      <legend>
        <span class="kind">{{
          [number === undefined ? words.check : String(number), ...asides, ...(note ? [note] : [])].join(', ')
        }}</span>{{ check.stem }}
      </legend>
      <component
        :is="picture({ picture: check.picture.media, alt: check.picture.alt, caption: [] }, view)"
        v-if="check.picture"
      />
      <component
        :is="CHECK_PARTS[check.kind]"
        v-model="response"
        :check="check"
        :open="open"
        :solution="shown?.solution"
        :wrong="shown !== undefined && !isRight(shown)"
        :feedback="again ? undefined : shown?.feedback"
        :view="view"
        @take="emit('answer', $event)"
      />
    </fieldset>
    <button v-if="open && !isHeld && !bySteps" type="submit" class="first" :disabled="response === undefined || isSame">
      {{ words.answer }}
    </button>
    <div role="status">
      <template v-if="isHeld" />
      <p v-else-if="waiting !== undefined" class="up-said">{{ words.checking }}. {{ words.kept }}</p>
      <div v-else-if="shown && !open" class="up-said" :class="{ no: !isRight(shown) }">
        <p v-if="!isCompared(shown)">
          <strong>{{ verdict(shown) }}</strong>
        </p>
        <p v-if="shown.said">{{ shown.said }}</p>
        <template v-for="(feedback, at) in [shown.feedback, shown.why]" :key="at">
          <template v-if="feedback && (at === 0 || feedback !== shown.feedback)">
            <p v-if="sayWhy(feedback) && (feedback.code !== 'right' || feedback.text || feedback.quotes.length)">
              {{ sayWhy(feedback) }}
            </p>
            <template v-if="feedback.points">
              <p>{{ words.asks.looksFor }}</p>
              <ul>
                <li v-for="point in feedback.points" :key="point">{{ point }}</li>
              </ul>
            </template>
            <p v-for="quote in feedback.quotes" :key="quote">
              <q>{{ quote }}</q>
            </p>
            <p v-if="feedback.general">{{ feedback.general }}</p>
          </template>
        </template>
      </div>
    </div>
    <p v-if="shown && !shown.settled && !open && !closed && waiting === undefined">
      <button type="button" class="first" @click="retry">{{ words.again }}</button>
      <span v-if="left !== null" class="quiet">{{ say(words.triesLeft, { left }) }}</span>
    </p>
  </form>
</template>
