<script setup lang="ts">
import { useActions } from '~/actions/registry';
import { mayOpen, STEPS, type Step, type StepPart } from '~/steps';
import { useCourse } from '~/stores/course';

/** The steps of the work, with what is in each. */
const go = useGo();
const props = defineProps<{ sources: number }>();
const desk = useCourse();
const root = computed(() => `/course/${desk.course?.id}`);
const steps = computed(() => STEPS.filter((step) => mayOpen(step, desk.role)));
const count = (place: StepPart) =>
  (desk.course && place.count?.({ course: desk.course, sources: props.sources })) || '';
const route = useRoute();
const at = (path: string) => route.path.startsWith(`${root.value}/${path}`);
const open = (step: Step) => [step, ...(step.parts ?? [])].some(({ path }) => at(path));
const to = (place: { path: string; label: string; key: string }, step: Step) => ({
  id: `step-${place.path}`,
  label: `To ${place.label.toLowerCase()}`,
  key: place.key,
  area: 'Steps',
  when: () => mayOpen(step, desk.role),
  run: () => go(`${root.value}/${place.path}`),
});
useActions(
  STEPS.flatMap((step) => [
    to(step, step),
    ...(step.parts ?? []).flatMap((part) => (part.key ? [to({ ...part, key: part.key }, step)] : [])),
  ]),
);
</script>

<template>
  <nav class="steps" aria-label="Steps of the work">
    <template v-for="step in steps" :key="step.path"
      ><NuxtLink
        :to="`${root}/${step.path}`"
        :class="{ here: at(step.path), apart: step.apart }"
        :aria-current="at(step.path) ? 'page' : undefined"
        ><span>{{ step.label }}</span
        ><span class="count">{{ count(step) }}</span></NuxtLink
      >
      <template v-if="step.parts && open(step)"
        ><NuxtLink
          v-for="part in step.parts"
          :key="part.path"
          :to="`${root}/${part.path}`"
          class="part"
          :class="{ within: at(part.path) }"
          :aria-current="at(part.path) ? 'page' : undefined"
          ><span>{{ part.label }}</span
          ><span class="count">{{ count(part) }}</span></NuxtLink
        ></template
      >
    </template>
  </nav>
</template>

<style scoped>
.steps {
  width: 132px;
  flex: none;
  padding: 12px 0;
  background: var(--paper);
  border-right: 1px solid var(--hair);
}
a {
  display: flex;
  justify-content: space-between;
  padding: 5px 16px 5px 15px;
  border-left: 3px solid transparent;
  color: var(--ink-2);
}
a:hover {
  background: var(--shade);
}
a.here {
  background: var(--shade);
  border-left-color: var(--moss);
  color: var(--ink);
  font-weight: 700;
}
a.part {
  gap: 6px;
  padding: 3px 11px 3px 22px;
  font-size: 13.5px;
  line-height: 20px;
  white-space: nowrap;
}
a.part.within {
  color: var(--ink);
  font-weight: 700;
}
a.apart {
  margin-top: 14px;
}
.count {
  font-size: 13px;
}
@media (max-width: 820px) {
  .steps {
    width: 100%;
    display: flex;
    overflow-x: auto;
    padding: 0;
    border-right: 0;
    border-bottom: 1px solid var(--hair);
  }
  a.apart {
    margin-top: 0;
  }
  a {
    gap: 6px;
  }
}
</style>
