<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import type { Secret } from '../../core/checks/markings';
import { quizzesOf } from '../../core/learning/sittings';
import type { Rules } from '../../core/learning/rules';
import type { LearnerCourse } from '../../core/learning/view';
import { localCarrier, noStore, type Store } from '../carriers/local';
import type { Carrier } from '../carriers/carrier';
import Player from '../components/Player.vue';

/** A draft as a learner would see it, given by the desk around this frame; what is answered here is kept nowhere. */
interface Given {
  course: LearnerCourse;
  rules: Rules;
  keys: Record<string, Secret>;
  lesson?: string;
  /** Where the media of the course are. */
  media: string;
  dark: boolean;
}
const given = shallowRef<Given>();
const carrier = shallowRef<Carrier>();
const round = ref(0);
let state = noStore.load();
let questions = '';
const store: Store = { load: () => state, learner: () => 'author', save: (next) => void (state = next) };

function hear(event: MessageEvent<{ preview?: Given }>) {
  if (event.origin !== window.location.origin || !event.data?.preview) return;
  const next = event.data.preview;
  document.documentElement.classList.toggle('dark', next.dark);
  document.documentElement.lang = next.course.language;
  // Answers to questions that were changed since are forgotten; everything else stays as it was.
  const known = new Set(
    next.course.checks
      .filter(
        (check) =>
          JSON.stringify(check) === JSON.stringify(given.value?.course.checks.find((each) => each.id === check.id)),
      )
      .map((check) => check.id),
  );
  const kept = <Value,>(of: Record<string, Value>, isKept: (id: string) => boolean) =>
    Object.fromEntries(Object.entries(of).filter(([id]) => isKept(id)));
  const quizzes = quizzesOf(next.course);
  const before = given.value && quizzesOf(given.value.course);
  const isSame = (lesson: string) => JSON.stringify(quizzes.get(lesson)) === JSON.stringify(before?.get(lesson));
  state = {
    ...state,
    answers: kept(state.answers, (id) => known.has(id)),
    ...(state.quizzes && { quizzes: kept(state.quizzes, isSame) }),
  };
  const asked = JSON.stringify([next.course.checks, next.keys, [...quizzes]]);
  given.value = next;
  // While only words change, what is chosen on the page stays chosen.
  if (asked === questions) return;
  questions = asked;
  carrier.value = localCarrier(next, store);
  round.value++;
}
onMounted(() => {
  window.addEventListener('message', hear);
  window.parent.postMessage({ ready: true }, window.location.origin);
});
onBeforeUnmount(() => window.removeEventListener('message', hear));
</script>

<template>
  <Player
    v-if="given && carrier"
    :key="round"
    :course="given.course"
    :rules="{ ...given.rules, order: 'free' }"
    :carrier="carrier"
    :media="({ hash }) => `${given!.media}/${hash}`"
    :first="given.lesson"
  />
</template>
