<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import type { CheckViews, StoryStep } from '../../../core/checks/markings';
import { say } from '../../../core/words';
import type { CheckPartProps } from '../part';
import Picture from '../Picture.vue';

/** A story, scene by scene: what is chosen is told its consequence, and the story goes on from there. */
const props = defineProps<CheckPartProps<CheckViews['scenario'], string[]>>();
const emit = defineEmits<{ take: [response: string[]] }>();
const root = ref<HTMLElement | null>(null);
const words = computed(() => props.view.words.story);
const story = computed(() => props.feedback?.story);
const steps = computed(() => story.value?.steps ?? []);
const way = computed(() => steps.value.flatMap(({ chosen }) => chosen || []));
/** So many steps were read to their end; who comes back is where they were. */
const passed = ref(steps.value.length);
const over = computed(() => story.value !== undefined && story.value.next === undefined);
/** The step whose consequence is being read. */
const told = computed(() => steps.value[passed.value] as StoryStep | undefined);
/** The scene that is to be decided in. */
const scene = computed(() => story.value?.next ?? (over.value ? undefined : props.check.first));
/** What was gone before what is read now. */
const before = computed(() => steps.value.slice(0, passed.value));
const textOf = ({ scene: at, chosen }: StoryStep) => at.choices.find(({ id }) => id === chosen)?.text ?? '';

watch(steps, async (now, was) => {
  // A story begun anew, or taken a step further, here or elsewhere.
  const goesOn = now.length > was.length && was.every(({ chosen }, at) => chosen === now[at].chosen);
  passed.value = goesOn ? was.length : now.length;
  if (!root.value?.contains(document.activeElement) && document.activeElement !== document.body) return;
  await nextTick();
  root.value?.querySelector<HTMLElement>('.follows, .scene')?.focus();
});
async function goOn() {
  passed.value++;
  // An end is nothing to decide in: it is read with what led to it.
  if (told.value && !told.value.chosen) passed.value++;
  await nextTick();
  root.value?.querySelector<HTMLElement>('.scene, .back')?.focus();
}
</script>

<template>
  <div ref="root" class="up-story">
    <p v-if="check.role" class="role">{{ check.role }}</p>
    <details v-if="!over && before.length > 0" class="before">
      <summary>{{ words.before }}</summary>
      <ol>
        <li v-for="(step, at) in before" :key="at">
          {{ step.scene.text }} <strong>{{ textOf(step) }}</strong> {{ step.follows }}
        </li>
      </ol>
    </details>
    <template v-if="told">
      <Picture :picture="told.scene.picture" :view="view" />
      <p class="scene" tabindex="-1">{{ told.scene.text }}</p>
      <p v-if="told.chosen" class="up-option off chosen">
        <span>{{ textOf(told) }}</span><span class="mark">{{ words.chosen }}</span>
      </p>
      <p v-if="told.follows" class="up-said follows" tabindex="-1">{{ told.follows }}</p>
      <p>
        <button type="button" class="first" @click="goOn">{{ over ? words.toBack : words.on }}</button>
      </p>
    </template>
    <template v-else-if="scene">
      <Picture :picture="scene.picture" :view="view" />
      <p class="scene" tabindex="-1">{{ scene.text }}</p>
      <button
        v-for="choice in scene.choices"
        :key="choice.id"
        type="button"
        class="up-option"
        :disabled="!open"
        @click="emit('take', [...way, choice.id])"
      >
        {{ choice.text }}
      </button>
    </template>
    <div v-else class="back" tabindex="-1">
      <ol>
        <li v-for="(step, at) in steps" :key="at">
          <span>{{ step.scene.text }}</span>
          <template v-if="step.chosen">
            <strong>{{ textOf(step) }}</strong>
            <span v-if="step.worth" class="mark" :class="{ no: step.worth !== 'best' }">{{ words[step.worth] }}</span>
            <span>{{ step.follows }}</span>
          </template>
        </li>
      </ol>
      <p v-if="story?.debrief">{{ story.debrief }}</p>
      <p class="how">{{ say(words.points, { points: story?.points ?? 0, of: story?.of ?? 0 }) }}</p>
    </div>
  </div>
</template>
