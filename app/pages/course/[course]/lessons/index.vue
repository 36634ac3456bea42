<script setup lang="ts">
import { useActions } from '~/actions/registry';
import { useCourse } from '~/stores/course';
import { useFigures } from '~/stores/figures';
import { counted } from '~/words/states';

/** All lessons: drafted one by one or all, with what is done and what is left. */
const desk = useCourse();
const figures = useFigures();
const chosen = ref(new Set<string>());
const run = reactive({ on: false, done: 0, of: 0, title: '', failed: [] as string[] });
let stop = false;
const blank = computed(() => desk.lessons.filter((lesson) => lesson.blocks.length === 0).map((lesson) => lesson.id));
const next = computed(() => (chosen.value.size > 0 ? desk.lessons.map((lesson) => lesson.id).filter((id) => chosen.value.has(id)) : blank.value));

async function draft() {
  const ids = next.value;
  stop = false;
  Object.assign(run, { on: true, done: 0, of: ids.length, failed: [] });
  for (const id of ids) {
    if (stop) break;
    const title = desk.lessons.find((lesson) => lesson.id === id)?.title ?? '';
    run.title = title;
    if (!(await desk.draftLesson(id))) run.failed.push(`${title}: ${desk.trouble?.message ?? ''}`);
    run.done++;
  }
  desk.trouble = null;
  run.on = false;
  chosen.value = new Set();
}
const toggle = (id: string) => void (chosen.value = new Set(chosen.value.has(id) ? [...chosen.value].filter((each) => each !== id) : [...chosen.value, id]));
onBeforeUnmount(() => void (stop = true));
useActions([{ id: 'ls-draft', label: 'Draft the chosen or blank lessons', key: 'Alt+D', area: 'Lessons', when: () => desk.mayEdit && !run.on && next.value.length > 0, run: () => void draft() }]);
</script>

<template>
  <div class="lessons">
    <div class="head"><h1>Lessons</h1><span class="small quiet">{{ blank.length ? `${blank.length} blank` : 'every lesson has text' }}</span>
      <div v-if="desk.mayEdit" class="end"><UButton v-if="run.on" color="neutral" variant="outline" @click="stop = true">Stop after this one</UButton><UButton v-else-if="next.length" @click="draft">{{ chosen.size ? `Draft ${counted(chosen.size, ['lesson', 'lessons'])}` : `Draft ${blank.length === 1 ? 'the blank lesson' : `all ${blank.length} blank lessons`}` }}</UButton></div>
    </div>
    <p v-if="run.on" class="run" role="status"><progress :value="run.done" :max="run.of" aria-label="Lessons drafted" /> {{ run.done }} of {{ run.of }} drafted, now “{{ run.title }}”. Finished ones can be opened.</p>
    <ul v-if="run.failed.length" class="run decide"><li v-for="line in run.failed" :key="line">{{ line }}</li></ul>
    <table v-if="desk.lessons.length" class="lines">
      <thead><tr><th><span class="sr-only">Choose</span></th><th>Lesson</th><th>Module</th><th class="number">Min</th><th class="number">Checks</th><th>State</th></tr></thead>
      <tbody>
        <template v-for="module in desk.course!.modules" :key="module.id">
          <tr v-for="lesson in module.lessons" :key="lesson.id">
            <td><input v-if="desk.mayEdit" type="checkbox" :checked="chosen.has(lesson.id)" :aria-label="`Choose ${lesson.title}`" @change="toggle(lesson.id)"></td>
            <td><NuxtLink :to="`/course/${desk.course!.id}/lessons/${lesson.id}`">{{ lesson.title }}</NuxtLink></td>
            <td class="small quiet">{{ module.title }}</td><td class="number">{{ figures.all.get(lesson.id)?.minutes }}</td><td class="number">{{ figures.all.get(lesson.id)?.checks || '' }}</td><td><PathStateMark :state="lesson.state" /></td>
          </tr>
        </template>
      </tbody>
    </table>
    <div v-else class="empty"><h2>No lessons yet</h2><p>Lessons come with the outline.</p><NuxtLink class="link" :to="`/course/${desk.course!.id}/outline`">To the outline</NuxtLink></div>
  </div>
</template>

<style scoped>
.lessons { flex: 1; overflow-y: auto; }
td:first-child, th:first-child { padding-left: 18px; width: 40px; }
td a { font-weight: 600; }
td a:hover { text-decoration: underline; }
td input { accent-color: var(--moss); }
.run { padding: 10px 18px; background: var(--moss-faint); font-size: 14px; }
progress { width: 160px; margin-right: 10px; accent-color: var(--moss); }
</style>
