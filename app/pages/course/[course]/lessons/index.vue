<script setup lang="ts">
import { useActions } from '~/actions/registry';
import { useCourse } from '~/stores/course';
import { useStale } from '~/stores/stale';
import { staleWords } from '~/words/sources';
import { useJobs } from '~/stores/jobs';
import { useFigures } from '~/stores/figures';
import { counted } from '~/words/states';

/** All lessons: drafted one by one or all, with what is done and what is left. */
const desk = useCourse();
const figures = useFigures();
const stale = useStale();
const jobs = useJobs();
const chosen = ref(new Set<string>());
const blank = computed(() => desk.lessons.filter((lesson) => lesson.blocks.length === 0).map((lesson) => lesson.id));
const next = computed(() =>
  (chosen.value.size > 0
    ? desk.lessons.map((lesson) => lesson.id).filter((id) => chosen.value.has(id))
    : blank.value
  ).filter((id) => !jobs.waiting.has(id)),
);

async function draft() {
  await jobs.draft(next.value);
  chosen.value = new Set();
}
/** What is going on with a lesson, in words. */
const going = (id: string) => ({ now: 'being drafted', waiting: 'waits for its draft' })[jobs.waiting.get(id)!];
const toggle = (id: string) =>
  void (chosen.value = new Set(
    chosen.value.has(id) ? [...chosen.value].filter((each) => each !== id) : [...chosen.value, id],
  ));
useActions([
  {
    id: 'ls-draft',
    label: 'Draft the chosen or blank lessons',
    key: 'Alt+D',
    area: 'Lessons',
    when: () => desk.mayEdit && next.value.length > 0 && (chosen.value.size > 0 || jobs.running.length === 0),
    run: () => void draft(),
  },
]);
</script>

<template>
  <div class="lessons">
    <div class="head">
      <h1>Lessons</h1>
      <span class="small quiet">{{ blank.length ? `${blank.length} blank` : 'every lesson has text' }}</span>
      <div v-if="desk.mayEdit" class="end">
        <UButton v-if="next.length && (chosen.size || jobs.running.length === 0)" @click="draft">{{
          chosen.size
            ? `Draft ${counted(chosen.size, ['lesson', 'lessons'])}`
            : `Draft ${next.length === 1 ? 'the blank lesson' : `all ${next.length} blank lessons`}`
        }}</UButton>
      </div>
    </div>
    <table v-if="desk.lessons.length" class="lines">
      <thead>
        <tr>
          <th><span class="sr-only">Choose</span></th>
          <th>Lesson</th>
          <th>Module</th>
          <th class="number">Min</th>
          <th class="number">Checks</th>
          <th>State</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="module in desk.course!.modules" :key="module.id">
          <tr v-for="lesson in module.lessons" :key="lesson.id">
            <td>
              <input
                v-if="desk.mayEdit"
                type="checkbox"
                :checked="chosen.has(lesson.id)"
                :aria-label="`Choose ${lesson.title}`"
                @change="toggle(lesson.id)"
              />
            </td>
            <td>
              <NuxtLink :to="`/course/${desk.course!.id}/lessons/${lesson.id}`">{{ lesson.title }}</NuxtLink><span
                v-if="stale.lessons.get(lesson.id)"
                class="small decide block"
                >{{ staleWords(stale.lessons.get(lesson.id)!) }}</span
              >
            </td>
            <td class="small quiet">{{ module.title }}</td>
            <td class="number">{{ figures.all.get(lesson.id)?.minutes }}</td>
            <td class="number">{{ figures.all.get(lesson.id)?.checks || '' }}</td>
            <td>
              <em v-if="going(lesson.id)" class="small going">{{ going(lesson.id) }}</em><PathStateMark
                v-else
                :state="lesson.state"
              />
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <div v-else class="empty">
      <h2>No lessons yet</h2>
      <p>Lessons come with the outline.</p>
      <NuxtLink class="link" :to="`/course/${desk.course!.id}/outline`">To the outline</NuxtLink>
    </div>
  </div>
</template>

<style scoped>
.lessons {
  flex: 1;
  overflow-y: auto;
}
td:first-child,
th:first-child {
  padding-left: 18px;
  width: 40px;
}
td a {
  font-weight: 600;
}
td a:hover {
  text-decoration: underline;
}
td input {
  accent-color: var(--moss);
}
.going {
  font-style: normal;
  color: var(--moss);
}
</style>
