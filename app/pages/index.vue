<script setup lang="ts">
import { useActions } from '~/actions/registry';
import { troubleOf } from '~/composables/useApi';
import { sendLeftBehind, useCourse } from '~/stores/course';
import { useSession } from '~/stores/session';
import { counted, STATES } from '~/words/states';
import type { CourseRow as Row } from '~~/core/course/row';

const session = useSession();
const rows = ref<Row[] | null>(null);
const { trouble, trying } = useTrying();
const search = ref('');
const order = ref<'changed' | 'title'>('changed');
const naming = ref(false);
const title = ref('');
const archive = ref<HTMLInputElement | null>(null);
let then = 'sources';

const invitations = ref<{ course_id: string; title: string; role: string; by: string | null }[]>([]);
const removed = ref<{ id: string; title: string; removed_at: number; learners: number }[]>([]);
const inBin = ref(false);
/** The course that is about to be deleted. */
const deleting = ref<Row | null>(null);

const load = () => trying(async () => {
  [rows.value, invitations.value, removed.value] = await Promise.all([$fetch<Row[]>('/api/courses'), $fetch<typeof invitations.value>('/api/invitations'), $fetch<typeof removed.value>('/api/bin')]);
  if (removed.value.length === 0) inBin.value = false;
});
const reply = (course: string, accept: boolean) => trying(async () => {
  await $fetch(`/api/invitations/${course}`, { method: 'POST', body: { accept } });
  await load();
});
const remove = () => trying(async () => {
  const row = deleting.value!;
  deleting.value = null;
  await $fetch(`/api/courses/${row.id}`, { method: 'DELETE' });
  await load();
});
const bringBack = (id: string) => trying(async () => {
  await $fetch(`/api/bin/${id}`, { method: 'POST' });
  await load();
});
onMounted(async () => {
  // What was typed in a course without a connection goes out from here too.
  if (session.person) await sendLeftBehind(session.person);
  await load();
});
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
        <button v-if="removed.length" type="button" class="link small" :aria-pressed="inBin" @click="inBin = !inBin">{{ inBin ? 'Back to the courses' : `${removed.length} deleted` }}</button>
      </div>
      <section v-for="each in invitations" :key="each.course_id" class="invitation"><p>{{ each.by ?? 'Somebody' }} offers you a part in <strong>{{ each.title }}</strong>: {{ each.role === 'author' ? 'to change it as an author' : 'to review it' }}.</p><UButton size="sm" @click="reply(each.course_id, true)">Accept</UButton><UButton size="sm" color="neutral" variant="outline" @click="reply(each.course_id, false)">Decline</UButton></section>
      <table v-if="inBin" class="lines">
        <caption>Deleted courses; each comes back as it was, its learners' results with it</caption>
        <thead><tr><th>Course</th><th class="number">Learners</th><th>Deleted</th><th><span class="sr-only">Back</span></th></tr></thead>
        <tbody><tr v-for="row in removed" :key="row.id"><td>{{ row.title }}</td><td class="number">{{ row.learners || '' }}</td><td class="small quiet">{{ when(row.removed_at) }}</td><td class="number"><button type="button" class="link small" @click="bringBack(row.id)">bring it back</button></td></tr></tbody>
      </table>
      <table v-else-if="shown.length" class="lines">
        <thead><tr><th>Course</th><th>Path</th><th class="number">Min</th><th class="number">Checks</th><th>Work</th><th>Changed</th><th><span class="sr-only">Delete</span></th></tr></thead>
        <tbody>
          <tr v-for="row in shown" :key="row.id">
            <td v-if="row.broken" colspan="5"><strong>{{ row.title }}</strong><span class="small decide block">{{ row.broken }}</span></td>
            <template v-else>
            <td class="name"><NuxtLink :to="`/course/${row.id}/outline`">{{ row.title }}</NuxtLink><span class="small quiet">{{ row.audience || 'For whom is not said yet' }}</span></td>
            <td class="path"><PathDrawing :modules="row.path" :states="states(row)" :width="300" :height="34" /></td>
            <td class="number">{{ row.minutes || '' }}</td>
            <td class="number">{{ row.checks || '' }}</td>
            <td>{{ work(row) }}<span v-if="row.role !== 'author'" class="small quiet block">you review</span></td>
            </template>
            <td class="small quiet">{{ when(row.changedAt) }}</td>
            <td class="number"><button v-if="row.role === 'author'" type="button" class="link small" :aria-label="`Delete ${row.title}`" @click="deleting = row">delete</button></td>
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
    <UModal :open="deleting !== null" :title="`Delete “${deleting?.title ?? ''}”`" description="It lies under “deleted” on this page, with its releases and its learners' results, until it is brought back. Learners cannot open it meanwhile." @update:open="deleting = null">
      <template #body><div class="flex gap-3"><UButton @click="remove">Delete it</UButton><UButton color="neutral" variant="outline" @click="deleting = null">Leave it</UButton></div></template>
    </UModal>
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
.invitation { display: flex; align-items: center; gap: 12px; padding: 8px 12px; margin-bottom: 10px; background: var(--moss-faint); border-left: 3px solid var(--moss); }
.invitation p { flex: 1; }
caption { text-align: left; padding: 4px 8px; font-size: 13.5px; color: var(--ink-2); }
.home { max-width: 1168px; }
.desk:has(.home) { background: var(--sheet); }
.start { display: flex; gap: 10px; align-items: center; margin-bottom: 20px; flex-wrap: wrap; }
.start .end { margin-left: auto; display: flex; gap: 12px; align-items: center; }
.lines td { padding: 12px 8px; }
.name a { display: block; font-weight: 700; }
.name a:hover { text-decoration: underline; }
.path { width: 316px; }
</style>
