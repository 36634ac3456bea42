<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { timeOf } from '../../../core/blocks/clip/cues';
import { isFilm, playedPart, type ClipBody } from '../../../core/blocks/clip/form';
import { say } from '../../../core/words';
import type { PartView } from '../part';

/** A sound or film with what is said in it: as captions on a film, and as words to read along and jump by. */
const props = defineProps<{ body: ClipBody; view: PartView }>();
const media = ref<HTMLMediaElement | null>(null);
const now = ref(-1);
const broken = ref(false);
const part = computed(() => playedPart(props.body));
const isPart = computed(() => part.value.from > 0 || part.value.to < props.body.clip!.seconds - 0.05);
const cues = computed(() => props.body.cues.filter((cue) => cue.to > part.value.from && cue.from < part.value.to));
const address = computed(() => {
  const { from, to } = part.value;
  return `${props.view.media(props.body.clip!)}${isPart.value ? `#t=${from},${to}` : ''}`;
});
const words = computed(() => props.view.words.media);

function heard() {
  const element = media.value!;
  const at = element.currentTime;
  now.value = cues.value.findLastIndex((cue) => at >= cue.from);
  // A browser that does not know of parts plays on; learners are given the part.
  if (isPart.value && at >= part.value.to && !element.paused) element.pause();
}
function begins() {
  const element = media.value!;
  const { from, to } = part.value;
  if (isPart.value && (element.currentTime < from - 0.3 || element.currentTime >= to - 0.05))
    element.currentTime = from;
}
function jump(seconds: number) {
  if (!media.value) return;
  media.value.currentTime = seconds;
  void media.value.play().catch(() => undefined);
}
let track: TextTrack | undefined;
onMounted(() => {
  // Captions are in the page: a track of its own would not load where a package is opened from a file.
  if (!media.value || cues.value.length === 0 || !isFilm(props.body)) return;
  track = media.value.addTextTrack('captions', words.value.said, props.view.language);
  for (const cue of cues.value) track.addCue(new VTTCue(cue.from, cue.to, cue.text));
  track.mode = 'hidden';
});
onBeforeUnmount(() => media.value?.pause());
</script>

<template>
  <p v-if="body.title" class="up-clip-title">{{ body.title }}</p>
  <video
    v-if="isFilm(body)"
    ref="media"
    controls
    playsinline
    preload="metadata"
    :src="address"
    :poster="body.poster && view.media(body.poster)"
    :width="body.clip!.width"
    :height="body.clip!.height"
    :aria-label="body.title || undefined"
    @timeupdate="heard"
    @play="begins"
    @error="broken = true"
  />
  <audio
    v-else
    ref="media"
    controls
    preload="metadata"
    :src="address"
    :aria-label="body.title || undefined"
    @timeupdate="heard"
    @play="begins"
    @error="broken = true"
  />
  <p v-if="broken" role="alert" class="up-links">
    {{ words.cannot }} <a :href="view.media(body.clip!)" download>{{ words.save }}</a>
  </p>
  <p v-if="isPart" class="up-clip-part">
    {{ say(words.part, { from: timeOf(part.from), to: timeOf(part.to) }) }}
  </p>
  <details v-if="cues.length > 0" class="up-said">
    <summary>{{ words.said }}</summary>
    <ol>
      <li v-for="(cue, at) in cues" :key="at" :aria-current="at === now || undefined">
        <button type="button" class="plain" :aria-label="timeOf(cue.from)" @click="jump(cue.from)">
          {{ timeOf(cue.from) }}
        </button>
        <span>{{ cue.text }}</span>
      </li>
    </ol>
  </details>
</template>
