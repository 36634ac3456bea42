<script setup lang="ts">
import { checksOn } from '~~/core/blocks/forms';
import { placeWhereTaught } from '~~/core/course/placing';
import type { Ways } from '~~/core/learning/ways';
import type { Flaw } from '~~/core/checks/lints';
import type { ScenarioCheck } from '~~/core/checks/scenario/form';
import { walk } from '~~/core/checks/scenario/walk';
import { useActions } from '~/actions/registry';
import { api } from '~/client';
import { useCheckEditing } from '~/checks/editing';
import { storyFigures } from '~/checks/scenario/words';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { useFlaws } from '~/stores/flaws';
import { counted } from '~/words/states';

/** A scenario in a room of its own: its ways as a trail, its script under it; beside it sources and what is to mend. */
const route = useRoute();
const desk = useCourse();
const all = useFlaws();
const id = computed(() => String(route.params.check));
const check = computed(() => {
  const found = desk.course?.checks.find((each) => each.id === id.value);
  return found?.kind === 'scenario' ? found : undefined;
});
const lesson = computed(() => desk.lessons.find((each) => checksOn(each).includes(id.value)));
const at = ref<string | null>(null);
const choice = ref<string | null>(null);
const walking = reactive({ wanted: false, open: false });
const page = ref<HTMLElement | null>(null);
const best = computed(() => new Set(walk(check.value?.scenes ?? []).best?.choices));
/** What is wrong, by the scene or the choice it is about. */
const flaws = computed(() => {
  const map = new Map<string, Flaw[]>();
  for (const flaw of all.of(id.value)) if (flaw.at) map.set(flaw.at, [...(map.get(flaw.at) ?? []), flaw]);
  return map;
});
/** The ways that learners took, where there are some. */
const ways = shallowRef<Ways | null>(null);
watch(
  id,
  async (now) => {
    ways.value = null;
    if (!desk.mayEdit) return;
    const found = await api('GET /api/courses/:course/checks/:check/ways', {
      course: desk.course!.id,
      check: now,
    }).catch(() => null);
    if (now === id.value && found && found.learners > 0) ways.value = found;
  },
  { immediate: true },
);
const flawed = computed(() => new Set(flaws.value.keys()));
const edited = reactive({ check: computed(() => check.value ?? ({ id: id.value } as ScenarioCheck)) });
const { mayEdit, type } = useCheckEditing<ScenarioCheck>(edited);

const sectionOf = (scene: string) => page.value?.querySelector<HTMLElement>(`[data-scene="${scene}"]`);
/** Shows a scene's script; `go` puts the cursor into it, too. */
function show(scene: string | null) {
  at.value = scene;
  if (scene) void nextTick(() => sectionOf(scene)?.scrollIntoView({ block: 'nearest' }));
}
function go(scene: string) {
  show(scene);
  void nextTick(() => sectionOf(scene)?.querySelector<HTMLElement>('.title')?.focus());
}
function walkIt() {
  desk.flushTyping();
  walking.wanted = true;
  walking.open = true;
}
function take() {
  if (check.value) desk.change('scenario taken', placeWhereTaught(desk.course!, [check.value], freshId));
}
useActions([
  { id: 's-walk', label: 'Walk the scenario', key: 'Alt+Shift+L', area: 'Scenario', run: walkIt },
  {
    id: 's-take',
    label: 'Take the scenario into its lesson',
    key: 'Alt+Shift+T',
    area: 'Scenario',
    when: () => mayEdit.value && check.value !== undefined && lesson.value === undefined,
    run: take,
  },
]);
</script>

<template>
  <div v-if="check" ref="page" class="scenario">
    <header :data-node="check.id">
      <h1>
        <FieldInPlace
          :value="check.stem"
          :save="(words, was, group) => type('title', 'stem', words, was, group)"
          wraps
          required
          maxlength="300"
          :readonly="!mayEdit"
          aria-label="Title of the scenario"
        />
      </h1>
      <p class="small quiet">
        <NuxtLink v-if="lesson" class="link" :to="`/course/${desk.course!.id}/lessons/${lesson.id}`"
          >in “{{ lesson.title }}”</NuxtLink
        ><template v-else>in no lesson yet</template>, {{ storyFigures(check)
        }}<template v-if="ways"
          >; taken by {{ counted(ways.learners, ['learner', 'learners']) }}, {{ ways.ended }} to its end</template
        >
      </p>
      <div class="do">
        <UButton size="sm" color="neutral" variant="outline" @click="walkIt">Walk it</UButton>
        <UButton v-if="mayEdit && !lesson" size="sm" @click="take">Take</UButton>
      </div>
    </header>
    <ScenarioTrail :at="at" :check="check" :flawed="flawed" :chosen="ways?.chosen" @update:at="show" @go="go" />
    <div class="work">
      <div class="page">
        <FieldInPlace
          class="role"
          :value="check.role"
          :save="(words, was, group) => type('role', 'role', words, was, group)"
          lines
          maxlength="2000"
          :readonly="!mayEdit"
          placeholder="You are: who the learner is in it, and what they may decide"
          aria-label="Who the learner is"
        />
        <ScenarioScript
          v-model:at="at"
          v-model:choice="choice"
          :check="check"
          :flaws="flaws"
          :best="best"
          :ways="ways"
        />
        <FieldInPlace
          class="role"
          :value="check.debrief ?? ''"
          :save="
            (words, was, group) =>
              type('closing words', 'debrief', words.trim() || undefined, was.trim() || undefined, group)
          "
          lines
          maxlength="4000"
          :readonly="!mayEdit"
          placeholder="Closing words, said however it ended"
          aria-label="Closing words"
        />
      </div>
      <ScenarioSide :check="check" :flaws="flaws" :at="at" :choice="choice" @go="go" />
    </div>
    <LazyScenarioWalkDialog v-if="walking.wanted" v-model:open="walking.open" :check="check" />
  </div>
  <div v-else class="empty">
    <h2>No such scenario</h2>
    <p>It was deleted, or is no scenario. What was deleted lies in the bin.</p>
    <NuxtLink class="link" :to="`/course/${desk.course!.id}/checks`">All checks</NuxtLink>
  </div>
</template>

<style scoped>
.scenario {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
}
header {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  column-gap: 16px;
  padding: 12px 18px;
  border-bottom: 1px solid var(--hair);
}
header h1 {
  font-size: 20px;
  margin: 0;
}
header .do {
  grid-area: 1 / 2 / 3 / 3;
  display: flex;
  gap: 8px;
  align-items: center;
}
.work {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 280px;
}
.page {
  overflow-y: auto;
  padding: 14px 26px 40px 18px;
  background: var(--sheet);
  border-right: 1px solid var(--hair);
}
.role {
  background: var(--paper);
  padding: 8px 12px;
}
@media (max-width: 900px) {
  .scenario {
    overflow-y: auto;
  }
  .work {
    display: block;
  }
  .page {
    overflow: visible;
  }
}
</style>
