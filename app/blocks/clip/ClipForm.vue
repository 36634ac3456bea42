<script setup lang="ts">
import { useFileDialog } from '@vueuse/core';
import { NodeViewWrapper, nodeViewProps } from '@tiptap/vue-3';
import { readCues, timeOf, writeCues, type Cue } from '~~/core/blocks/clip/cues';
import { isFilm, playedPart } from '~~/core/blocks/clip/form';
import { mediaAddress } from '~/composables/useMedia';
import { saveFile } from '~/composables/saving';
import { fileFacts } from '~/words/media';
import { counted } from '~/words/states';
import { bareName, clipRefOf, pictureRefOf, type GivenMedia } from '../media';

/** A sound or video where it stands on the page: what is played of it, and what is said in it. */
const props = defineProps(nodeViewProps);
const { course, body, set, type, replace } = useFieldedBody('clip', () => props.node);
const mayEdit = computed(() => course.mayEdit);
const choosing = ref<'clip' | 'poster'>();
const opened = computed({
  get: () => choosing.value !== undefined,
  set: (now) => void (now || (choosing.value = undefined)),
});
const media = ref<HTMLMediaElement | null>(null);
const showing = ref(false);
const trouble = ref('');
const film = computed(() => isFilm(body.value));
const part = computed(() => playedPart(body.value));
/** Words are wanted of what is heard, unless its author says that nothing is said. */
const wanted = computed(() => body.value.clip && body.value.cues.length === 0 && !body.value.wordless);

function take({ file, name }: GivenMedia) {
  if (choosing.value === 'poster') return set('still of a video', 'poster', pictureRefOf(file));
  const { title, caption } = body.value;
  replace('sound or video', { title: title || bareName(name), caption, clip: clipRefOf(file), cues: [] });
}
/** The place that the clip stands at now becomes an end of what is played. */
function cut(end: 'from' | 'to') {
  const now = Math.round((media.value?.currentTime ?? 0) * 10) / 10;
  trouble.value = '';
  if (end === 'from' ? now >= part.value.to : now <= part.value.from) {
    trouble.value = end === 'from' ? 'It would begin behind its end.' : 'It would end before it begins.';
    return;
  }
  set(end === 'from' ? 'where a clip begins' : 'where a clip ends', end, now);
}
function whole() {
  const { clip, title, caption, poster, cues, wordless } = body.value;
  replace('the whole clip', {
    title,
    caption,
    cues,
    ...(clip && { clip }),
    ...(poster && { poster }),
    ...(wordless && { wordless }),
  });
}
const { open: chooseCues, onChange } = useFileDialog({ accept: '.vtt,.srt', multiple: false, reset: true });
onChange(async (files) => {
  const given = files?.[0];
  if (!given) return;
  const cues = readCues(await given.text());
  course.flushTyping();
  trouble.value = cues.length > 0 ? '' : `${given.name} holds no captions of WebVTT or SubRip.`;
  if (cues.length > 0) set('captions', 'cues', cues);
});
const EACH = 4;
/** The captions with what was typed last. */
const cuesNow = (): Cue[] => {
  course.flushTyping();
  return body.value.cues;
};
const write = (at: number, words: string) =>
  body.value.cues.map((cue, place) => (place === at ? { ...cue, text: words } : cue));
const saveCue = (at: number) => (words: string, was: string, group: string) =>
  type('captions', 'cues', write(at, words), write(at, was), group);
function time(at: number, end: 'from' | 'to', seconds: number | undefined) {
  if (seconds === undefined) return;
  const next = cuesNow().map((cue, place) => (place === at ? { ...cue, [end]: seconds } : cue));
  if (next[at]!.to > next[at]!.from)
    set(
      'time of a caption',
      'cues',
      next.sort((a, b) => a.from - b.from),
    );
}
/** One more, where the clip stands now. */
function addCue() {
  const from = Math.round((media.value?.currentTime ?? cuesNow().at(-1)?.to ?? 0) * 10) / 10;
  const next = [...cuesNow(), { from, to: from + EACH, text: '…' }].sort((a, b) => a.from - b.from);
  set('captions', 'cues', next);
}
const dropCue = (at: number) =>
  set(
    'captions',
    'cues',
    cuesNow().filter((_, place) => place !== at),
  );
const saveCues = () =>
  saveFile(`${body.value.title || 'captions'}.vtt`, new Blob([writeCues(cuesNow())], { type: 'text/vtt' }));
const goTo = (seconds: number) => media.value && (media.value.currentTime = seconds);
</script>

<template>
  <NodeViewWrapper as="section" class="fielded" contenteditable="false">
    <p class="small quiet what" data-drag-handle>
      {{ body.clip ? (film ? 'Video' : 'Sound') : 'Sound or video'
      }}<template v-if="body.clip">, {{ fileFacts(body.clip) }}</template>
    </p>
    <FieldInPlace
      :value="body.title"
      :save="(words, was, group) => type('title of a clip', 'title', words, was, group)"
      class="title"
      :readonly="!mayEdit"
      maxlength="300"
      placeholder="What it is called"
      aria-label="What the clip is called"
    />
    <template v-if="body.clip">
      <video
        v-if="film"
        ref="media"
        controls
        preload="metadata"
        :src="mediaAddress(course.course!.id, body.clip)"
        :poster="body.poster && mediaAddress(course.course!.id, body.poster)"
      />
      <audio v-else ref="media" controls preload="metadata" :src="mediaAddress(course.course!.id, body.clip)" />
      <div v-if="mayEdit" class="line small">
        <span>Played: {{ timeOf(part.from) }} to {{ timeOf(part.to) }}</span>
        <button type="button" class="link" @click="cut('from')">begin here</button>
        <button type="button" class="link" @click="cut('to')">end here</button>
        <button v-if="body.from !== undefined || body.to !== undefined" type="button" class="link" @click="whole">
          play all of it
        </button>
        <button v-if="film" type="button" class="link" @click="choosing = 'poster'">
          {{ body.poster ? 'another still' : 'still before it starts' }}
        </button>
        <button type="button" class="link" @click="choosing = 'clip'">another file</button>
      </div>
    </template>
    <p v-else-if="mayEdit">
      <UButton size="sm" color="neutral" variant="outline" @click="choosing = 'clip'">Choose a sound or video</UButton>
    </p>
    <FieldInPlace
      :value="body.caption"
      :save="(words, was, group) => type('caption', 'caption', words, was, group)"
      class="small"
      :readonly="!mayEdit"
      maxlength="1000"
      placeholder="Caption"
      aria-label="Caption"
    />
    <div v-if="body.clip" class="line small">
      <span :class="{ decide: wanted }"
        >What is said:
        {{ body.cues.length ? counted(body.cues.length, ['caption', 'captions']) : 'not written yet' }}</span
      >
      <template v-if="mayEdit && !body.wordless">
        <button type="button" class="link" :aria-expanded="showing" @click="showing = !showing">
          {{ showing ? 'shut' : body.cues.length ? 'edit' : 'write' }}
        </button>
        <button type="button" class="link" @click="chooseCues()">from a file</button>
        <button v-if="body.cues.length" type="button" class="link" @click="saveCues">save as WebVTT</button>
      </template>
      <UCheckbox
        v-if="body.cues.length === 0"
        :model-value="body.wordless === true"
        :disabled="!mayEdit"
        label="nothing is said in it"
        size="sm"
        @update:model-value="set('nothing is said', 'wordless', $event ? true : undefined)"
      />
    </div>
    <p v-if="trouble" class="small decide" role="alert">{{ trouble }}</p>
    <div v-if="showing && mayEdit" class="cues small">
      <div v-for="(cue, at) in body.cues" :key="at" class="cue">
        <MediaTime :value="cue.from" label="From" @take="time(at, 'from', $event)" />
        <MediaTime :value="cue.to" label="To" @take="time(at, 'to', $event)" />
        <FieldInPlace
          :value="cue.text"
          :save="saveCue(at)"
          lines
          required
          maxlength="1000"
          :aria-label="`What is said at ${timeOf(cue.from)}`"
        />
        <button type="button" class="link" :aria-label="`Hear it from ${timeOf(cue.from)}`" @click="goTo(cue.from)">
          go
        </button>
        <button
          type="button"
          class="link"
          :aria-label="`Delete the caption at ${timeOf(cue.from)}`"
          @click="dropCue(at)"
        >
          delete
        </button>
      </div>
      <button type="button" class="link" @click="addCue">+ caption where it stands now</button>
    </div>
    <LazyMediaChooseDialog
      v-if="choosing"
      v-model:open="opened"
      :sorts="choosing === 'poster' ? ['picture'] : ['sound', 'film']"
      @take="take"
    />
  </NodeViewWrapper>
</template>

<style scoped>
.title {
  font-weight: 700;
}
video {
  display: block;
  max-width: 100%;
  max-height: 300px;
  background: #000;
  border-radius: 3px;
}
audio {
  display: block;
  width: 100%;
}
.cues {
  display: grid;
  gap: 3px;
  max-height: 260px;
  overflow-y: auto;
}
.cue {
  display: grid;
  grid-template-columns: auto auto 1fr auto auto;
  gap: 8px;
  align-items: start;
}
.cues button {
  min-height: 24px;
}
</style>
