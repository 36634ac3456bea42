<script setup lang="ts">
import { useActions } from '~/actions/registry';
import { troubleOf, type Trouble } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { counted, STATES } from '~/words/states';
import type { CourseRow as Row } from '~~/core/course/row';

const rows = ref<Row[] | null>(null);
const trouble = ref<Trouble | null>(null);
const search = ref('');
const order = ref<'changed' | 'title'>('changed');
const naming = ref(false);
const title = ref('');
const archive = ref<HTMLInputElement | null>(null);
let then = 'sources';

async function load() {
  try {
    rows.value = await $fetch<Row[]>('/api/courses');
  } catch (error) {
    trouble.value = troubleOf(error);
  }
}
onMounted(load);
useCourse().course = null;

const shown = computed(() => (rows.value ?? [])
  .filter((row) => `${row.title} ${row.audience}`.toLowerCase().includes(search.value.toLowerCase().trim()))
  .toSorted((a, b) => (order.value === 'title' ? a.title.localeCompare(b.title) : b.changedAt - a.changedAt)));
const work = (row: Row) => {
  const lessons = Object.values(row.states).reduce((sum, count) => sum + count, 0);
  if (lessons === 0) return 'No outline yet';
  if ((row.states.blank ?? 0) === lessons) return 'Outline, nothing drafted';
  const furthest = STATES.toReversed().find(({ state }) => row.states[state])!;
  return `${row.states[furthest.state]} of ${lessons} ${furthest.label.toLowerCase()}`;
};
const when = (at: number) => {
  const date = new Date(at);
  const today = new Date().toDateString() === date.toDateString();
  return today ? `today ${date.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hour12: false })}` : date.toLocaleDateString([], { day: 'numeric', month: 'short', ...(date.getFullYear() !== new Date().getFullYear() && { year: 'numeric' }) });
};
const states = (row: Row) => new Map(row.path.flatMap((module) => module.lessons.map((lesson) => [lesson.id, lesson.state] as const)));

function begin(step: string) {
  then = step;
  naming.value = true;
}
async function make() {
  try {
    const { id } = await $fetch<{ id: string }>('/api/courses', { method: 'POST', body: { title: title.value.trim() } });
    await navigateTo(`/course/${id}/${then}`);
  } catch (error) {
    trouble.value = troubleOf(error);
  }
  naming.value = false;
}
async function bring(event: Event) {
  const [file] = (event.target as HTMLInputElement).files ?? [];
  if (!file) return;
  try {
    const { id } = await $fetch<{ id: string }>('/api/archives', { method: 'POST', body: file, headers: { 'content-type': 'application/octet-stream' } });
    await navigateTo(`/course/${id}/outline`);
  } catch (error) {
    trouble.value = troubleOf(error);
  }
}
useActions([
  { id: 'new-sources', label: 'New course from sources', key: 'Alt+N', area: 'Courses', run: () => begin('sources') },
  { id: 'new-known', label: 'New course from what I know', area: 'Courses', run: () => begin('sources/interview') },
  { id: 'new-empty', label: 'New empty course', area: 'Courses', run: () => begin('outline') },
  { id: 'bring', label: 'Open a course archive', area: 'Courses', run: () => archive.value?.click() },
]);
useHead({ title: 'Courses – Uplift Path' });
</script>

<template>
  <div>
    <ShellTopBar />
    <ShellTroubleLine v-model="trouble" />
    <PathPatterns />
    <main id="work" class="open-page home">
      <h1>Courses</h1>
      <div class="start">
        <UButton @click="begin('sources')">Start from sources</UButton>
        <UButton color="neutral" variant="outline" @click="begin('sources/interview')">Start from what I know</UButton>
        <UButton color="neutral" variant="outline" @click="begin('outline')">Write my own outline</UButton>
        <UButton color="neutral" variant="outline" @click="archive?.click()">Open an archive</UButton>
        <UButton color="neutral" variant="ghost" to="/shelf">Source shelf</UButton>
        <input ref="archive" type="file" accept=".zip" class="sr-only" aria-label="Course archive" tabindex="-1" @change="bring">
        <span v-if="rows && rows.length > 3" class="end"><UInput v-model="search" size="sm" placeholder="Find a course" aria-label="Find a course" /><button type="button" class="link small" @click="order = order === 'title' ? 'changed' : 'title'">{{ order === 'title' ? 'last changed first' : 'by title' }}</button></span>
        <span v-else-if="rows" class="end small quiet">{{ counted(rows.length, ['course', 'courses']) }}</span>
      </div>
      <table v-if="shown.length" class="lines">
        <thead><tr><th>Course</th><th>Path</th><th class="number">Min</th><th class="number">Checks</th><th>Work</th><th>Changed</th></tr></thead>
        <tbody>
          <tr v-for="row in shown" :key="row.id">
            <td class="name"><NuxtLink :to="`/course/${row.id}/outline`">{{ row.title }}</NuxtLink><span class="small quiet">{{ row.audience || 'For whom is not said yet' }}</span></td>
            <td class="path"><PathDrawing :modules="row.path" :states="states(row)" :width="300" :height="34" /></td>
            <td class="number">{{ row.minutes || '' }}</td>
            <td class="number">{{ row.checks || '' }}</td>
            <td>{{ work(row) }}<span v-if="row.role !== 'author'" class="small quiet block">you review</span></td>
            <td class="small quiet">{{ when(row.changedAt) }}</td>
          </tr>
        </tbody>
      </table>
      <div v-else-if="rows && rows.length === 0" class="empty">
        <h2>Your courses stand here</h2>
        <p>A course begins with what you have: policies, manuals, slides, recorded talks, notes. Put them in, and an outline is drafted from them that shows where each part comes from.</p>
        <UButton @click="begin('sources')">Start from sources</UButton>
      </div>
      <p v-else-if="rows" class="quiet">No course fits “{{ search }}”.</p>
    </main>
    <UModal v-model:open="naming" title="New course" description="Its title can be changed at any time.">
      <template #body>
        <form class="fields" @submit.prevent="make">
          <label>Title<UInput v-model="title" required autofocus class="w-full" maxlength="200" /></label>
          <div><UButton type="submit" :disabled="!title.trim()">Begin</UButton></div>
        </form>
      </template>
    </UModal>
  </div>
</template>

<style scoped>
.home { max-width: 1168px; }
.desk:has(.home) { background: var(--sheet); }
.start { display: flex; gap: 10px; align-items: center; margin-bottom: 20px; flex-wrap: wrap; }
.start .end { margin-left: auto; display: flex; gap: 12px; align-items: center; }
.lines td { padding: 12px 8px; }
.name a { display: block; font-weight: 700; }
.name a:hover { text-decoration: underline; }
.path { width: 316px; }
</style>
