<script setup lang="ts">
import { api, type AnswerOf } from '~/client';
import type { NewerVersion } from '~/components/source/Newer.vue';
import { useCourse } from '~/stores/course';

type Line = AnswerOf<'GET /api/courses/:course/sources/:source/versions'>['versions'][number];

/** The versions of a source, who put each and when; the course can use an earlier one again. */
const props = defineProps<{ source: { id: string; title: string } }>();
const emit = defineEmits<{ used: [] }>();
const desk = useCourse();
const answer = shallowRef<{ may: string; versions: Line[] } | null>(null);
const differs = ref<NewerVersion | null>(null);
const { trouble, trying } = useTrying();
const load = () =>
  trying(
    async () =>
      void (answer.value = await api('GET /api/courses/:course/sources/:source/versions', {
        course: desk.course!.id,
        source: props.source.id,
      })),
  );
watch([() => desk.course!.id, () => props.source.id], load, { immediate: true });
const use = (line: Line) =>
  trying(async () => {
    await desk.settleAll();
    const now = await api('PUT /api/courses/:course/sources/:source/version', {
      course: desk.course!.id,
      source: props.source.id,
      body: { version: line.version },
    });
    differs.value = now.same ? null : { title: props.source.title, ...now };
    await desk.refresh();
    await load();
    emit('used');
  });
const when = (time: number) => new Date(time).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
</script>

<template>
  <section class="versions" aria-label="Versions of this source">
    <p v-if="trouble" class="decide small" role="alert">{{ trouble.message }}</p>
    <table v-if="answer" class="lines">
      <thead>
        <tr>
          <th class="number">Version</th>
          <th>File</th>
          <th>Put by</th>
          <th>When</th>
          <th class="number">Words</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in answer.versions" :key="line.version">
          <td class="number">{{ line.serial }}</td>
          <td class="mono">{{ line.file_name }}</td>
          <td>{{ line.by }}</td>
          <td class="small quiet">{{ when(line.read_at) }}</td>
          <td class="number">{{ line.words.toLocaleString('en') }}</td>
          <td class="small">
            <strong v-if="line.used">this course uses it</strong
            ><button
              v-else-if="desk.mayEdit && answer.may !== 'read'"
              type="button"
              class="link small"
              @click="use(line)"
            >
              use this one
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <SourceNewer v-if="differs" :newer="differs" @close="differs = null" />
  </section>
</template>

<style scoped>
.versions {
  border-bottom: 1px solid var(--hair);
  background: var(--paper);
  max-height: 50vh;
  overflow-y: auto;
}
</style>
