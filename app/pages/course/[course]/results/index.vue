<script setup lang="ts">
import { api, type AnswerOf } from '~/client';
import type { ListColumn } from '~/components/list/column';
import { useCourse } from '~/stores/course';
import { useReleases } from '~/stores/releases';
import { counted } from '~/words/states';

/** Who learns by the course, and how far they are; it follows them while it is open. */
const desk = useCourse();
const all = useReleases();
const search = ref('');
watch(
  () => desk.course?.id,
  () => {
    void all.load();
    void all.loadLearners();
  },
  { immediate: true },
);
type Row = AnswerOf<'GET /api/courses/:course/learners'>[number];
const chosen = ref<string[]>([]);
/** Whose answers are read. */
const read = shallowRef<Row | null>(null);
/** Who is about to be taken out. */
const leaving = ref<Row[] | null>(null);
const leavingName = computed(() =>
  leaving.value?.length === 1
    ? nameOf(leaving.value[0]!)
    : counted(leaving.value?.length ?? 0, ['learner', 'learners']),
);
async function remove(what: 'all' | 'name') {
  const gone = leaving.value!;
  leaving.value = null;
  await desk.asking(async () => {
    for (const { id: learner } of gone)
      await api('DELETE /api/courses/:course/learners/:learner', { course: desk.course!.id, learner, query: { what } });
  });
  chosen.value = [];
  await all.loadLearners();
}
const nameOf = (row: Row) => row.name || 'this learner';
/** Answers that wait for a mark, in lessons and in quizzes. */
const toMark = ({ progress }: Row) =>
  Object.values(progress.quizzes).reduce((sum, { unmarked }) => sum + unmarked, progress.checks.waiting);
const scoreOf = ({ progress }: Row) =>
  progress.score === undefined ? undefined : Math.floor(progress.score * 100 + 1e-6);
const scoreWords = (row: Row) => (scoreOf(row) === undefined ? '' : `${scoreOf(row)} %`);
const standing = ({ progress }: Row) =>
  progress.completed
    ? 'completed'
    : progress.passed === false && progress.ended
      ? 'done, too few right'
      : progress.done || progress.checks.answered || Object.values(progress.quizzes).some(({ open }) => open)
        ? 'under way'
        : 'begun';
const COLUMNS: ListColumn<Row>[] = [
  { key: 'name', label: 'Learner', value: (row) => row.name },
  { key: 'release', label: 'Release', value: (row) => row.release, number: true, down: true },
  { key: 'lessons', label: 'Lessons done', value: (row) => row.progress.done, down: true },
  { key: 'checks', label: 'Checks right', value: (row) => row.progress.checks.right, number: true, down: true },
  { key: 'waiting', label: 'To mark', value: toMark, number: true, down: true },
  { key: 'score', label: 'Score', value: (row) => scoreOf(row) ?? -1, number: true, down: true },
  { key: 'standing', label: 'Standing', value: standing },
  { key: 'seen', label: 'Last seen', value: (row) => row.seen_at, down: true },
  { key: 'out', label: 'Take out', hidden: true },
];
/** The chosen learners as a table for other programs. */
function save() {
  const rows = (all.learners ?? []).filter((row) => chosen.value.length === 0 || chosen.value.includes(row.id));
  saveCsv(
    'results.csv',
    rows.map((row) => ({
      learner: row.name,
      release: row.release,
      'lessons done': row.progress.done,
      'lessons of': lessons(row.release),
      'checks right': row.progress.checks.right,
      'checks of': row.progress.checks.of,
      'checks to mark': toMark(row),
      'score in percent': scoreOf(row) ?? '',
      standing: standing(row),
      'last seen': new Date(row.seen_at).toISOString(),
    })),
  );
}
const completed = computed(() => (all.learners ?? []).filter((row) => row.progress.completed).length);
const when = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
const lessons = (release: number) => all.releases?.find((row) => row.number === release)?.figures.lessons ?? 0;
</script>

<template>
  <div class="results">
    <div class="head">
      <h1>Results</h1>
      <span v-if="all.learners" class="small quiet"
        >{{ counted(all.learners.length, ['learner', 'learners']) }}, {{ completed }} completed</span
      >
      <div class="end">
        <template v-if="all.learners?.length">
          <UButton
            v-if="chosen.length && desk.mayEdit"
            size="sm"
            color="neutral"
            variant="outline"
            @click="leaving = all.learners.filter((row) => chosen.includes(row.id))"
            >Take {{ counted(chosen.length, ['learner', 'learners']) }} out</UButton
          >
          <UButton size="sm" color="neutral" variant="outline" @click="save">{{
            chosen.length ? 'Save the chosen as CSV' : 'Save as CSV'
          }}</UButton>
        </template>
        <UInput
          v-if="all.learners?.length"
          v-model="search"
          size="sm"
          placeholder="Find a name"
          aria-label="Find a name"
        />
      </div>
    </div>
    <div v-if="all.learners && all.learners.length === 0" class="empty">
      <h2>Nobody yet</h2>
      <p>
        Learners appear here as soon as they begin.<template v-if="!all.releases?.length">
          The course is not available to anybody so far.</template
        >
      </p>
      <NuxtLink class="link" :to="`/course/${desk.course!.id}/release`">{{
        all.releases?.length ? 'To their address' : 'To the release'
      }}</NuxtLink>
    </div>
    <ListTable
      v-else-if="all.learners"
      v-model:search="search"
      v-model:chosen="chosen"
      :rows="all.learners"
      :columns="COLUMNS"
      :name-of="nameOf"
      label="Learners"
    >
      <template #name="{ row }"
        ><button type="button" class="link" :aria-label="`Answers of ${nameOf(row)}`" @click="read = row">
          <strong v-if="row.name">{{ row.name }}</strong><span v-else class="quiet">name taken out</span>
        </button></template
      >
      <template #lessons="{ row }">
        <span class="small bar"
          ><svg width="92" height="9" viewBox="0 0 92 9" aria-hidden="true">
            <rect x=".5" y=".5" width="91" height="8" fill="none" stroke="var(--hair)" />
            <rect
              x="1"
              y="1"
              :width="(90 * row.progress.minutes.done) / Math.max(0.1, row.progress.minutes.of)"
              height="7"
              fill="var(--moss)"
            />
          </svg>
          {{ row.progress.done }} of {{ lessons(row.release) }}</span
        >
      </template>
      <template #checks="{ row }">{{ row.progress.checks.right }} of {{ row.progress.checks.of }}</template>
      <template #waiting="{ row }"
        ><button
          v-if="toMark(row)"
          type="button"
          class="link decide"
          :aria-label="`Mark ${toMark(row)} of ${nameOf(row)}`"
          @click="read = row"
        >
          {{ toMark(row) }}</button
        ><span v-else
      /></template>
      <template #score="{ row }">{{ scoreWords(row) }}</template>
      <template #standing="{ row }"
        ><span class="small">{{ standing(row) }}</span></template
      >
      <template #seen="{ row }"
        ><span class="small quiet">{{ when(row.seen_at) }}</span></template
      >
      <template #out="{ row }"
        ><button
          v-if="desk.mayEdit"
          type="button"
          class="link small"
          :aria-label="`Take ${nameOf(row)} out`"
          @click="leaving = [row]"
        >
          take out
        </button></template
      >
    </ListTable>
    <ResultsAnswers :learner="read" @close="read = null" @marked="all.loadLearners()" />
    <UModal
      :open="leaving !== null"
      :title="`Take ${leavingName} out`"
      description="What is taken out here is not in any bin."
      @update:open="leaving = null"
    >
      <template #body
        ><div class="flex gap-3">
          <UButton @click="remove('all')">Take out with all they did</UButton
          ><UButton v-if="leaving?.some((row) => row.name)" color="neutral" variant="outline" @click="remove('name')"
            >Only the name; their results stay</UButton
          >
        </div></template
      >
    </UModal>
  </div>
</template>

<style scoped>
.results {
  flex: 1;
  overflow-y: auto;
}
:deep(td:first-child),
:deep(th:first-child) {
  padding-left: 18px;
}
.bar {
  white-space: nowrap;
}
.bar svg {
  display: inline;
  margin-right: 6px;
}
</style>
