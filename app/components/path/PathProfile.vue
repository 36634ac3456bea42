<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { useActions } from '~/actions/registry';
import { useCourse } from '~/stores/course';
import { useFigures } from '~/stores/figures';
import { counted, stateLabel, STATES } from '~/words/states';

/** The course's one navigation: the path drawn to scale, each lesson a place to go to. */
const go = useGo();
const props = defineProps<{ selected?: string }>();
const desk = useCourse();
const figures = useFigures();
const box = ref<HTMLElement | null>(null);
const { width } = useElementSize(box);
const tall = ref(false);
const asTable = ref(false);
/** A course of a few lessons gives the room of its path back to the page. */
const FEW = 3;
const height = computed(() =>
  tall.value ? 210 : desk.lessons.length === 0 ? 0 : desk.lessons.length <= FEW ? 62 : 96,
);
const states = computed(() => new Map(desk.lessons.map((lesson) => [lesson.id, lesson.state])));
const modules = computed(() =>
  (desk.course?.modules ?? []).map((module) => ({
    title: module.title,
    lessons: module.lessons.map((lesson) => ({ id: lesson.id, title: lesson.title, ...figures.all.get(lesson.id)! })),
  })),
);
const total = computed(() =>
  Math.max(
    0.1,
    modules.value.flatMap((module) => module.lessons).reduce((sum, lesson) => sum + lesson.minutes, 0),
  ),
);
const places = computed(() => {
  let at = 0;
  return modules.value
    .flatMap((module) => module.lessons)
    .map((lesson) => {
      const left = (at / total.value) * 100;
      at += lesson.minutes;
      const state = states.value.get(lesson.id)!;
      return {
        ...lesson,
        left,
        share: (lesson.minutes / total.value) * 100,
        said: `${lesson.title}, ${lesson.minutes} minutes, ${stateLabel(state).toLowerCase()}, ${counted(lesson.checks, ['check', 'checks'])}, demand ${lesson.demand} of 10`,
      };
    });
});
const sizes = computed(() => {
  const asked = desk.course?.brief.size.minutes;
  const checks = [...figures.all.values()].reduce((sum, each) => sum + each.checks, 0);
  return {
    minutes: figures.minutes,
    rest: `${asked ? `of ${asked} asked, ` : ''}${counted(desk.lessons.length, ['lesson', 'lessons'])}, ${counted(checks, ['check', 'checks'])}`,
  };
});
const counts = computed(() =>
  [...STATES]
    .reverse()
    .flatMap(({ state, label }) => {
      const count = desk.lessons.filter((lesson) => lesson.state === state).length;
      return count > 0 ? [`${count} ${label.toLowerCase()}`] : [];
    })
    .join(', '),
);
const DEMAND =
  'Height is demand, 0 to 10: what the objectives ask (to recall, to apply, to decide), new terms in a hundred words, and how hard the text reads.';
const open = (id: string) => go(`/course/${desk.course!.id}/lessons/${id}`);
const current = computed(() => props.selected ?? places.value[0]?.id);

function step(by: number) {
  const list = desk.lessons;
  const at = list.findIndex((lesson) => lesson.id === props.selected);
  const next = list[Math.min(list.length - 1, Math.max(0, at + by))];
  if (next) open(next.id);
}
function move(event: KeyboardEvent) {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
  if (!by) return;
  event.preventDefault();
  const links = [...box.value!.querySelectorAll<HTMLElement>('a')];
  const at = links.indexOf(document.activeElement as HTMLElement);
  links[Math.min(links.length - 1, Math.max(0, at + by))]?.focus();
}
useActions([
  {
    id: 'lesson-next',
    label: 'Next lesson',
    key: 'Alt+PageDown',
    area: 'Path',
    when: () => desk.lessons.length > 0,
    run: () => step(1),
  },
  {
    id: 'lesson-before',
    label: 'Lesson before',
    key: 'Alt+PageUp',
    area: 'Path',
    when: () => desk.lessons.length > 0,
    run: () => step(-1),
  },
  {
    id: 'path-tall',
    label: 'Path tall or slim',
    key: 'Alt+P',
    area: 'Path',
    run: () => void (tall.value = !tall.value),
  },
  {
    id: 'path-table',
    label: 'Path as a table',
    key: 'Alt+T',
    area: 'Path',
    run: () => void (asTable.value = !asTable.value),
  },
]);
</script>

<template>
  <section class="profile" aria-label="Path of the course">
    <p class="sizes">
      <span
        ><strong>{{ sizes.minutes }} min</strong> {{ sizes.rest
        }}<span v-if="desk.lessons.length && !asTable" class="quiet height" :title="DEMAND"
          >the higher, the more demanding</span
        ></span
      ><span class="end"
        >{{ counts
        }}<button type="button" class="link" :aria-pressed="asTable" @click="asTable = !asTable">
          {{ asTable ? 'as a drawing' : 'as a table' }}</button
        ><button v-if="!asTable" type="button" class="link" :aria-pressed="tall" @click="tall = !tall">
          {{ tall ? 'slim' : 'tall' }}
        </button></span
      >
    </p>
    <div v-if="!asTable" ref="box" class="drawing" :style="{ height: `${height}px` }" @keydown="move">
      <PathDrawing
        v-if="width > 0"
        :modules="modules"
        :states="states"
        :width="width"
        :height="height"
        :selected="selected"
        names
      />
      <NuxtLink
        v-for="place in places"
        :key="place.id"
        :to="`/course/${desk.course!.id}/lessons/${place.id}`"
        class="place"
        :style="{ left: `${place.left}%`, width: `${place.share}%` }"
        :aria-label="place.said"
        :title="place.said"
        :tabindex="place.id === current ? 0 : -1"
        :aria-current="place.id === selected ? 'page' : undefined"
      />
    </div>
    <p v-if="tall && !asTable && desk.lessons.length" class="small quiet">{{ DEMAND }}</p>
    <div v-if="asTable" class="table">
      <table class="lines">
        <thead>
          <tr>
            <th>Lesson</th>
            <th>Module</th>
            <th class="number">Minutes</th>
            <th class="number">Demand</th>
            <th class="number">Checks</th>
            <th>State</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="module in modules" :key="module.title">
            <tr v-for="lesson in module.lessons" :key="lesson.id">
              <td>
                <NuxtLink class="link" :to="`/course/${desk.course!.id}/lessons/${lesson.id}`">{{
                  lesson.title
                }}</NuxtLink>
              </td>
              <td>{{ module.title }}</td>
              <td class="number">{{ lesson.minutes }}</td>
              <td class="number">{{ lesson.demand }}</td>
              <td class="number">{{ lesson.checks }}</td>
              <td><PathStateMark :state="states.get(lesson.id)!" /></td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.height {
  margin-left: 12px;
}
@media (max-width: 700px) {
  .height {
    display: none;
  }
}
.profile {
  padding: 6px 18px 0;
  background: var(--paper);
  border-bottom: 1px solid var(--hair);
}
.sizes {
  display: flex;
  justify-content: space-between;
  gap: 20px;
  font-size: 13px;
  color: var(--ink-2);
}
.sizes strong {
  color: var(--ink);
}
.sizes .end {
  display: flex;
  gap: 14px;
}
.sizes .end .link {
  min-width: 24px;
  line-height: 24px;
}
.sizes {
  line-height: 24px;
}
.drawing {
  position: relative;
  margin-top: 2px;
  overflow: hidden;
}
.place {
  position: absolute;
  top: 0;
  bottom: 0;
  min-width: 4px;
}
.place:hover {
  background: color-mix(in srgb, var(--moss) 8%, transparent);
}
.place:focus-visible {
  outline-offset: -2px;
}
.table {
  max-height: 240px;
  overflow-y: auto;
  margin: 6px 0;
  background: var(--sheet);
}
</style>
