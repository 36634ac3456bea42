<script setup lang="ts">
import { api, type AnswerOf } from '~/client';
import { troubleOf, type Trouble } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { useSession } from '~/stores/session';

/** Who has a part in this course. */
const desk = useCourse();
const session = useSession();
const rows = ref<AnswerOf<'GET /api/courses/:course/members'> | null>(null);
const trouble = ref<Trouble | null>(null);
const ROLES = [
  { value: 'none', label: 'no part' },
  { value: 'reviewer', label: 'reviews' },
  { value: 'marker', label: 'reviews and marks' },
  { value: 'author', label: 'author' },
] as const;

async function load() {
  rows.value = await api('GET /api/courses/:course/members', { course: desk.course!.id }).catch((error: unknown) => {
    trouble.value = troubleOf(error);
    return [];
  });
}
onMounted(load);
async function set(person: string, role: (typeof ROLES)[number]['value']) {
  trouble.value = null;
  await api('PUT /api/courses/:course/members', { course: desk.course!.id, body: { person, role } }).catch(
    (error: unknown) => void (trouble.value = troubleOf(error)),
  );
  await load();
}
</script>

<template>
  <div class="people">
    <div class="head">
      <h1>People</h1>
      <span class="small quiet">authors change the course, reviewers read it; a part counts once it is accepted</span
      ><NuxtLink v-if="session.person?.role === 'owner'" class="end link small" to="/people"
        >people of this installation</NuxtLink
      >
    </div>
    <ShellTroubleLine v-model="trouble" />
    <table v-if="rows?.length" class="lines">
      <thead>
        <tr>
          <th>Name</th>
          <th>Part in this course</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <td>{{ row.name }}</td>
          <td>
            <FieldSelect
              :model-value="row.role === 'learner' ? 'none' : row.role"
              :items="ROLES"
              class="w-48"
              :label="`Part of ${row.name}`"
              @update:model-value="set(row.id, $event)"
            /><span v-if="row.waits" class="small quiet waits">offered, not accepted yet</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.waits {
  margin-left: 12px;
}
.people {
  flex: 1;
  overflow-y: auto;
}
td:first-child,
th:first-child {
  padding-left: 18px;
  width: 280px;
}
.head .end {
  margin-left: auto;
}
</style>
