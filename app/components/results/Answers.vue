<script setup lang="ts">
import { api, type AnswerOf } from '~/client';
import { useCourse } from '~/stores/course';

/** Every answer of a learner: each try with what it was worth; what waits for a mark is marked here. */
const props = defineProps<{ learner: { id: string; name: string } | null }>();
const emit = defineEmits<{ close: []; marked: [] }>();
const desk = useCourse();
type Answers = AnswerOf<'GET /api/courses/:course/learners/:learner'>;
const answers = shallowRef<Answers>();
watch(
  () => props.learner?.id,
  async (learner) => {
    answers.value = undefined;
    if (learner)
      await desk.asking(async () => {
        const found = await api('GET /api/courses/:course/learners/:learner', { course: desk.course!.id, learner });
        if (props.learner?.id === learner) answers.value = found;
      });
  },
  { immediate: true },
);
type One = Answers['checks'][number];
const lessons = computed(() => {
  const groups = new Map<string, { id: string; title: string; checks: One[]; quiz?: Answers['quizzes'][number] }>();
  for (const quiz of answers.value?.quizzes ?? []) groups.set(quiz.lesson.id, { ...quiz.lesson, checks: [], quiz });
  for (const each of answers.value?.checks ?? []) {
    const group = groups.get(each.lesson.id) ?? { ...each.lesson, checks: [] };
    group.checks.push(each);
    groups.set(each.lesson.id, group);
  }
  return [...groups.values()];
});
const percent = (score: number) => `${Math.round(score * 100)} %`;
const worth = ({ score, state }: { score: number; state: 'marked' | 'waiting' | 'going' }) =>
  state === 'going'
    ? 'under way'
    : state === 'waiting'
      ? 'waits for a mark'
      : score === 1
        ? 'right'
        : score === 0
          ? 'not right'
          : percent(score);
const when = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** Grants more at a quiz. */
async function grant(lesson: string, what: { minutes?: number; tries?: number }) {
  const done = await desk.asking(async () => {
    answers.value = await api('POST /api/courses/:course/learners/:learner/grants', {
      course: desk.course!.id,
      learner: props.learner!.id,
      body: { lesson, ...what },
    });
  });
  if (done) emit('marked');
}

/** The mark that is being written, by its lesson and check. */
const marking = ref<string | null>(null);
const share = ref<number>();
const words = ref('');
const keyOf = ({ lesson, check }: One) => `${lesson.id}/${check}`;
function begin(one: One) {
  const { score, state, said } = one.counts;
  marking.value = keyOf(one);
  share.value = state === 'marked' ? Math.round(score * 100) : undefined;
  words.value = said ?? '';
}
async function give({ check, lesson }: One) {
  if (share.value === undefined || !props.learner) return;
  const done = await desk.asking(async () => {
    answers.value = await api('POST /api/courses/:course/learners/:learner/marks', {
      course: desk.course!.id,
      learner: props.learner!.id,
      body: {
        check,
        lesson: lesson.id,
        score: share.value! / 100,
        ...(words.value.trim() && { said: words.value.trim() }),
      },
    });
  });
  if (!done) return;
  marking.value = null;
  emit('marked');
}
</script>

<template>
  <USlideover
    :open="learner !== null"
    :title="learner ? `Answers of ${learner.name || 'this learner'}` : ''"
    description="Each try, the first one first, and what is right."
    :ui="{ content: 'max-w-2xl' }"
    @update:open="emit('close')"
  >
    <template #body>
      <p v-if="answers && lessons.length === 0" class="quiet">No check answered yet.</p>
      <section v-for="lesson in lessons" :key="lesson.id">
        <h3>{{ lesson.title }}</h3>
        <ResultsQuiz
          v-if="lesson.quiz"
          :quiz="lesson.quiz"
          :name="learner?.name || 'this learner'"
          @grant="grant(lesson.id, $event)"
        />
        <article v-for="each in lesson.checks" :key="each.check">
          <p class="stem">{{ each.stem }}</p>
          <dl class="small">
            <template v-for="(one, at) in each.tries" :key="at">
              <dt>
                Try {{ one.sitting ?? at + 1 }}<span v-if="one.at" class="quiet">, {{ when(one.at) }}</span>
              </dt>
              <dd>
                <p v-for="line in one.said" :key="line" class="said">{{ line }}</p>
                <p :class="one.state === 'waiting' ? 'quiet' : one.score === 1 ? 'right' : 'decide'">
                  {{ worth(one) }}
                </p>
              </dd>
            </template>
            <template v-if="each.right.length && each.counts.score < 1">
              <dt>{{ each.looksFor.length ? 'A good answer' : 'Right' }}</dt>
              <dd>
                <p v-for="line in each.right" :key="line" class="said">{{ line }}</p>
              </dd>
            </template>
            <template v-if="each.looksFor.length">
              <dt>Names</dt>
              <dd>
                <p v-for="line in each.looksFor" :key="line">{{ line }}</p>
              </dd>
            </template>
            <template v-if="each.tries.at(-1)!.state === 'waiting' && each.counts.state === 'marked'">
              <dt>Mark</dt>
              <dd>
                <p>{{ percent(each.counts.score) }}</p>
                <p v-if="each.counts.said" class="said">{{ each.counts.said }}</p>
              </dd>
            </template>
          </dl>
          <form v-if="marking === keyOf(each)" class="mark small" @submit.prevent="give(each)">
            <div class="line">
              <UButton
                v-for="one in [100, 50, 0]"
                :key="one"
                size="sm"
                color="neutral"
                :variant="share === one ? 'solid' : 'outline'"
                @click="share = one"
                >{{ one }} %</UButton
              >
              <FieldFigure
                :value="share"
                :save="(value) => (share = value)"
                label="Mark in per cent"
                :min="0"
                :max="100"
                optional
                placeholder="per cent"
              />
            </div>
            <UTextarea
              v-model="words"
              size="sm"
              :maxlength="2000"
              placeholder="Say why"
              aria-label="What you say to it"
            />
            <div class="line">
              <UButton type="submit" size="sm" :disabled="share === undefined">Give this mark</UButton>
              <UButton size="sm" color="neutral" variant="ghost" @click="marking = null">Not now</UButton>
            </div>
          </form>
          <p v-else-if="each.handedIn">
            <NuxtLink class="link" :to="`/course/${desk.course!.id}/results/marking`">{{
              each.counts.state === 'waiting' ? 'Mark it under Hand-ins' : 'Its marks under Hand-ins'
            }}</NuxtLink>
          </p>
          <p v-else-if="each.tries.at(-1)!.state === 'waiting'">
            <UButton
              size="sm"
              :variant="each.counts.state === 'waiting' ? 'solid' : 'outline'"
              :aria-label="`Mark the answer to ${each.stem}`"
              @click="begin(each)"
              >{{ each.counts.state === 'waiting' ? 'Mark' : 'Mark again' }}</UButton
            >
          </p>
        </article>
      </section>
    </template>
  </USlideover>
</template>

<style scoped>
h3 {
  font-weight: 600;
  margin: 14px 0 4px;
}
section:first-child h3 {
  margin-top: 0;
}
article {
  padding: 8px 0 10px;
  border-top: 1px solid var(--hair);
}
.stem {
  font-family: var(--font-read);
  font-weight: 600;
}
dl {
  display: grid;
  grid-template-columns: 11em 1fr;
  gap: 3px 12px;
  margin: 4px 0;
}
.said {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
.said::first-letter {
  text-transform: uppercase;
}
.right {
  color: var(--moss);
}
.mark {
  display: grid;
  gap: 7px;
}
.line {
  display: flex;
  gap: 7px;
  align-items: center;
}
@media (max-width: 560px) {
  dl {
    grid-template-columns: 1fr;
  }
}
</style>
