<script setup lang="ts">
import { api, type AnswerOf } from '~/client';
import { compareLessons, type LessonChange } from '~~/core/course/comparison';
import type { Lesson } from '~~/core/course/course';
import { pageBack, type PageThen } from '~~/core/course/page-history';
import { troubleOf } from '~/composables/useApi';
import { useCourse } from '~/stores/course';

/** What became of a lesson: each time it was changed, what differs from then to now, and the way back. */
const props = defineProps<{ lesson: Lesson }>();
const open = defineModel<boolean>('open', { required: true });
const desk = useCourse();
type Moment = AnswerOf<'GET /api/courses/:course/lessons/:lesson/history'>[number];
const moments = ref<Moment[] | null>(null);
const then = shallowRef<{ revision: number; page: PageThen } | null>(null);
const trouble = ref('');
const here = () => ({ course: desk.course!.id, lesson: props.lesson.id });

watch(
  open,
  async (now) => {
    if (!now) return;
    trouble.value = '';
    then.value = null;
    await desk.settleAll();
    try {
      moments.value = await api('GET /api/courses/:course/lessons/:lesson/history', here());
      // What it stands as now is the newest; what came before that is of interest.
      const first = moments.value[1] ?? moments.value[0];
      if (first) await look(first.revision);
    } catch (error) {
      trouble.value = troubleOf(error).message;
    }
  },
  { immediate: true },
);
async function look(revision: number) {
  trouble.value = '';
  try {
    const page = await api('GET /api/courses/:course/lessons/:lesson/page', { ...here(), query: { revision } });
    then.value = { revision, page };
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
}
/** From then to now: what is struck out stood there then. */
const change = computed<LessonChange | undefined>(() => {
  const { course } = desk;
  const now = desk.lessons.find(({ id }) => id === props.lesson.id);
  if (!then.value || !course || !now) return undefined;
  return compareLessons(then.value.page.lesson, now, { ...course, checks: then.value.page.checks }, course);
});
async function back() {
  await desk.settleAll();
  if (!then.value || !desk.course) return;
  const operations = pageBack(desk.course, then.value.page);
  if (operations.length > 0 && desk.change(`“${props.lesson.title}” as it was`, operations)) desk.outside++;
  open.value = false;
}
const when = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
const whatOf = ({ drafted, came, what }: Moment) =>
  came ? 'before that' : drafted ? 'drafted' : what.slice(-3).join(', ');
</script>

<template>
  <UModal
    v-model:open="open"
    :title="`History of “${lesson.title}”`"
    description="How the lesson stood after each change, and what differs from then to now. Going back is a change like any other, and can be undone."
    :ui="{ content: 'max-w-5xl' }"
  >
    <template #body>
      <p v-if="trouble" class="decide small" role="alert">{{ trouble }}</p>
      <p v-else-if="moments === null" class="small quiet">Looking</p>
      <p v-else-if="moments.length === 0" class="small quiet">
        The lesson stands as it came with its course; nobody has changed it since.
      </p>
      <div v-else class="history">
        <ul>
          <li v-for="(moment, nth) in moments" :key="moment.revision">
            <button type="button" :aria-current="then?.revision === moment.revision" @click="look(moment.revision)">
              <strong>{{ when(moment.at) }}</strong><span class="small quiet">{{
                [nth === 0 ? 'as it is now' : '', moment.by, whatOf(moment)].filter(Boolean).join(', ')
              }}</span>
            </button>
          </li>
        </ul>
        <div v-if="then && change" class="found">
          <p class="line">
            <span class="small">{{
              change.kind === 'same'
                ? 'Nothing differs from now.'
                : 'On the left what stood there then, on the right what stands there now.'
            }}</span>
            <UButton v-if="desk.mayEdit && change.kind !== 'same'" size="sm" @click="back"
              >Bring this page back</UButton
            >
          </p>
          <VersionLesson v-if="change.kind !== 'same'" :change="change" />
        </div>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.history {
  display: grid;
  grid-template-columns: 230px 1fr;
  gap: 18px;
}
ul {
  max-height: 60vh;
  overflow-y: auto;
}
li button {
  display: block;
  width: 100%;
  padding: 7px 8px;
  text-align: start;
  border-bottom: 1px solid var(--hair);
  cursor: pointer;
}
li button[aria-current='true'] {
  background: var(--shade);
}
li span {
  display: block;
}
.found {
  min-width: 0;
  max-height: 60vh;
  overflow-y: auto;
}
.line {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  margin-bottom: 8px;
}
@media (max-width: 640px) {
  .history {
    grid-template-columns: 1fr;
  }
}
</style>
