<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { api, type AnswerOf } from '~/client';
import { INTERVIEW, topicTitle, type TopicKey } from '~~/core/brief/interview';
import type { Answer } from '~~/core/course/course';
import { idFrom } from '~~/core/document/id';
import { useActions } from '~/actions/registry';
import { freshId, troubleOf, type Trouble } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { CLAIMS, counted } from '~/words/states';

type View = AnswerOf<'GET /api/courses/:course/answers'>;
interface Question {
  answer: Answer;
  hint?: string;
  own?: boolean;
}

/** What the author knows, asked at length and answered in any order; the answers become a source. */
const desk = useCourse();
const changed = inject<() => Promise<void>>('sources-changed')!;
const view = ref<View | null>(null);
const trouble = ref<Trouble | null>(null);
const busy = ref(false);
const { form: draft, clear } = useKeptForm('question', { question: '' });
const list = ref<HTMLElement | null>(null);
const course = computed(() => desk.course!);
const answered = (question: Question) =>
  (course.value.answers?.find((each) => each.id === question.answer.id)?.text.trim() ?? '') !== '';

/** Questions under their headings: the slots of lessons first, then the interview, then the author's own. */
const groups = computed(() => {
  const answers = course.value.answers ?? [];
  const lessons = desk.lessons.map((lesson) => ({
    key: lesson.id,
    title: lesson.title,
    lesson: true,
    questions: answers.filter((each) => each.lesson === lesson.id).map((answer): Question => ({ answer })),
  }));
  const topics = [...new Set(INTERVIEW.map((each) => each.topic))].map((topic: TopicKey) => {
    const title = topicTitle(topic, course.value.language);
    return {
      key: topic as string,
      title,
      lesson: false,
      questions: INTERVIEW.filter((each) => each.topic === topic).map(({ key, question, hint }): Question => ({
        hint,
        answer: { id: idFrom('a', course.value.id, key), topic: title, question, text: '' },
      })),
    };
  });
  const known = new Set(
    [...lessons, ...topics].flatMap((group) => group.questions.map((question) => question.answer.id)),
  );
  const own = answers.filter((each) => !known.has(each.id)).map((answer): Question => ({ answer, own: true }));
  return [
    ...lessons.filter((group) => group.questions.length > 0),
    ...topics,
    ...(own.length > 0 ? [{ key: 'own', title: 'My own questions', lesson: false, questions: own }] : []),
  ];
});
const all = computed(() => groups.value.flatMap((group) => group.questions));
const done = computed(() => all.value.filter(answered).length);
function understood({ answer }: Question): string {
  const found = view.value?.understood[answer.question];
  if (!found) return '';
  const claims = Object.entries(found.claims)
    .sort((a, b) => b[1] - a[1])
    .slice(0, 3)
    .map(([kind, count]) => counted(count, CLAIMS[kind]!));
  return `understood: ${[counted(found.passages, ['passage', 'passages']), ...claims].join(', ')}`;
}

async function look() {
  // The course may have been left while it was saved.
  if (!desk.course) return;
  view.value = await api('GET /api/courses/:course/answers', { course: desk.course.id }).catch(() => view.value);
}
/** Makes the answers a source, once everything typed is saved. */
async function bring() {
  if (busy.value || done.value === 0) return;
  busy.value = true;
  // Asked for on the way out, too: the answers are those of the course that is left.
  const { id } = course.value;
  await desk.settleAll();
  try {
    view.value = await api('POST /api/courses/:course/answers', { course: id });
    trouble.value = null;
    if (desk.course?.id === id) {
      await desk.refresh();
      void changed();
    }
  } catch (error) {
    trouble.value = troubleOf(error);
  }
  busy.value = false;
}
onMounted(look);
watchDebounced(
  () => course.value.answers,
  () => void desk.settleAll().then(look),
  { debounce: 900 },
);
// Left with answers that no source holds yet: they are put in on the way out.
onBeforeRouteLeave(() => {
  if (desk.mayEdit && view.value && !view.value.fresh) void bring();
});
function ask() {
  const question = draft.value.question.trim();
  if (!question) return;
  desk.change('own question', [
    {
      type: 'insert',
      kind: 'answer',
      parent: course.value.id,
      after: course.value.answers?.at(-1)?.id ?? null,
      node: { id: freshId('a'), topic: question.replace(/[?.:!]+$/, '').slice(0, 120), question, text: '' },
    },
  ]);
  clear();
}
const remove = (id: string) => desk.change('question deleted', [{ type: 'remove', id }]);
function next() {
  const boxes = [...(list.value?.querySelectorAll('textarea') ?? [])];
  const at = boxes.indexOf(document.activeElement as HTMLTextAreaElement);
  const open = [...boxes.slice(at + 1), ...boxes.slice(0, at + 1)].find((box) => box.value.trim() === '');
  open?.focus();
  open?.closest('.answer')?.scrollIntoView({ block: 'center' });
}
useActions([
  { id: 'i-next', label: 'Next open question', key: 'Alt+.', area: 'What I know', run: next },
  {
    id: 'i-bring',
    label: 'Put the answers into the sources',
    key: 'Alt+Enter',
    area: 'What I know',
    when: () => desk.mayEdit,
    run: () => void bring(),
  },
]);
</script>

<template>
  <div class="interview">
    <div class="head">
      <h1>What I know</h1>
      <span class="small quiet">{{ done }} of {{ all.length }} answered, in any order; saved as you type</span>
      <div v-if="desk.mayEdit" class="end">
        <span class="small quiet" role="status">{{
          busy
            ? 'Being read'
            : done === 0
              ? ''
              : view?.fresh
                ? 'The sources hold your answers.'
                : 'Not in the sources yet.'
        }}</span><NuxtLink v-if="view?.source" class="link small" :to="`/course/${course.id}/sources/${view.source}`"
          >see them as a source</NuxtLink
        ><UButton :disabled="busy || done === 0 || view?.fresh" @click="bring">Put into the sources</UButton>
      </div>
    </div>
    <ShellTroubleLine v-model="trouble" />
    <div class="parts">
      <nav class="toc" aria-label="Topics">
        <a v-for="group in groups" :key="group.key" :href="`#t-${group.key}`"
          ><span>{{ group.title }}</span
          ><span class="number">{{ group.questions.filter(answered).length }}/{{ group.questions.length }}</span></a
        >
      </nav>
      <div ref="list" class="list">
        <section v-for="group in groups" :id="`t-${group.key}`" :key="group.key">
          <h2>
            {{ group.title
            }}<NuxtLink v-if="group.lesson" class="link small" :to="`/course/${course.id}/lessons/${group.key}`"
              >to the lesson</NuxtLink
            >
          </h2>
          <SourceAnswerBox
            v-for="question in group.questions"
            :key="question.answer.id"
            :answer="question.answer"
            :hint="question.hint"
            :understood="understood(question)"
            ><button v-if="question.own && desk.mayEdit" type="button" class="link" @click="remove(question.answer.id)">
              delete this question
            </button></SourceAnswerBox
          >
        </section>
        <form v-if="desk.mayEdit" class="own" @submit.prevent="ask">
          <label for="own-question">Another question that you can answer</label>
          <div class="flex gap-2">
            <UInput
              id="own-question"
              v-model="draft.question"
              class="flex-1"
              maxlength="400"
              placeholder="How do you calm somebody who is angry?"
            /><UButton type="submit" color="neutral" variant="outline" :disabled="!draft.question.trim()"
              >Ask it</UButton
            >
          </div>
          <p class="small quiet">An answer can be typed, or a transcript pasted, with or without times.</p>
        </form>
      </div>
    </div>
  </div>
</template>

<style scoped>
.interview {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.parts {
  flex: 1;
  display: flex;
  min-height: 0;
}
.toc {
  width: 250px;
  flex: none;
  overflow-y: auto;
  padding: 10px 8px 20px;
  border-right: 1px solid var(--hair);
  background: var(--paper);
}
.toc a {
  min-height: 24px;
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 3px 8px;
  font-size: 13.5px;
  color: var(--ink-2);
}
.toc a:hover {
  color: var(--ink);
  background: var(--shade);
}
.list {
  flex: 1;
  overflow-y: auto;
  padding: 14px 22px 60px;
}
h2 {
  font-size: 17px;
  margin-top: 12px;
  display: flex;
  gap: 12px;
  align-items: baseline;
}
h2 .link {
  font-family: var(--font-sans);
  font-weight: 400;
}
.own {
  max-width: 720px;
  margin-top: 22px;
  padding-top: 14px;
  border-top: 1px solid var(--hair);
  display: grid;
  gap: 4px;
}
.own label {
  font-weight: 600;
}
@media (max-width: 820px) {
  .parts {
    flex-direction: column;
  }
  .toc {
    width: 100%;
    max-height: 140px;
  }
}
</style>
