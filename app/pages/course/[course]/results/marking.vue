<script setup lang="ts">
import { addressOf, api, type AnswerOf } from '~/client';
import { useCourse } from '~/stores/course';
import { useReleases } from '~/stores/releases';
import { counted } from '~/words/states';

/** Everything handed in, what waits for its mark first; one at a time beside what it is held against. */
const desk = useCourse();
const all = useReleases();
type Row = AnswerOf<'GET /api/courses/:course/hand-ins'>[number];
const rows = shallowRef<Row[]>();
const at = ref<{ learner: string; check: string }>();
const task = ref('all');
const keyOf = (row: Row) => `${row.learner.id}/${row.check}`;
const isAt = (row: Row) => at.value?.learner === row.learner.id && at.value.check === row.check;

async function load() {
  await desk.asking(async () => {
    rows.value = await api('GET /api/courses/:course/hand-ins', { course: desk.course!.id });
  });
  if (!at.value && rows.value?.[0]) open(rows.value[0]);
}
watch(() => desk.course?.id, load, { immediate: true });
// Whoever hands something in is seen at once.
watch(() => all.learners, load);
onMounted(() => void all.loadLearners());

const tasks = computed(() => [
  { value: 'all', label: 'All tasks' },
  ...[...new Map((rows.value ?? []).map(({ check, stem }) => [check, stem]))].map(([value, label]) => ({
    value,
    label,
  })),
]);
const shown = computed(() => (rows.value ?? []).filter(({ check }) => task.value === 'all' || check === task.value));
const waiting = computed(() => shown.value.filter(({ state }) => state === 'waiting').length);
const doubtful = computed(() => shown.value.filter(({ doubt }) => doubt).length);
const open = ({ learner, check }: Row) => (at.value = { learner: learner.id, check });
const standing = ({ state, score, suggested, doubt, gone }: Row) =>
  gone
    ? 'deleted, mark kept'
    : state === 'waiting'
      ? 'waits for a mark'
      : `${Math.round(score * 100)} %${suggested ? (doubt ? ', suggested, in doubt' : ', suggested') : ''}`;
const when = (time: number) => new Date(time).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' });

/** On to what waits next, below the one at hand and then from the top. */
function next() {
  const list = shown.value;
  const here = list.findIndex(isAt);
  const waits = (row: Row) => !isAt(row) && (row.state === 'waiting' || row.doubt === true);
  const row = list.slice(here + 1).find(waits) ?? list.find(waits);
  if (row) open(row);
}
function step(by: 1 | -1) {
  const row = shown.value[shown.value.findIndex(isAt) + by];
  if (!row) return;
  open(row);
  void nextTick(() => document.querySelector<HTMLElement>(`[data-hand-in="${keyOf(row)}"]`)?.focus());
}
const zip = computed(() =>
  addressOf('GET /api/courses/:course/hand-ins/together', {
    course: desk.course!.id,
    ...(task.value !== 'all' && { query: { check: task.value } }),
  }),
);
</script>

<template>
  <div class="room">
    <div class="head">
      <h1>Hand-ins</h1>
      <span v-if="rows" class="small quiet"
        >{{ waiting ? `${counted(waiting, ['waits', 'wait'])} for a mark` : 'None waits for a mark'
        }}{{ doubtful ? `, ${doubtful} marked in doubt` : '' }}</span
      >
      <div v-if="rows?.length" class="end">
        <FieldSelect v-if="tasks.length > 2" v-model="task" :items="tasks" label="Task" class="w-60" />
        <UButton size="sm" color="neutral" variant="outline" :href="zip" external download>Save them together</UButton>
      </div>
    </div>
    <div v-if="rows?.length === 0" class="empty">
      <h2>Nothing handed in yet</h2>
      <p>What learners hand in to practice tasks appears here, with the marks that are suggested for it.</p>
      <NuxtLink class="link" :to="`/course/${desk.course!.id}/checks`">To the checks</NuxtLink>
    </div>
    <div v-else-if="rows" class="columns">
      <ul class="list" aria-label="Hand-ins" @keydown.down.prevent="step(1)" @keydown.up.prevent="step(-1)">
        <li v-for="row in shown" :key="keyOf(row)">
          <button
            type="button"
            :data-hand-in="keyOf(row)"
            :class="{ at: isAt(row) }"
            :aria-current="isAt(row) || undefined"
            @click="open(row)"
          >
            <strong>{{ row.learner.name || 'name taken out' }}</strong>
            <span class="small quiet date">{{ when(row.at) }}</span>
            <span class="small stem">{{ row.stem }}</span>
            <span class="small" :class="row.state === 'waiting' || row.doubt ? 'decide' : 'quiet'">{{
              standing(row)
            }}</span>
          </button>
        </li>
      </ul>
      <ResultsMarking v-if="at" :hand-in="at" @marked="load" @next="next" />
    </div>
  </div>
</template>

<style scoped>
.room {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.columns {
  flex: 1;
  display: flex;
  min-height: 0;
}
.list {
  width: 236px;
  flex: none;
  overflow-y: auto;
  margin: 0;
  padding: 0;
  list-style: none;
  border-right: 1px solid var(--hair);
}
.list button {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 8px;
  width: 100%;
  padding: 8px 14px;
  text-align: left;
  border-bottom: 1px solid var(--hair);
}
.list button.at {
  background: var(--moss-faint);
  box-shadow: inset 3px 0 0 var(--moss);
}
.list .stem {
  grid-column: 1 / -1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.list .decide,
.list .quiet:last-child {
  grid-column: 1 / -1;
}
@media (max-width: 760px) {
  .columns {
    flex-direction: column;
    overflow-y: auto;
  }
  .list {
    width: auto;
    max-height: 30vh;
    border-right: 0;
  }
}
</style>
