<script setup lang="ts">
import { useDebounceFn, useElementSize, useEventListener } from '@vueuse/core';
import type { Lesson } from '~~/core/course/course';
import { USUAL_RULES } from '~~/core/learning/rules';
import { freezeCourse } from '~~/core/learning/view';
import { mediaFolder } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';
import { useFigures } from '~/stores/figures';

/** The draft as a learner would see it, in the player itself, at the size of a phone, a tablet or a desk. */
const props = defineProps<{ lesson: Lesson }>();
const emit = defineEmits<{ close: [] }>();
const desk = useCourse();
const figures = useFigures();
const { hosts } = useEmbeds();
const color = useColorMode();
const SIZES = [
  { id: 'phone', label: 'Phone', width: 390, pane: 404 },
  { id: 'tablet', label: 'Tablet', width: 768, pane: 520 },
  { id: 'desk', label: 'Desk', width: 1280, pane: 620 },
] as const;
const size = ref<(typeof SIZES)[number]>(SIZES[0]);
const frame = ref<HTMLIFrameElement | null>(null);
const box = ref<HTMLElement | null>(null);
const { width, height } = useElementSize(box);
const scale = computed(() => Math.min(1, width.value / size.value.width || 1));

function give() {
  if (!desk.course || !frame.value?.contentWindow) return;
  const { view, keys } = freezeCourse(
    desk.course,
    desk.course.id,
    Object.fromEntries([...figures.all].map(([id, { grade }]) => [id, grade])),
    hosts.value,
  );
  frame.value.contentWindow.postMessage(
    {
      preview: {
        course: view,
        keys,
        rules: USUAL_RULES,
        lesson: props.lesson.id,
        media: mediaFolder(desk.course.id),
        dark: color.value === 'dark',
      },
    },
    window.location.origin,
  );
}
const later = useDebounceFn(give, 500);
useEventListener(window, 'message', (event: MessageEvent<{ ready?: boolean }>) => {
  if (event.source === frame.value?.contentWindow && event.data?.ready) give();
});
watch(
  () => desk.course,
  () => void later(),
);
watch(() => [props.lesson.id, color.value, hosts.value], give);
</script>

<template>
  <aside class="preview" :style="{ width: `${size.pane}px` }" aria-label="As a learner sees it">
    <div class="sizes">
      <h2>As a learner sees it</h2>
      <span role="group" aria-label="Size"
        ><button
          v-for="each in SIZES"
          :key="each.id"
          type="button"
          class="link"
          :aria-pressed="size.id === each.id"
          @click="size = each"
        >
          {{ each.label }}
        </button></span
      ><button type="button" class="link" @click="emit('close')">Close</button>
    </div>
    <p v-if="lesson.blocks.length === 0" class="small quiet blank">A blank lesson is left out of what learners get.</p>
    <div ref="box" class="box">
      <iframe
        ref="frame"
        src="/preview"
        title="The lesson as a learner sees it"
        :style="{ width: `${size.width}px`, height: `${height / scale}px`, transform: `scale(${scale})` }"
      />
    </div>
  </aside>
</template>

<style scoped>
.preview {
  flex: none;
  display: flex;
  flex-direction: column;
  border-left: 1px solid var(--hair);
  background: var(--shade);
  min-height: 0;
}
.sizes {
  display: flex;
  align-items: baseline;
  gap: 14px;
  padding: 9px 12px;
  border-bottom: 1px solid var(--hair);
  font-size: 13.5px;
  background: var(--paper);
}
.sizes h2 {
  font-size: 14px;
}
.sizes span {
  display: flex;
  gap: 10px;
  margin-left: auto;
}
.sizes [aria-pressed='true'] {
  color: var(--ink);
  font-weight: 700;
  text-decoration: none;
}
.blank {
  padding: 8px 12px;
}
.box {
  flex: 1;
  overflow: hidden;
  margin: 6px;
  min-height: 400px;
}
iframe {
  border: 0;
  background: var(--sheet);
  transform-origin: 0 0;
  display: block;
}
@media (max-width: 1000px) {
  .preview {
    width: 100% !important;
    border-left: 0;
  }
}
</style>
