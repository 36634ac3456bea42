<script setup lang="ts">
import type Cropper from 'cropperjs';
import {
  blurred,
  covered,
  cropped,
  fileOf,
  narrowed,
  pictureOf,
  turned,
  written,
  type Box,
  type Step,
} from '~/media/pictureWork';
import { bareName, type GivenMedia } from '~/blocks/media';
import { troubleOf } from '~/composables/useApi';
import { mediaAddress, shelvedFile, useGiving } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';
import type { OnShelf } from '~~/core/course/media';

/** Work on a picture, step by step, each taken back by one press; what comes of it is a picture of its own. */
const props = defineProps<{ item: OnShelf }>();
const emit = defineEmits<{ take: [given: GivenMedia, everywhere: boolean] }>();
const open = defineModel<boolean>('open', { required: true });
const desk = useCourse();
const { coming, give } = useGiving();
const place = ref<HTMLElement | null>(null);
/** The picture after each step; the first is as it was. */
const states = shallowRef<HTMLCanvasElement[]>([]);
const now = computed(() => states.value.at(-1));
const trouble = ref('');
const saving = ref(false);
const words = ref('');
const wide = ref<number>();
/** What is chosen of the picture, in hundredths of its sides. */
const share = reactive<Box>({ x: 20, y: 20, width: 60, height: 60 });
let cropper: Cropper | undefined;
const ROOM = { width: 760, height: 400 };
const INK = '#26332e';
const PAPER = '#fffdf7';

watch(
  open,
  async (is) => {
    if (!is) return;
    trouble.value = '';
    try {
      states.value = [await pictureOf(mediaAddress(desk.course!.id, props.item.file))];
    } catch {
      trouble.value = 'The picture does not come. Shut this and open it again.';
    }
  },
  { immediate: true },
);
const scale = computed(() =>
  now.value ? Math.min(1, ROOM.width / now.value.width, ROOM.height / now.value.height) : 1,
);
const selection = () => cropper?.getCropperSelection();
/** Shows the picture as it is now, with what was chosen of it. */
async function show() {
  if (!now.value || !place.value) return;
  const { default: Made } = await import('cropperjs');
  const [width, height] = [now.value.width * scale.value, now.value.height * scale.value];
  cropper?.destroy();
  place.value.replaceChildren();
  const image = new Image();
  image.src = now.value.toDataURL();
  await image.decode().catch(() => undefined);
  const handles = ['n', 'e', 's', 'w', 'ne', 'nw', 'se', 'sw'].map(
    (side) => `<cropper-handle action="${side}-resize"></cropper-handle>`,
  );
  cropper = new Made(image, {
    container: place.value,
    template: `<cropper-canvas style="width:${width}px;height:${height}px"><cropper-image initial-center-size="contain"></cropper-image><cropper-shade hidden></cropper-shade><cropper-selection movable resizable keyboard outlined><cropper-handle action="move" theme-color="rgba(255,255,255,0.08)"></cropper-handle>${handles.join('')}</cropper-selection></cropper-canvas>`,
  });
  place.value.append(...(place.value.querySelector('cropper-canvas') ? [] : [image]));
  mark();
  selection()?.addEventListener('change', (event) => {
    const { x, y, width: w, height: h } = (event as CustomEvent<Box>).detail;
    const part = (value: number, whole: number) => Math.round((value / whole) * 100);
    Object.assign(share, { x: part(x, width), y: part(y, height), width: part(w, width), height: part(h, height) });
  });
}
/** Puts what was typed as numbers onto the picture. */
function mark() {
  if (!now.value) return;
  const [width, height] = [now.value.width * scale.value, now.value.height * scale.value];
  const { x, y, width: w, height: h } = share;
  selection()?.$change((x * width) / 100, (y * height) / 100, (w * width) / 100, (h * height) / 100);
}
watch([now, place], () => void show());
onBeforeUnmount(() => cropper?.destroy());

const box = (): Box => {
  const { width = 1, height = 1 } = now.value ?? {};
  const within = (value: number) => Math.min(100, Math.max(0, value));
  const [x, y] = [within(share.x), within(share.y)];
  return {
    x: (x * width) / 100,
    y: (y * height) / 100,
    width: (Math.max(1, Math.min(share.width, 100 - x)) * width) / 100,
    height: (Math.max(1, Math.min(share.height, 100 - y)) * height) / 100,
  };
};
const step = (work: Step) => now.value && (states.value = [...states.value, work(now.value)]);
const back = () => states.value.length > 1 && (states.value = states.value.slice(0, -1));
async function keep(everywhere: boolean) {
  if (!now.value) return;
  saving.value = true;
  trouble.value = '';
  try {
    const picture = wide.value ? narrowed(wide.value)(now.value) : now.value;
    const file = await fileOf(picture, `${bareName(props.item.name) || 'picture'} changed`, props.item.file.type);
    const added = file && (await give(file));
    if (added) {
      const { alt } = props.item;
      emit('take', { file: shelvedFile(added), name: added.name, ...(alt !== undefined && { alt }) }, everywhere);
      open.value = false;
    }
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
  saving.value = false;
}
const SIDES = [
  ['x', 'From the left'],
  ['y', 'From the top'],
  ['width', 'Wide'],
  ['height', 'High'],
] as const;
</script>

<template>
  <UModal
    v-model:open="open"
    title="Work on the picture"
    description="Choose a part of it, then what becomes of that part. The picture as it was stays on the shelf."
    :ui="{ content: 'max-w-4xl' }"
  >
    <template #body>
      <div class="work">
        <p v-if="trouble" class="decide" role="alert">{{ trouble }}</p>
        <div ref="place" class="place" />
        <fieldset class="line small">
          <legend class="sr-only">The part, in hundredths of the picture</legend>
          <label v-for="[side, label] in SIDES" :key="side"
            >{{ label }}
            <input
              v-model.number="share[side]"
              type="number"
              min="0"
              max="100"
              :aria-label="`${label}, in hundredths`"
              @change="mark"
            />
            %</label
          >
        </fieldset>
        <div class="line">
          <UButton size="sm" color="neutral" variant="outline" @click="step(cropped(box()))">Keep this part</UButton>
          <UButton size="sm" color="neutral" variant="outline" @click="step(blurred(box()))"
            >Make it unreadable</UButton
          >
          <UButton size="sm" color="neutral" variant="outline" @click="step(covered(box(), INK, false))"
            >Cover it</UButton
          >
          <UButton size="sm" color="neutral" variant="outline" @click="step(covered(box(), PAPER, true))"
            >Pale it</UButton
          >
          <UButton size="sm" color="neutral" variant="outline" @click="step(turned(false))">Turn left</UButton>
          <UButton size="sm" color="neutral" variant="outline" @click="step(turned(true))">Turn right</UButton>
          <button type="button" class="link small" :disabled="states.length < 2" @click="back">one step back</button>
        </div>
        <div class="line small">
          <UInput
            v-model="words"
            size="sm"
            class="w-64"
            placeholder="Words for this part"
            aria-label="Words for this part"
          />
          <UButton
            size="sm"
            color="neutral"
            variant="outline"
            :disabled="!words.trim()"
            @click="step(written(box(), words, INK, PAPER))"
            >Write them</UButton
          >
          <label
            >At most
            <input
              v-model.number="wide"
              type="number"
              min="16"
              max="10000"
              placeholder="any"
              aria-label="Pixels wide at most"
            />
            pixels wide</label
          >
        </div>
        <MediaComing :coming="coming" />
        <div class="line">
          <UButton :disabled="saving || !now" @click="keep(false)">Keep as a new picture</UButton>
          <UButton
            v-if="item.uses.length"
            :disabled="saving || !now"
            color="neutral"
            variant="outline"
            @click="keep(true)"
            >Keep, and show it everywhere</UButton
          >
          <span v-if="now" class="small quiet">{{ now.width }} × {{ now.height }}</span>
        </div>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.work {
  display: grid;
  gap: 10px;
}
.place {
  display: grid;
  place-content: center;
  min-height: 200px;
  background: var(--paper);
  overflow: hidden;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  margin: 0;
  padding: 0;
  border: 0;
}
input[type='number'] {
  width: 4.6em;
  min-height: 28px;
  padding: 1px 6px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: var(--sheet);
}
button.link {
  min-height: 24px;
}
button.link:disabled {
  color: var(--ink-3);
  text-decoration: none;
}
</style>
