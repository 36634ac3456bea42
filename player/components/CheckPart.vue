<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import type { Feedback, LearnerCheck } from '../../core/checks/markings';
import { isRight, type Shown } from '../../core/learning/progress';
import { say, type Words } from '../../core/words';
import { CHECK_PARTS } from '../checks';

/** A question: answered, marked, tried again as long as the rules allow. */
const props = defineProps<{
  check: LearnerCheck;
  shown?: Shown;
  waiting?: unknown;
  tries: number | null;
  words: Words;
}>();
const emit = defineEmits<{ answer: [response: unknown] }>();
const response = ref<unknown>(props.waiting ?? props.shown?.response);
/** A wrong answer stands with what is said to it until it is tried again. */
const again = ref(false);
const form = ref<HTMLFormElement | null>(null);
const open = computed(() => props.waiting === undefined && (!props.shown || (!props.shown.settled && again.value)));
const left = computed(() => (props.tries === null || !props.shown ? null : props.tries - props.shown.tries));
watch(
  () => props.shown?.tries,
  () => {
    again.value = false;
    if (props.shown) response.value = props.shown.response;
  },
);
async function retry() {
  again.value = true;
  response.value = undefined;
  await nextTick();
  form.value?.querySelector<HTMLElement>('input, textarea, select, button')?.focus();
}
/** What an answer is worth, in words. */
const verdict = (answer: Shown) => {
  if (answer.state === 'waiting') return props.words.toBeMarked;
  if (isRight(answer)) return props.words.right;
  return answer.score > 0 ? say(props.words.partly, { share: Math.round(answer.score * 100) }) : props.words.wrong;
};
const sayWhy = (feedback: Feedback) =>
  feedback.text ??
  (feedback.code === 'right' ? props.words.says : feedback.code === 'own' ? '' : props.words.feedback[feedback.code]);
</script>

<template>
  <form ref="form" class="up-check" @submit.prevent="response !== undefined && emit('answer', response)">
    <fieldset>
      <legend>
        <span class="kind">{{ words.check }}</span>{{ check.stem }}
      </legend>
      <component
        :is="CHECK_PARTS[check.kind]"
        v-model="response"
        :check="check"
        :open="open"
        :solution="shown?.solution"
        :wrong="shown !== undefined && !isRight(shown)"
        :words="words"
      />
    </fieldset>
    <button v-if="open" type="submit" class="first" :disabled="response === undefined">{{ words.answer }}</button>
    <div role="status">
      <p v-if="waiting !== undefined" class="up-said">{{ words.checking }}. {{ words.kept }}</p>
      <div v-else-if="shown && !open" class="up-said" :class="{ no: !isRight(shown) }">
        <p>
          <strong>{{ verdict(shown) }}</strong>
        </p>
        <template v-for="(feedback, at) in [shown.feedback, shown.why]" :key="at">
          <template v-if="feedback && (at === 0 || feedback !== shown.feedback)">
            <p v-if="sayWhy(feedback) && (feedback.code !== 'right' || feedback.text || feedback.quotes.length)">
              {{ sayWhy(feedback) }}
            </p>
            <p v-for="quote in feedback.quotes" :key="quote">
              <q>{{ quote }}</q>
            </p>
          </template>
        </template>
      </div>
    </div>
    <p v-if="shown && !shown.settled && !open && waiting === undefined">
      <button type="button" @click="retry">{{ words.again }}</button>
      <span v-if="left !== null" class="quiet">{{ say(words.triesLeft, { left }) }}</span>
    </p>
  </form>
</template>
