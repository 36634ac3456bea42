<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { reordered, type LearnerCheck } from '../../core/checks/markings';
import type { ShownQuiz } from '../../core/learning/shown';
import { shuffled } from '../../core/learning/sittings';
import type { LearnerQuiz } from '../../core/learning/view';
import { say } from '../../core/words';
import type { PartView } from '../blocks/part';
import CheckPart from './CheckPart.vue';

/** A quiz: what it asks and how it counts, a try at it, what the try was worth. */
const props = defineProps<{
  quiz: LearnerQuiz;
  checks: ReadonlyMap<string, LearnerCheck>;
  shown?: ShownQuiz;
  /** Responses that are kept and not sent yet. */
  waiting: (check: string) => unknown;
  /** What was begun or handed in is on its way. */
  pending: boolean;
  view: PartView;
}>();
const emit = defineEmits<{ begin: []; hand: []; answer: [check: string, response: unknown] }>();
const words = computed(() => props.view.words.quiz);
const percent = (share: number) => Math.floor(share * 100 + 1e-6);
const last = computed(() => props.shown?.last);
const isOpen = computed(() => last.value !== undefined && last.value.handed === undefined);
const count = computed(() => props.quiz.draws.reduce((sum, { take }) => sum + take, 0));
const minutes = computed(() => {
  const { end, begun } = last.value ?? {};
  return end !== undefined && begun !== undefined ? Math.round((end - begun) / 60_000) : props.quiz.minutes;
});
/** How it counts, a line each. */
const facts = computed(() => {
  const { practice, skips, pass, weight, shows } = props.quiz;
  const left = props.shown?.left ?? props.quiz.tries;
  return [
    count.value === 1 ? words.value.oneQuestion : say(words.value.questions, { of: count.value }),
    ...(minutes.value ? [say(words.value.minutes, { minutes: minutes.value })] : []),
    ...(pass !== undefined ? [say(words.value.pass, { share: percent(pass) })] : []),
    left === undefined ? words.value.anyTries : say(props.view.words.triesLeft, { left }),
    ...(practice ? [words.value.practice] : weight !== undefined ? [say(words.value.weight, { weight })] : []),
    ...(skips ? [words.value.skips] : []),
    words.value.shows[shows],
  ];
});
const asked = computed(() =>
  (last.value?.asked ?? []).flatMap((id) => {
    const check = props.checks.get(id);
    if (!check) return [];
    const { mix } = last.value!;
    const order = <Item extends { id: string }>(items: readonly Item[]): Item[] => {
      const byId = new Map(items.map((item) => [item.id, item]));
      return shuffled([...byId.keys()], `${mix}/${id}`).map((each) => byId.get(each)!);
    };
    return [mix === undefined ? check : reordered(check, order)];
  }),
);
const answerTo = (id: string) => last.value?.answers[id];
const shownTo = (id: string) => {
  const answer = answerTo(id);
  return answer && 'shown' in answer ? answer.shown : undefined;
};
/** What was answered so far; what waits to be sent is newer, and null takes an answer back. */
const heldOf = (id: string) => {
  const [answer, waits] = [answerTo(id), props.waiting(id)];
  const held = answer && 'held' in answer ? answer.held : undefined;
  return { response: waits === undefined ? held : (waits ?? undefined) };
};
const isAnswered = (id: string) => {
  const waits = props.waiting(id);
  return waits === undefined ? answerTo(id) !== undefined : waits !== null;
};
const answered = computed(() => asked.value.filter(({ id }) => isAnswered(id)).length);

const parts = ref<{ take: () => void }[]>([]);
/** What is missing is said once; who hands in all the same presses again. */
const warned = ref(false);
function hand(all = false) {
  for (const part of parts.value) part.take();
  const missing = asked.value.filter(({ id }) => !isAnswered(id));
  if (missing.length > 0 && !warned.value && !all) {
    warned.value = true;
    return;
  }
  warned.value = false;
  emit('hand');
}
watch(answered, () => void (warned.value = false));

const now = ref(Date.now());
let clock: ReturnType<typeof setInterval> | undefined;
const seconds = computed(() =>
  last.value?.end === undefined ? undefined : Math.max(0, Math.ceil((last.value.end - now.value) / 1000)),
);
const time = computed(
  () => `${Math.floor((seconds.value ?? 0) / 60)}:${String((seconds.value ?? 0) % 60).padStart(2, '0')}`,
);
/** What a screen reader hears of the time: not every second. */
const heard = computed(() =>
  seconds.value !== undefined && [600, 300, 60, 30].includes(seconds.value) ? time.value : undefined,
);
/** The try whose time ran out; it is handed in once. */
const ranOut = ref<number>();
function tick() {
  now.value = Date.now();
  const number = last.value?.number;
  if (!isOpen.value || seconds.value !== 0 || props.pending || ranOut.value === number) return;
  ranOut.value = number;
  hand(true);
}
/** Where a try begins or ends the page is another one: who goes by keys or by ear is taken along. */
const root = ref<HTMLElement | null>(null);
watch(
  [() => last.value?.number, isOpen],
  () =>
    void nextTick(() => {
      const line = root.value?.querySelector<HTMLElement>('.up-sitting, .up-result');
      line?.focus({ preventScroll: true });
      root.value?.scrollIntoView({ block: 'start' });
    }),
);
onMounted(() => {
  clock = setInterval(tick, 1000);
  tick();
});
onBeforeUnmount(() => clearInterval(clock));
</script>

<template>
  <section ref="root" class="up-quiz">
    <template v-if="isOpen && last">
      <div class="up-sitting" tabindex="-1">
        <span>{{ say(words.progress, { at: answered, of: asked.length }) }}</span>
        <span v-if="seconds !== undefined" class="time" :class="{ short: seconds <= 60 }" aria-hidden="true">{{
          say(words.timeLeft, { time })
        }}</span>
        <span class="sr" role="timer" aria-live="polite">{{ heard ? say(words.timeLeft, { time: heard }) : '' }}</span>
      </div>
      <CheckPart
        v-for="(check, at) in asked"
        :key="`${last.number}/${check.id}`"
        ref="parts"
        :note="shownTo(check.id)?.kept ? words.stands : undefined"
        :check="check"
        :number="at + 1"
        :shown="shownTo(check.id)"
        :held="quiz.shows === 'each' ? undefined : heldOf(check.id)"
        :waiting="quiz.shows === 'each' ? waiting(check.id) : undefined"
        :closed="pending || shownTo(check.id) !== undefined"
        :tries="1"
        :view="view"
        @answer="emit('answer', check.id, $event)"
      />
      <div class="up-onward">
        <p v-if="warned" class="up-note" role="alert">
          {{
            say(words.missing, {
              missing: asked.flatMap(({ id }, at) => (isAnswered(id) ? [] : [at + 1])).join(', '),
            })
          }}
        </p>
        <button type="button" class="first" :disabled="pending" @click="hand()">
          {{ pending ? words.wait : words.handIn }}
        </button>
      </div>
    </template>
    <template v-else>
      <div
        v-if="shown?.share !== undefined && last"
        class="up-result"
        :class="{ no: shown.passed === false }"
        role="status"
        tabindex="-1"
      >
        <p v-if="ranOut === last.number">{{ words.timeOver }}</p>
        <p class="share">
          <strong>{{ say(shown.tries > 1 ? words.best : words.result, { share: percent(shown.share) }) }}</strong>
          <template v-if="shown.passed !== undefined">{{ ` ${shown.passed ? words.passed : words.failed}` }}</template>
        </p>
        <p v-if="shown.unmarked">{{ words.waits }}</p>
      </div>
      <ul v-if="!shown?.last || shown.mayBegin" class="up-counts">
        <li v-for="fact in facts" :key="fact">{{ fact }}</li>
      </ul>
      <p v-if="!shown || shown.mayBegin" class="up-onward">
        <button type="button" class="first" :disabled="pending" @click="emit('begin')">
          {{ pending ? words.wait : !shown?.last ? words.begin : quiz.again ? words.againWrong : words.again }}
        </button>
      </p>
      <template v-if="last">
        <h2>{{ words.yourAnswers }}</h2>
        <CheckPart
          v-for="(check, at) in asked"
          :key="`${last.number}/${check.id}/handed`"
          :check="check"
          :number="at + 1"
          :shown="shownTo(check.id)"
          :held="shownTo(check.id) ? undefined : heldOf(check.id)"
          closed
          :tries="1"
          :view="view"
        />
      </template>
    </template>
  </section>
</template>
