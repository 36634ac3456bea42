<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import type { Feedback } from '../../core/check/marking';
import type { Shown } from '../../core/learning/progress';
import type { LearnerCheck } from '../../core/learning/view';
import { say, type Words } from '../words';

/** A question: answered, marked, tried again as long as the rules allow. */
const props = defineProps<{ check: LearnerCheck; shown?: Shown; waiting?: string; tries: number | null; words: Words }>();
const emit = defineEmits<{ answer: [option: string] }>();
const chosen = ref(props.waiting ?? props.shown?.option ?? '');
/** A wrong answer stands with what is said to it until it is tried again. */
const again = ref(false);
const form = ref<HTMLFormElement | null>(null);
const open = computed(() => props.waiting === undefined && (!props.shown || (!props.shown.settled && again.value)));
const left = computed(() => (props.tries === null || !props.shown ? null : props.tries - props.shown.tries));
watch(() => props.shown?.tries, () => {
  again.value = false;
  if (props.shown) chosen.value = props.shown.option;
});
async function retry() {
  again.value = true;
  chosen.value = '';
  await nextTick();
  form.value?.querySelector('input')?.focus();
}
const sayWhy = (feedback: Feedback) => feedback.text ?? (feedback.code === 'right' ? props.words.says : feedback.code === 'own' ? '' : props.words.feedback[feedback.code]);
</script>

<template>
  <form ref="form" class="up-check" @submit.prevent="chosen && emit('answer', chosen)">
    <fieldset>
      <legend><span class="kind">{{ words.check }}</span>{{ check.stem }}</legend>
      <label v-for="option in check.options" :key="option.id" :class="{ chosen: chosen === option.id, off: !open, 'is-key': shown?.key === option.id }">
        <input v-model="chosen" type="radio" :name="check.id" :value="option.id" :disabled="!open">
        <span>{{ option.text }}</span>
        <span v-if="!open && shown?.key === option.id" class="mark">✓ {{ words.rightAnswer }}</span>
        <span v-else-if="!open && shown && !shown.right && shown.option === option.id" class="mark no">{{ words.yourAnswer }}</span>
      </label>
    </fieldset>
    <button v-if="open" type="submit" class="first" :disabled="!chosen">{{ words.answer }}</button>
    <div role="status">
      <p v-if="waiting !== undefined" class="up-said">{{ words.checking }}. {{ words.kept }}</p>
      <div v-else-if="shown && !open" class="up-said" :class="{ no: !shown.right }">
        <p><strong>{{ shown.right ? words.right : words.wrong }}</strong></p>
        <template v-for="(feedback, at) in [shown.feedback, shown.why]" :key="at">
          <template v-if="feedback && (at === 0 || feedback !== shown.feedback)">
            <p v-if="sayWhy(feedback) && (feedback.code !== 'right' || feedback.text || feedback.quotes.length)">{{ sayWhy(feedback) }}</p>
            <p v-for="quote in feedback.quotes" :key="quote"><q>{{ quote }}</q></p>
          </template>
        </template>
      </div>
    </div>
    <p v-if="shown && !shown.settled && !open && waiting === undefined"><button type="button" @click="retry">{{ words.again }}</button> <span v-if="left !== null" class="quiet">{{ say(words.triesLeft, { left }) }}</span></p>
  </form>
</template>
