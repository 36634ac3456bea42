<script setup lang="ts">
import { useCourse } from '~/stores/course';
import { differences } from '~/words/differences';
import { counted } from '~/words/states';

/** What a newer version of a source brought, and what of the course stood on it. */
export interface NewerVersion {
  title: string;
  kept: number;
  moved: number;
  sentences: number;
  checks: number;
  lessons: string[];
  changed: { id: string; before: string; after: string; lessons: string[] }[];
  added: { text: string }[];
  gone: { id: string; text: string; lessons: string[] }[];
}
const props = defineProps<{ newer: NewerVersion }>();
const emit = defineEmits<{ close: [] }>();
const desk = useCourse();
const lesson = (id: string) => desk.lessons.find((each) => each.id === id)?.title ?? '';
const rows = computed(() =>
  [
    ...props.newer.changed.map((each) => ({
      key: `c${each.id}`,
      what: 'changed',
      ...differences(each.before, each.after),
      lessons: each.lessons,
    })),
    ...props.newer.gone.map((each) => ({
      key: `g${each.id}`,
      what: 'gone',
      before: [{ text: each.text, own: true }],
      after: undefined,
      lessons: each.lessons,
    })),
    ...props.newer.added.map((each, at) => ({
      key: `n${at}`,
      what: 'new',
      before: undefined,
      after: [{ text: each.text, own: true }],
      lessons: [] as string[],
    })),
  ].sort((a, b) => b.lessons.length - a.lessons.length),
);
</script>

<template>
  <section class="newer" :aria-label="`What the newer version of ${newer.title} changes`">
    <div class="line">
      <h2>{{ newer.title }}, newer version</h2>
      <span class="small"
        >{{ newer.changed.length }} changed, {{ newer.gone.length }} gone, {{ newer.added.length }} new,
        {{ newer.kept }} as before<template v-if="newer.moved">, {{ newer.moved }} of them elsewhere</template></span
      ><button type="button" class="link" @click="emit('close')">Close</button>
    </div>
    <p v-if="newer.lessons.length" class="small">
      <span class="decide"
        >{{ counted(newer.sentences, ['sentence', 'sentences']) }} and
        {{ counted(newer.checks, ['question', 'questions']) }} of the course stood on what changed or is gone.</span
      >
      They stay as they are until you change them or draft the lesson again.
    </p>
    <p v-else class="small quiet">Nothing in the course stood on what changed or is gone.</p>
    <table class="lines">
      <thead>
        <tr>
          <th>What</th>
          <th>Before</th>
          <th>Now</th>
          <th>In the course</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key">
          <td class="small">{{ row.what }}</td>
          <td><SourceDiffering v-if="row.before" :stretches="row.before" gone /></td>
          <td><SourceDiffering v-if="row.after" :stretches="row.after" /></td>
          <td class="small">
            <NuxtLink
              v-for="id in row.lessons"
              :key="id"
              class="link block"
              :to="`/course/${desk.course!.id}/lessons/${id}`"
              >{{ lesson(id) }}</NuxtLink
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.newer {
  border-bottom: 1px solid var(--hair);
  background: var(--paper);
  padding: 8px 0 0;
}
.line {
  display: flex;
  gap: 14px;
  align-items: baseline;
  padding: 0 18px;
}
.line .link {
  margin-left: auto;
}
h2 {
  font-size: 16px;
}
p {
  padding: 2px 18px;
}
table {
  font-size: 14px;
}
td:first-child,
th:first-child {
  padding-left: 18px;
  width: 90px;
}
td:nth-child(2),
td:nth-child(3) {
  width: 38%;
  font-family: var(--font-read);
}
</style>
