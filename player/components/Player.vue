<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue';
import { rowsOf } from '../../core/blocks/forms';
import { progressOf } from '../../core/learning/progress';
import type { Rules } from '../../core/learning/rules';
import { checksIn, lessonsOf, type LearnerCourse } from '../../core/learning/view';
import { waitingKey, type Carrier } from '../carriers/carrier';
import { say, wordsFor } from '../../core/words';
import { BlockRow, BlockView } from '../blocks';
import type { PartView } from '../blocks/part';
import CheckPart from './CheckPart.vue';
import LessonList from './LessonList.vue';
import Path from './Path.vue';
import QuizPart from './QuizPart.vue';

/** The learner's walk: a lesson a page, the path as progress, next and back, all lessons at hand. */
const props = defineProps<{
  course: LearnerCourse;
  rules: Rules;
  carrier: Carrier;
  media: PartView['media'];
  drafts?: PartView['drafts'];
  files?: PartView['files'];
  surveys?: PartView['surveys'];
  first?: string;
}>();
defineSlots<{ end?: () => unknown; top?: () => unknown }>();
const END = 'end';
const state = shallowRef(props.carrier.state());
const lost = ref(props.carrier.lost());
props.carrier.subscribe(() => {
  state.value = props.carrier.state();
  lost.value = props.carrier.lost();
});
const words = computed(() => wordsFor(props.course.language).words);
const view = computed<PartView>(() => ({
  words: words.value,
  language: props.course.language,
  media: props.media,
  credit: ({ hash }) => props.course.credits?.[hash],
  embeds: props.course.embeds ?? [],
  ...(props.drafts && { drafts: props.drafts }),
  ...(props.files && { files: props.files }),
  ...(props.surveys && { surveys: props.surveys }),
}));

const lessons = computed(() => lessonsOf(props.course));
/** Something on this page was answered wrongly and can be tried again: that comes first. */
const wantsAgain = computed(() => {
  const { id = '', quiz, blocks = [] } = lesson.value ?? {};
  // A quiz comes first until it is handed in, and while another try could pass it.
  if (quiz) return state.value.quizzes[id]?.last?.handed === undefined || state.value.quizzes[id].mayBegin;
  return checksIn({ blocks }).some((check) => {
    const answer = state.value.answers[check];
    return answer !== undefined && !answer.settled && answer.state !== 'waiting';
  });
});
const checks = computed(() => new Map(props.course.checks.map((check) => [check.id, check])));
const progress = computed(() => progressOf(props.course, props.rules, state.value));
const place = ref('');
const listed = ref(false);
const refused = ref('');
const head = ref<HTMLElement | null>(null);
const at = computed(() => lessons.value.findIndex((lesson) => lesson.id === place.value));
const lesson = computed(() => (at.value >= 0 ? lessons.value[at.value] : undefined));
const module = computed(() => props.course.modules.find((each) => each.lessons.some((one) => one.id === place.value)));
const open = computed(() => lessons.value.filter((each) => !progress.value.lessons[each.id]!.done));
const share = computed(() => Math.floor((progress.value.score ?? 0) * 100 + 1e-6));
/** What each quiz that counts was worth. */
const counting = computed(() =>
  lessons.value.flatMap(({ id, title, quiz }) => {
    const result = progress.value.quizzes[id];
    if (!quiz || quiz.practice || quiz.skips || result?.share === undefined) return [];
    const verdict =
      result.passed === undefined ? '' : result.passed ? words.value.quiz.passed : words.value.quiz.failed;
    const worth = say(words.value.quiz.result, { share: Math.floor(result.share * 100 + 1e-6) });
    return [{ id, title, result: verdict ? `${worth}. ${verdict}` : worth }];
  }),
);
const left = (id: string) => progress.value.lessons[id]!.left.map((each) => words.value.left[each]).join(', ');

/** Goes to a lesson if it may be opened; to the next one that may otherwise. */
function go(id: string, quietly = false) {
  const known = id === END || progress.value.lessons[id]?.open;
  const target = known ? id : (progress.value.next ?? lessons.value[0]?.id ?? END);
  refused.value = '';
  listed.value = false;
  place.value = target;
  if (window.location.hash !== `#${target}`) window.history.pushState(null, '', `#${target}`);
  if (target !== END) props.carrier.visit(target);
  if (!quietly)
    void nextTick(() => {
      window.scrollTo(0, 0);
      head.value?.focus({ preventScroll: true });
    });
}
async function done() {
  if (!lesson.value) return;
  // A quiz is done by being handed in.
  if (!lesson.value.quiz) props.carrier.read(lesson.value.id);
  await nextTick();
  const next = lessons.value[at.value + 1];
  const shut = next !== undefined && !progress.value.lessons[next.id]!.open;
  // What is left here is said once; who wants to go on all the same presses again, unless the order is forced.
  if (shut || (progress.value.lessons[lesson.value.id]!.left.length > 0 && refused.value === '')) {
    refused.value = say(shut ? words.value.firstThese : words.value.stillHere, { left: left(lesson.value.id) });
    await nextTick();
    (document.querySelector('.up-check:has(button[type=submit]) input') as HTMLElement | null)?.focus();
    return;
  }
  go(next ? next.id : END);
}
const onHash = () => {
  const id = window.location.hash.slice(1);
  if (id && id !== place.value && (id === END || lessons.value.some((each) => each.id === id))) go(id);
};
function onKey(event: KeyboardEvent) {
  if (!event.altKey || event.ctrlKey || event.metaKey) return;
  const by = { PageDown: 1, PageUp: -1 }[event.key];
  const next = by === undefined ? undefined : lessons.value[at.value + by];
  if (next) {
    event.preventDefault();
    go(next.id);
  }
}
watch(
  () => props.first,
  (id) => {
    if (id && id !== place.value && lessons.value.some((each) => each.id === id)) go(id);
  },
);
onMounted(() => {
  const asked = props.first ?? window.location.hash.slice(1);
  go(
    lessons.value.some((each) => each.id === asked) ? asked : (progress.value.next ?? lessons.value[0]?.id ?? END),
    true,
  );
  window.addEventListener('hashchange', onHash);
  window.addEventListener('popstate', onHash);
  window.addEventListener('keydown', onKey);
});
onBeforeUnmount(() => {
  window.removeEventListener('hashchange', onHash);
  window.removeEventListener('popstate', onHash);
  window.removeEventListener('keydown', onKey);
});
</script>

<template>
  <div class="up" :lang="course.language === 'und' ? undefined : course.language" :dir="course.direction">
    <a class="skip" href="#up-text" @click.prevent="head?.focus()">{{ words.toText }}</a>
    <header class="up-top">
      <div class="row">
        <strong>{{ course.title }}</strong>
        <span class="end"
          >{{ say(words.minutesOf, { done: Math.round(progress.minutes.done), of: Math.round(progress.minutes.of) })
          }}<span class="sr">, {{ say(words.path, { done: progress.done, of: lessons.length }) }}</span></span
        >
        <button type="button" class="plain up-lists" :aria-expanded="listed" @click="listed = !listed">
          {{ listed ? words.hideLessons : words.lessons }}
        </button>
      </div>
      <Path :course="course" :progress="progress" :at="place" />
    </header>
    <p v-if="lost" class="up-line" role="status">{{ words.lost }}</p>
    <div class="up-body">
      <LessonList
        :class="{ shown: listed }"
        :course="course"
        :progress="progress"
        :at="place"
        :words="words"
        @click="listed = false"
      />
      <main v-if="lesson" id="up-text" class="up-main">
        <p class="where">
          {{ lesson.quiz ? `${words.quiz.title}: ` : ''
          }}{{
            say(words.lessonPlace, {
              module: module?.title ?? '',
              at: at + 1,
              of: lessons.length,
              minutes: Math.max(1, Math.round(lesson.minutes)),
            })
          }}
        </p>
        <h1 ref="head" tabindex="-1">{{ lesson.title }}</h1>
        <template v-if="lesson.aims.length"
          ><p class="quiet">{{ words.afterwards }}</p>
          <ul class="aims">
            <li v-for="aim in lesson.aims" :key="aim">{{ aim }}</li>
          </ul></template
        >
        <div :key="lesson.id" class="up-page">
          <BlockRow v-for="row in rowsOf(lesson.blocks)" :key="row[0]!.id" :row="row">
            <template v-for="block in row" :key="block.id">
              <CheckPart
                v-if="block.kind === 'check' && checks.has(block.body.checkId)"
                :check="checks.get(block.body.checkId)!"
                :shown="state.answers[block.body.checkId]"
                :waiting="state.waiting[waitingKey(lesson.id, block.body.checkId)]"
                :tries="rules.tries"
                :view="view"
                @answer="carrier.answer(lesson.id, block.body.checkId, $event)"
              />
              <BlockView v-else :block="block" :view="view" />
            </template>
          </BlockRow>
          <QuizPart
            v-if="lesson.quiz"
            :quiz="lesson.quiz"
            :checks="checks"
            :shown="state.quizzes[lesson.id]"
            :waiting="(check) => state.waiting[waitingKey(lesson!.id, check)]"
            :pending="state.pending.includes(lesson.id)"
            :view="view"
            @begin="carrier.sit(lesson.id)"
            @hand="carrier.hand(lesson.id)"
            @answer="(check, response) => carrier.answer(lesson!.id, check, response)"
          />
        </div>
        <div class="up-onward">
          <p v-if="refused" class="up-note" role="alert">{{ refused }}</p>
          <button v-if="at > 0" type="button" @click="go(lessons[at - 1]!.id)">{{ words.back }}</button>
          <button type="button" :class="{ first: !wantsAgain }" @click="done">
            {{ at + 1 < lessons.length ? words.next : words.finish }}
          </button>
        </div>
      </main>
      <main v-else id="up-text" class="up-main">
        <h1 ref="head" tabindex="-1">{{ words.endTitle }}</h1>
        <p>
          <strong>{{ progress.completed ? words.endDone : words.endLeft }}</strong>
        </p>
        <p>
          {{ say(words.path, { done: progress.done, of: lessons.length })
          }}<template v-if="progress.score !== undefined"
            >;
            {{
              counting.length
                ? say(words.quiz.mark, { share })
                : say(words.score, { right: progress.checks.right, of: progress.checks.of, share })
            }}</template
          >.
          <template v-if="progress.passed === false && rules.course.kind === 'passed'">{{
            say(words.notPassed, { share: Math.round(rules.course.share * 100) })
          }}</template>
        </p>
        <ul v-if="counting.length">
          <li v-for="{ id, title, result } in counting" :key="id">
            <a :href="`#${id}`">{{ title }}</a>: {{ result }}
          </li>
        </ul>
        <template v-if="open.length">
          <p class="quiet">{{ words.stillOpen }}</p>
          <ul>
            <li v-for="each in open" :key="each.id">
              <a :href="`#${each.id}`">{{ each.title }}</a>: {{ left(each.id) }}
            </li>
          </ul>
        </template>
        <div class="up-onward">
          <button v-if="lessons.length" type="button" @click="go(lessons.at(-1)!.id)">{{ words.back }}</button>
        </div>
      </main>
    </div>
    <slot name="end" />
  </div>
</template>
