<script setup lang="ts">
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
const leaving = ref<{ id: string; name: string } | null>(null);
async function remove(what: 'all' | 'name') {
  const { id } = leaving.value!;
  leaving.value = null;
  await desk.asking(
    async () =>
      void (await $fetch(`/api/courses/${desk.course!.id}/learners/${id}`, { method: 'DELETE', query: { what } })),
  );
  await all.loadLearners();
}
const shown = computed(() =>
  (all.learners ?? []).filter((row) => row.name.toLowerCase().includes(search.value.trim().toLowerCase())),
);
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
    <table v-else-if="all.learners" class="lines">
      <thead>
        <tr>
          <th>Learner</th>
          <th class="number">Release</th>
          <th>Lessons done</th>
          <th class="number">Checks right</th>
          <th class="number">Score</th>
          <th>Standing</th>
          <th>Last seen</th>
          <th><span class="sr-only">Take out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in shown" :key="row.id">
          <td>
            <strong v-if="row.name">{{ row.name }}</strong><span v-else class="quiet">name taken out</span>
          </td>
          <td class="number">{{ row.release }}</td>
          <td class="small bar">
            <svg width="92" height="9" viewBox="0 0 92 9" aria-hidden="true">
              <rect x=".5" y=".5" width="91" height="8" fill="none" stroke="var(--hair)" />
              <rect
                x="1"
                y="1"
                :width="(90 * row.progress.minutes.done) / Math.max(0.1, row.progress.minutes.of)"
                height="7"
                fill="var(--moss)"
              />
            </svg>
            {{ row.progress.done }} of {{ lessons(row.release) }}
          </td>
          <td class="number">{{ row.progress.checks.right }} of {{ row.progress.checks.of }}</td>
          <td class="number">
            {{ row.progress.score === undefined ? '' : `${Math.floor(row.progress.score * 100 + 1e-6)} %` }}
          </td>
          <td class="small">
            {{
              row.progress.completed
                ? 'completed'
                : row.progress.passed === false && row.progress.done === lessons(row.release)
                  ? 'done, too few right'
                  : row.progress.done || row.progress.checks.answered
                    ? 'under way'
                    : 'begun'
            }}
          </td>
          <td class="small quiet">{{ when(row.seen_at) }}</td>
          <td class="number">
            <button
              type="button"
              class="link small"
              :aria-label="`Take ${row.name || 'this learner'} out`"
              @click="leaving = row"
            >
              take out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <UModal
      :open="leaving !== null"
      :title="`Take ${leaving?.name || 'this learner'} out`"
      description="What is taken out here is not in any bin."
      @update:open="leaving = null"
    >
      <template #body
        ><div class="flex gap-3">
          <UButton @click="remove('all')">Take out with all they did</UButton
          ><UButton v-if="leaving?.name" color="neutral" variant="outline" @click="remove('name')"
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
.lines td:first-child,
.lines th:first-child {
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
