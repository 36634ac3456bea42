<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { inPicture, lettersOf, type AreaCheck, type Box } from '~~/core/checks/area/form';
import { freshId } from '~/composables/useApi';
import { useCheckEditing } from '../editing';

/** The areas over their picture: moved and sized by hand at any place of them, or by arrows. */
const props = defineProps<{ check: AreaCheck; readonly?: boolean }>();
const { mayEdit, now, change, typeIn } = useCheckEditing<AreaCheck>(props);
const letters = computed(() => lettersOf(props.check.options));
const root = ref<HTMLElement | null>(null);
/** An area while it is held: what it was, where it was taken, and where it is now. */
const held = ref<{ id: string; was: Box; from: { x: number; y: number }; sizes: boolean; box: Box } | null>(null);
const boxOf = (id: string, box: Box) => (held.value?.id === id ? held.value.box : box);
const drawn = ({ x, y, width, height }: Box) => ({
  left: `${x}%`,
  top: `${y}%`,
  width: `${width}%`,
  height: `${height}%`,
});

/** A place on the screen in hundredths of the picture. */
function placed({ clientX, clientY }: PointerEvent) {
  const { left, top, width, height } = root.value!.getBoundingClientRect();
  return { x: ((clientX - left) / width) * 100, y: ((clientY - top) / height) * 100 };
}
function hold(event: PointerEvent, id: string, box: Box, sizes: boolean) {
  if (!mayEdit.value || event.button !== 0) return;
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  held.value = { id, was: box, from: placed(event), sizes, box };
}
useEventListener(root, 'pointermove', (event) => {
  const { value } = held;
  if (!value) return;
  const at = placed(event);
  const by = { x: at.x - value.from.x, y: at.y - value.from.y };
  value.box = changed(value.was, by.x, by.y, value.sizes);
});
useEventListener(root, ['pointerup', 'pointercancel'], (event) => {
  const { value } = held;
  held.value = null;
  if (!value || event.type === 'pointercancel') return;
  change('options', value.id, value.sizes ? 'area sized' : 'area moved', (area) => ({ ...area, box: value.box }));
});

/** A box moved or sized by hundredths of the picture; it stays within it. */
function changed(box: Box, x: number, y: number, sizes: boolean): Box {
  if (!sizes) return inPicture({ ...box, x: box.x + x, y: box.y + y });
  const width = Math.min(box.width + x, 100 - box.x);
  const height = Math.min(box.height + y, 100 - box.y);
  return inPicture({ ...box, width, height });
}
const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
/** What is moved by keys in one go is one gesture. */
let going = { id: '', group: '' };
function key(event: KeyboardEvent, id: string) {
  const step = STEPS[event.key];
  const area = now().options.find((each) => each.id === id);
  if (!step || !area || !mayEdit.value || event.altKey || event.ctrlKey || event.metaKey) return;
  event.preventDefault();
  if (going.id !== id) going = { id, group: freshId('g') };
  const was = area.box;
  const box = changed(was, step[0], step[1], event.shiftKey);
  typeIn(
    'options',
    id,
    'area moved',
    going.group,
    (each) => ({ ...each, box }),
    (each) => ({ ...each, box: was }),
  );
}
</script>

<template>
  <div ref="root" class="areas">
    <button
      v-for="area in check.options"
      :key="area.id"
      type="button"
      class="area"
      :class="{ right: check.keys.includes(area.id) }"
      :style="drawn(boxOf(area.id, area.box))"
      :disabled="!mayEdit"
      :aria-label="`Area ${letters.get(area.id)}: ${area.text}. Arrows move it, with Shift they size it.`"
      @pointerdown.prevent="hold($event, area.id, area.box, false)"
      @keydown="key($event, area.id)"
      @blur="going = { id: '', group: '' }"
    >
      <span class="letter">{{ letters.get(area.id) }}</span><span
        v-if="mayEdit"
        class="corner"
        @pointerdown.stop.prevent="hold($event, area.id, area.box, true)"
      />
    </button>
  </div>
</template>

<style scoped>
.areas {
  position: absolute;
  inset: 0;
  touch-action: none;
}
.area {
  position: absolute;
  min-width: 24px;
  min-height: 24px;
  padding: 0;
  display: flex;
  align-items: flex-start;
  background: transparent;
  border: 2px solid var(--ink);
  outline: 1px solid var(--sheet);
  border-radius: 3px;
  cursor: move;
}
.area:disabled {
  cursor: default;
}
.area.right {
  border-color: var(--moss);
}
.letter {
  padding: 0 5px;
  background: var(--ink);
  color: var(--sheet);
  font-weight: 700;
  font-size: 13px;
  line-height: 18px;
}
.right .letter {
  background: var(--moss);
  color: var(--on-moss);
}
.area:focus-visible {
  outline: 3px solid var(--moss);
  outline-offset: 2px;
}
.corner {
  position: absolute;
  right: -2px;
  bottom: -2px;
  width: 16px;
  height: 16px;
  background: linear-gradient(135deg, transparent 50%, var(--ink) 50%);
  cursor: nwse-resize;
}
</style>
