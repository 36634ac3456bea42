<script setup lang="ts">
import { useEventListener, useObjectUrl } from '@vueuse/core';
import { timeOf } from '~~/core/blocks/clip/cues';
import type { GivenMedia } from '~/blocks/media';
import { troubleOf } from '~/composables/useApi';
import { shelvedFile, useGiving } from '~/composables/useMedia';
import {
  canCompose,
  finished,
  RECORDED,
  sortOfRecorded,
  useRecorder,
  type LeftRecording,
  type Recorded,
} from '~/composables/useRecorder';
import { dayWords } from '~/words/sources';

/** Records a voice, a speaker, the screen, or both; what is kept lies on the shelf. */
const emit = defineEmits<{ take: [given: GivenMedia] }>();
const open = defineModel<boolean>('open', { required: true });
const { coming, give } = useGiving();
const {
  state,
  trouble,
  seconds,
  live,
  result,
  prepare,
  start,
  pause,
  goOn,
  stop,
  leave,
  reset,
  left,
  takeLeft,
  forget,
} = useRecorder();
const WORDS: Record<Recorded, [label: string, what: string]> = {
  voice: ['Voice', 'microphone'],
  camera: ['Speaker', 'camera and microphone'],
  screen: ['Screen', 'screen and microphone'],
  both: ['Screen and speaker', 'screen, camera in its corner, microphone'],
};
const what = ref<Recorded>('voice');
const name = ref('');
const saving = ref(false);
const before = ref<LeftRecording[]>([]);
const kinds = computed(() => RECORDED.filter((each) => each !== 'both' || canCompose()));
const isFilm = computed(() =>
  result.value ? result.value.type.startsWith('video/') : sortOfRecorded(what.value) === 'film',
);
const played = useObjectUrl(result);
const look = ref<HTMLVideoElement | null>(null);
watch([live, look], () => {
  if (look.value && look.value.srcObject !== (live.value ?? null)) look.value.srcObject = live.value ?? null;
});
watch(open, async (now) => (now ? (before.value = await left()) : leave()), { immediate: true });
const going = computed(() => state.value === 'recording' || state.value === 'paused');
useEventListener(window, 'beforeunload', (event) => {
  if (going.value || state.value === 'done') event.preventDefault();
});

const choose = (next: Recorded) => {
  what.value = next;
  return prepare(next);
};
async function keep() {
  if (!result.value) return;
  saving.value = true;
  trouble.value = '';
  try {
    const called = name.value.trim() || `${WORDS[what.value][0]} ${dayWords(Date.now())}`;
    const added = await give(await finished(result.value, called));
    if (added) {
      reset();
      emit('take', { file: shelvedFile(added), name: added.name });
      name.value = '';
      open.value = false;
    }
  } catch (error) {
    // It stays here, to be kept or saved once more.
    trouble.value = troubleOf(error).message;
  }
  saving.value = false;
}
async function throwLeft({ key }: LeftRecording) {
  await forget(key);
  before.value = await left();
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Record"
    description="Your browser asks before it gives anything. Nothing is sent before you keep it."
    :dismissible="!going && state !== 'done'"
    :ui="{ content: 'max-w-2xl' }"
  >
    <template #body>
      <div class="record">
        <p v-if="trouble" class="decide" role="alert">{{ trouble }}</p>
        <template v-if="state === 'idle' || state === 'asking'">
          <div v-for="each in before" :key="each.key" class="left">
            <span>A recording of {{ dayWords(each.at) }} was not kept: its page or this window was shut.</span>
            <button type="button" class="link" @click="takeLeft(each)">look at it</button>
            <button type="button" class="link" @click="throwLeft(each)">throw away</button>
          </div>
          <ul class="kinds">
            <li v-for="each in kinds" :key="each">
              <button type="button" :disabled="state === 'asking'" @click="choose(each)">
                <strong>{{ WORDS[each][0] }}</strong>
                <span class="small quiet">{{ WORDS[each][1] }}</span>
              </button>
            </li>
          </ul>
          <p v-if="state === 'asking'" class="quiet" role="status">Your browser asks whether this page may.</p>
        </template>
        <template v-else-if="state !== 'done'">
          <video v-if="isFilm" ref="look" muted autoplay playsinline />
          <p v-else class="voice"><UIcon name="i-lucide-mic" class="mic" :class="{ on: state === 'recording' }" /></p>
          <p class="state" role="status">
            <span v-if="state === 'ready'">Ready. Nothing is recorded yet.</span>
            <template v-else
              ><span class="dot" :class="{ still: state === 'paused' }" />{{
                state === 'paused' ? 'Paused at' : 'Recording'
              }}
              {{ timeOf(seconds) }}</template
            >
          </p>
          <div class="acts">
            <UButton v-if="state === 'ready'" @click="start(what)">Record</UButton>
            <template v-else>
              <UButton @click="stop">Stop</UButton>
              <UButton v-if="state === 'recording'" color="neutral" variant="outline" @click="pause">Pause</UButton>
              <UButton v-else color="neutral" variant="outline" @click="goOn">Go on</UButton>
            </template>
            <button type="button" class="link" @click="reset">
              {{ state === 'ready' ? 'something else' : 'throw away' }}
            </button>
          </div>
        </template>
        <template v-else>
          <video v-if="isFilm" controls playsinline :src="played" />
          <audio v-else controls :src="played" />
          <label class="field"
            ><span class="small">What it is called</span
            ><UInput v-model="name" maxlength="160" :placeholder="WORDS[what][0]" aria-label="What it is called"
          /></label>
          <MediaComing :coming="coming" />
          <div class="acts">
            <UButton :disabled="saving" @click="keep">Keep it</UButton>
            <button type="button" class="link" :disabled="saving" @click="reset">throw away, record again</button>
          </div>
          <p class="small quiet">Beginning and end are cut where it stands on a page; captions are written there.</p>
        </template>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.record {
  display: grid;
  gap: 10px;
  min-height: 220px;
  align-content: start;
}
.kinds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 10px;
  list-style: none;
  padding: 0;
  margin: 0;
}
.kinds button {
  display: grid;
  gap: 3px;
  width: 100%;
  height: 100%;
  padding: 14px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: var(--sheet);
  text-align: start;
}
.kinds button:hover {
  background: var(--moss-faint);
}
.left,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
video {
  width: 100%;
  max-height: 330px;
  background: #000;
  border-radius: 3px;
}
audio {
  width: 100%;
}
.voice {
  display: grid;
  place-content: center;
  height: 120px;
  margin: 0;
  background: var(--paper);
}
.mic {
  width: 42px;
  height: 42px;
  color: var(--ink-3);
}
.mic.on {
  color: var(--rust);
}
.state {
  margin: 0;
  font-variant-numeric: tabular-nums;
}
.dot {
  display: inline-block;
  width: 11px;
  height: 11px;
  margin-inline-end: 7px;
  border-radius: 50%;
  background: var(--rust);
}
.dot.still {
  background: var(--ink-3);
}
.field {
  display: grid;
  gap: 2px;
}
button.link {
  min-height: 24px;
}
</style>
