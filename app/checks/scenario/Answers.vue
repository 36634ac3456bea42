<script setup lang="ts">
import type { ScenarioCheck } from '~~/core/checks/scenario/form';
import { useCourse } from '~/stores/course';
import { useFlaws } from '~/stores/flaws';
import { storyFigures } from './words';

/** A story in short where it stands among other questions; it is written in a room of its own. */
const props = defineProps<{ check: ScenarioCheck; readonly?: boolean }>();
const desk = useCourse();
const flaws = useFlaws();
const toMend = computed(() => flaws.of(props.check.id).filter(({ at }) => at !== undefined).length);
const first = computed(() => props.check.scenes[0]!);
</script>

<template>
  <div>
    <p v-if="check.role" class="small quiet">{{ check.role }}</p>
    <p v-if="first.text" class="scene">{{ first.text }}</p>
    <ol v-if="first.choices.length > 0">
      <li v-for="choice in first.choices" :key="choice.id">{{ choice.text }}</li>
    </ol>
    <p class="small">
      <!-- The page around it must not take the press for a choice of the whole check: it is left by it. -->
      <NuxtLink class="link" :to="`/course/${desk.course!.id}/checks/${check.id}`" @mousedown.stop
        >Open the scenario</NuxtLink
      >
      <span class="quiet">{{ storyFigures(check) }}</span><span v-if="toMend > 0" class="decide"
        >, {{ toMend }} to mend</span
      >
    </p>
  </div>
</template>

<style scoped>
.scene {
  font-family: var(--font-read);
  margin: 4px 0;
}
ol {
  margin: 4px 0 6px;
  padding-left: 26px;
}
li {
  margin: 2px 0;
}
.link {
  display: inline-flex;
  align-items: center;
  min-height: 24px;
  margin-right: 10px;
}
</style>
