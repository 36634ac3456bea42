<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { CheckViews, HandedFile, HandedIn } from '../../../core/checks/markings';
import { mostOf, wordsIn, WORDS_MOST } from '../../../core/checks/task/form';
import { endingsOf, HANDED_BYTES } from '../../../core/document/handed';
import { sizeWords } from '../../../core/document/size';
import { say } from '../../../core/words';
import type { CheckPartProps } from '../part';

/** Something to be done and handed in: what is asked, what it is held against, and how it was marked. */
const props = defineProps<CheckPartProps<CheckViews['task'], HandedIn>>();
/** What was being written here, if it is that. */
function draftRead(kept: unknown): HandedIn | undefined {
  const { text, files } = (kept ?? {}) as Partial<HandedIn>;
  return typeof text === 'string' && Array.isArray(files) ? { text, files } : undefined;
}
const emit = defineEmits<{ take: [response: HandedIn] }>();
const response = defineModel<HandedIn>();
const words = computed(() => props.view.words.task);

const kept = draftRead(props.view.drafts?.load(props.check.id));
const text = ref(kept?.text ?? response.value?.text ?? '');
const files = ref<HandedFile[]>(kept?.files ?? response.value?.files ?? []);
/** Files on their way, and those that did not arrive. */
const onTheWay = ref<{ id: number; file: File; share: number; why?: string; stop: () => void }[]>([]);
let sent = 0;

/** Where nobody can have files, what was done is told in words. */
const mayFile = computed(() => props.check.handIn.files !== undefined && props.view.files !== undefined);
const noFiles = computed(() => props.check.handIn.files !== undefined && props.view.files === undefined);
const range = computed(() => props.check.handIn.words ?? (noFiles.value ? { most: WORDS_MOST } : undefined));
const told = computed(() =>
  [
    words.value.by[props.check.lastWord],
    ...(props.check.keepDays ? [say(words.value.keeps, { days: props.check.keepDays })] : []),
  ].join(' '),
);
const pointsOf = (points: number) =>
  points === 1 ? props.view.words.asks.onePoint : say(words.value.points, { points });
const count = computed(() => wordsIn(text.value));
const rangeWords = computed(() => {
  const { least, most } = range.value ?? { most: 0 };
  return [least ? say(words.value.least, { least }) : '', say(words.value.most, { most })].filter(Boolean).join(', ');
});
const few = computed(() => Math.max(0, (range.value?.least ?? 0) - count.value));
const many = computed(() => Math.max(0, count.value - (range.value?.most ?? 0)));
const ready = computed(
  () =>
    few.value === 0 && many.value === 0 && onTheWay.value.length === 0 && (count.value > 0 || files.value.length > 0),
);

// What is being written is kept at every key, until it is handed in.
watch([text, files], () => {
  if (props.open) props.view.drafts?.save(props.check.id, { text: text.value, files: files.value });
});
watch(
  () => props.open,
  (open, was) => {
    // Handed in: the draft is done with. Tried again: one goes on from what was handed in.
    if (!open) props.view.drafts?.save(props.check.id, undefined);
    else if (!was) [text.value, files.value] = [response.value?.text ?? '', response.value?.files ?? []];
  },
);

function add(event: Event) {
  const field = event.target as HTMLInputElement;
  const most = props.check.handIn.files!.most;
  for (const file of [...(field.files ?? [])].slice(0, most - files.value.length - onTheWay.value.length)) send(file);
  field.value = '';
}
function send(file: File) {
  const id = ++sent;
  const sending = props.view.files!.send(props.check.id, file, (share) => change(id, { share }));
  onTheWay.value = [...onTheWay.value, { id, file, share: 0, stop: sending.stop }];
  sending.done.then(
    (taken) => {
      drop(id);
      if (!files.value.some(({ hash }) => hash === taken.hash)) files.value = [...files.value, taken];
    },
    (error: unknown) => change(id, { why: error instanceof Error && error.message ? error.message : words.value.lost }),
  );
}
const change = (id: number, what: { share?: number; why?: string }) =>
  (onTheWay.value = onTheWay.value.map((each) => (each.id === id ? { ...each, ...what } : each)));
function drop(id: number) {
  onTheWay.value.find((each) => each.id === id)?.stop();
  onTheWay.value = onTheWay.value.filter((each) => each.id !== id);
}
function again(id: number) {
  const one = onTheWay.value.find((each) => each.id === id)!;
  drop(id);
  send(one.file);
}
/** What is handed in stays here, should it not be taken. */
function handIn() {
  // The model says what it was given only when the page around has it.
  const given = { text: text.value.trim(), files: files.value };
  response.value = given;
  emit('take', given);
}
const handed = computed(() => (props.open ? undefined : response.value));
const judged = computed(() => props.feedback?.criteria ?? []);
</script>

<template>
  <div class="up-task">
    <p v-if="check.setting" class="setting">{{ check.setting }}</p>
    <details v-if="check.criteria && judged.length === 0" class="held" :open="open">
      <summary>{{ words.criteria }}</summary>
      <ul>
        <li v-for="criterion in check.criteria" :key="criterion.id">
          {{ criterion.text }}
          <span class="quiet">{{ pointsOf(mostOf(criterion)) }}</span>
        </li>
      </ul>
    </details>
    <template v-if="open">
      <p class="quiet">{{ told }}</p>
      <p v-if="noFiles" class="quiet">{{ words.noFiles }}</p>
      <div v-if="range" class="up-typed">
        <label :for="`${check.id}-typed`">{{ words.write }}: {{ rangeWords }}</label>
        <textarea :id="`${check.id}-typed`" v-model="text" rows="9" :aria-describedby="`${check.id}-count`" />
        <p :id="`${check.id}-count`" class="count quiet" :class="{ over: many > 0 }">
          {{ say(words.words, { count })
          }}<template v-if="many > 0">. {{ say(words.tooMany, { count: many }) }}</template
          ><template v-else-if="few > 0 && count > 0">. {{ say(words.tooFew, { count: few }) }}</template>
        </p>
      </div>
      <div v-if="mayFile" class="files">
        <p>
          {{ words.files }}.
          <span class="quiet">{{
            say(words.kinds, {
              most: check.handIn.files!.most,
              megabytes: HANDED_BYTES / 1024 ** 2,
              kinds: endingsOf(check.handIn.files!.kinds).join(', '),
            })
          }}</span>
        </p>
        <ul v-if="files.length || onTheWay.length">
          <li v-for="file in files" :key="file.hash">
            <a :href="view.files!.address(file.hash)" download>{{ file.name }}</a>
            <span class="quiet">{{ sizeWords(file.bytes) }}</span>
            <button
              type="button"
              :aria-label="say(words.drop, { name: file.name })"
              @click="files = files.filter(({ hash }) => hash !== file.hash)"
            >
              ×
            </button>
          </li>
          <li v-for="each in onTheWay" :key="each.id" role="status">
            <template v-if="each.why">
              <span class="over">{{ say(words.failed, { name: each.file.name, why: each.why }) }}</span>
              <button type="button" @click="again(each.id)">{{ words.again }}</button>
            </template>
            <template v-else>
              {{ say(words.sending, { name: each.file.name, share: Math.round(each.share * 100) }) }}
              <progress :value="each.share" max="1" :aria-label="each.file.name" />
            </template>
            <button type="button" :aria-label="say(words.drop, { name: each.file.name })" @click="drop(each.id)">
              ×
            </button>
          </li>
        </ul>
        <label v-if="files.length + onTheWay.length < check.handIn.files!.most" class="button choose"
          >{{ words.take
          }}<input
            type="file"
            multiple
            :accept="
              endingsOf(check.handIn.files!.kinds)
                .map((ending) => `.${ending}`)
                .join(',')
            "
            @change="add"
        /></label>
      </div>
      <p>
        <button type="button" class="first" :disabled="!ready" @click="handIn">
          {{ words.handIn }}
        </button>
        <span v-if="view.drafts" class="quiet"> {{ words.draft }}</span>
      </p>
    </template>
    <template v-else-if="handed">
      <p v-if="handed.gone" class="quiet">{{ words.gone }}</p>
      <details v-else class="yours" :open="judged.length === 0">
        <summary>{{ words.yours }}</summary>
        <p v-if="handed.text" class="text">{{ handed.text }}</p>
        <ul v-if="handed.files.length">
          <li v-for="file in handed.files" :key="file.hash">
            <a v-if="view.files" :href="view.files.address(file.hash)" download>{{ file.name }}</a><template v-else>{{
              file.name
            }}</template>
          </li>
        </ul>
      </details>
      <template v-if="judged.length">
        <p v-if="feedback?.suggested" class="quiet">{{ words.suggested }}</p>
        <dl class="judged">
          <div v-for="(each, at) in judged" :key="at" :class="{ all: each.points === each.of }">
            <dt>
              {{ each.text }}
              <span class="mark" :class="{ no: each.points < each.of }">{{
                say(words.score, { points: each.points, of: each.of })
              }}</span>
            </dt>
            <dd>
              <p v-if="each.level">{{ each.level }}</p>
              <p v-if="each.words?.length" class="quiet">
                {{ words.earned }} <q v-for="one in each.words" :key="one">{{ one }}</q>
              </p>
              <p v-if="each.note">{{ each.note }}</p>
            </dd>
          </div>
        </dl>
      </template>
      <details v-if="solution?.text" class="model">
        <summary>{{ view.words.asks.goodAnswer }}</summary>
        <p class="text">{{ solution.text }}</p>
      </details>
    </template>
  </div>
</template>
