<script setup lang="ts">
import { api } from '~/client';
import { compareCourses } from '~~/core/course/comparison';
import type { Course } from '~~/core/course/course';
import { useCourse } from '~/stores/course';
import { differences } from '~/words/differences';
import { changeWords } from '~/words/versions';
import { counted } from '~/words/states';
import { troubleOf } from '~/composables/useApi';

/** The course's versions: each can be looked at, with what differs from now, before going back to it. */
const open = defineModel<boolean>('open', { required: true });
const desk = useCourse();
const versions = ref<{ id: string; name: string; made_at: number; by: string | null }[] | null>(null);
const then = shallowRef<{ id: string; name: string; course: Course } | null>(null);
const unfolded = ref('');
const trouble = ref('');
const WHAT = {
  title: 'Title',
  brief: 'Brief',
  module: 'Module',
  objective: 'Objective',
  term: 'Term',
  offer: 'Offered check',
};
/** From the version to now: what is struck out stood there then. */
const found = computed(() => (then.value && desk.course ? compareCourses(then.value.course, desk.course) : undefined));
const lessons = computed(() => (found.value?.lessons ?? []).filter((each) => each.kind !== 'same' || each.moved));
const others = computed(() =>
  (found.value?.course ?? []).map((each) => ({ ...each, parts: differences(each.before, each.after) })),
);
watch(
  open,
  async (now) => {
    if (!now) return;
    then.value = null;
    trouble.value = '';
    await desk.settleAll();
    versions.value = await api('GET /api/courses/:course/versions', { course: desk.course!.id }).catch(
      (error: unknown) => {
        trouble.value = troubleOf(error).message;
        return null;
      },
    );
    if (versions.value?.[0]) await look(versions.value[0]);
  },
  { immediate: true },
);
async function look(version: { id: string; name: string }) {
  unfolded.value = '';
  try {
    then.value = {
      ...version,
      ...(await api('GET /api/courses/:course/versions/:version', { course: desk.course!.id, version: version.id })),
    };
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
}
async function back() {
  if (then.value && (await desk.backTo(then.value))) open.value = false;
}
const when = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
</script>

<template>
  <UModal
    v-model:open="open"
    title="Versions"
    description="What differs between a version and the course as it stands. Going back is a change like any other: undo brings you forward again."
    :ui="{ content: 'max-w-5xl' }"
  >
    <template #body>
      <p v-if="trouble" class="decide small" role="alert">{{ trouble }}</p>
      <p v-else-if="versions === null" class="small quiet">Looking</p>
      <div v-else class="versions">
        <ul class="list">
          <li v-for="version in versions" :key="version.id">
            <button type="button" :aria-current="then?.id === version.id" @click="look(version)">
              <strong>{{ version.name }}</strong><span class="small quiet">{{
                [version.by, when(version.made_at)].filter(Boolean).join(', ')
              }}</span>
            </button>
          </li>
        </ul>
        <div v-if="then && found" class="found">
          <p class="line">
            <span>{{
              lessons.length || others.length
                ? `Since “${then.name}”: ${counted(lessons.length, ['lesson differs', 'lessons differ'])}${others.length ? `, ${counted(others.length, ['other thing', 'other things'])}` : ''}.`
                : `The course stands as it did at “${then.name}”.`
            }}</span><UButton v-if="desk.mayEdit && (lessons.length || others.length)" size="sm" @click="back"
              >Go back to it</UButton
            >
          </p>
          <section v-for="change in lessons" :key="change.id">
            <h3>
              <button
                type="button"
                :aria-expanded="unfolded === change.id"
                @click="unfolded = unfolded === change.id ? '' : change.id"
              >
                {{ change.title }}</button><span class="small quiet">{{ changeWords(change) }}</span>
            </h3>
            <VersionLesson v-if="unfolded === change.id" :change="change" />
          </section>
          <section v-if="others.length">
            <h3>Outside of lessons</h3>
            <div v-for="each in others" :key="`${each.what}${each.id}`" class="other">
              <span class="small quiet">{{ WHAT[each.what] }}</span>
              <p><SourceDiffering :stretches="each.parts.before" gone /></p>
              <p><SourceDiffering :stretches="each.parts.after" /></p>
            </div>
          </section>
        </div>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.versions {
  display: grid;
  grid-template-columns: 230px 1fr;
  gap: 20px;
  height: min(62vh, 560px);
}
.list {
  overflow-y: auto;
  border-right: 1px solid var(--hair);
}
.list button {
  display: grid;
  width: 100%;
  text-align: left;
  padding: 6px 10px 6px 8px;
  border-left: 3px solid transparent;
  cursor: pointer;
}
.list button:hover {
  background: var(--shade);
}
.list [aria-current='true'] {
  border-left-color: var(--moss);
  background: var(--moss-faint);
}
.found {
  overflow-y: auto;
  min-width: 0;
}
.line {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  margin-bottom: 8px;
}
h3 {
  display: flex;
  align-items: baseline;
  gap: 12px;
  font-size: 14.5px;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
h3 button {
  text-align: left;
  cursor: pointer;
  font-weight: 700;
}
h3 button::before {
  content: '+ ';
  color: var(--ink-2);
}
h3 button[aria-expanded='true']::before {
  content: '– ';
}
h3 .small {
  font-family: var(--font-sans);
  font-weight: 400;
}
.other {
  display: grid;
  grid-template-columns: 92px 1fr 1fr;
  gap: 12px;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 14px;
  white-space: pre-line;
}
@media (max-width: 820px) {
  .versions {
    grid-template-columns: 1fr;
    height: auto;
  }
  .list {
    border-right: 0;
  }
}
</style>
