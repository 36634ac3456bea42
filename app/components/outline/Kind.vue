<script setup lang="ts">
import { LESSON_KINDS, type LessonKind } from '~~/core/course/course';
import { staying } from '~/composables/staying';
import { LESSON_KIND_WORDS } from '~/words/states';

/** What a lesson is for, as a sign; pressed, it can be said otherwise. */
const props = defineProps<{ kind?: LessonKind; quiz?: boolean; on: string; readonly?: boolean }>();
const emit = defineEmits<{ choose: [kind: LessonKind | undefined] }>();
/** Hundreds of rows have a sign, and one a menu: the one that was pressed. */
const choosing = ref(false);
const button = ref<HTMLElement | null>(null);
/** The menu goes with its button; the keys stay where they were. */
watch(choosing, async (now) => {
  await nextTick();
  if (!now) button.value?.focus();
});
/** A quiz is one, whatever else a lesson can be for. */
const QUIZ = { label: 'Quiz', says: 'asks, and counts', icon: 'i-lucide-list-checks' };
const said = computed(() => (props.quiz ? QUIZ : props.kind ? LESSON_KIND_WORDS[props.kind] : undefined));
const name = computed(() => (said.value ? `${said.value.label}: ${said.value.says}` : 'Kind of lesson: not said'));
const items = computed(() => [
  LESSON_KINDS.map((kind) => ({
    label: LESSON_KIND_WORDS[kind].label,
    icon: LESSON_KIND_WORDS[kind].icon,
    type: 'checkbox' as const,
    checked: kind === props.kind,
    onSelect: () => emit('choose', kind === props.kind ? undefined : kind),
  })),
]);
</script>

<template>
  <UDropdownMenu v-if="choosing" v-model:open="choosing" :items="items" :content="staying">
    <button type="button" class="kind" :aria-label="`${on}. ${name}`" :title="name" tabindex="-1" data-part="kind">
      <UIcon :name="said?.icon ?? 'i-lucide-circle-dashed'" />
    </button>
  </UDropdownMenu>
  <button
    v-else
    ref="button"
    type="button"
    class="kind"
    :class="{ open: !said }"
    :aria-label="`${on}. ${name}`"
    :title="name"
    tabindex="-1"
    data-part="kind"
    :disabled="readonly || quiz"
    @click="choosing = true"
  >
    <UIcon :name="said?.icon ?? 'i-lucide-circle-dashed'" />
  </button>
</template>

<style scoped>
.kind {
  flex: none;
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  margin-top: 1px;
  color: var(--ink-3);
  cursor: pointer;
}
.kind:disabled {
  cursor: default;
}
.kind:hover:enabled {
  color: var(--moss);
}
.kind.open {
  opacity: 0.6;
}
</style>
