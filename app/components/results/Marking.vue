<script setup lang="ts">
import { useSessionStorage } from '@vueuse/core';
import { sizeWords } from '~~/core/document/size';
import { mostOf } from '~~/core/checks/task/form';
import { api, addressOf, type AnswerOf } from '~/client';
import { useActions } from '~/actions/registry';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/** A hand-in beside what it is held against: levels chosen, words said, given as a mark. */
const props = defineProps<{ handIn: { learner: string; check: string } }>();
const emit = defineEmits<{ marked: []; next: [] }>();
const desk = useCourse();
type Whole = AnswerOf<'GET /api/courses/:course/learners/:learner/hand-ins/:check'>;
const whole = shallowRef<Whole>();
/** Until the one that is asked for has come, the one before stands there and takes nothing. */
const isHere = computed(
  () => whole.value?.learner.id === props.handIn.learner && whole.value.check === props.handIn.check,
);
/** Criterion whose words are shown in the text. */
const pointed = ref<string>();

/** Marks that are begun and not given yet, by hand-in: they outlast a look elsewhere. */
interface Begun {
  levels: Record<string, string>;
  notes: Record<string, string>;
  said: string;
  share?: number;
}
const begun = useSessionStorage<Record<string, Begun>>(`marks/${desk.course!.id}`, {});
const key = computed(() => `${whole.value?.learner.id}/${whole.value?.check}/${whole.value?.at ?? 0}`);
const mark = computed<Begun>(() => begun.value[key.value] ?? fresh.value);
const fresh = computed<Begun>(() => {
  const { levels = {}, notes = {}, said = '', state, score, suggestion, suggested } = whole.value ?? {};
  const isOwn = state === 'marked' && !suggested;
  return {
    levels: isOwn ? levels : { ...suggestion?.levels },
    notes: isOwn ? notes : { ...suggestion?.notes },
    said,
    ...(isOwn && { share: score }),
  };
});
const put = (part: Partial<Begun>) => (begun.value = { ...begun.value, [key.value]: { ...mark.value, ...part } });

watch(
  () => props.handIn,
  async ({ learner, check }) => {
    pointed.value = undefined;
    await desk.asking(async () => {
      const found = await api('GET /api/courses/:course/learners/:learner/hand-ins/:check', {
        course: desk.course!.id,
        learner,
        check,
      });
      if (props.handIn.learner === learner && props.handIn.check === check) whole.value = found;
    });
  },
  { immediate: true },
);
const words = (criterion: string) => whole.value?.suggestion?.words?.[criterion] ?? [];
const isSuggested = (criterion: string, level: string) => whole.value?.suggestion?.levels?.[criterion] === level;
const inDoubt = (criterion: string) => whole.value?.suggestion?.doubt?.includes(criterion) ?? false;
const points = computed(() =>
  (whole.value?.criteria ?? []).reduce(
    (sum, { id, levels }) => sum + (levels.find((level) => level.id === mark.value.levels[id])?.points ?? 0),
    0,
  ),
);
const most = computed(() => (whole.value?.criteria ?? []).reduce((sum, each) => sum + mostOf(each), 0));
const ready = computed(() =>
  whole.value?.criteria.length
    ? whole.value.criteria.every(({ id }) => mark.value.levels[id] !== undefined)
    : mark.value.share !== undefined,
);
/** The text in pieces, those that earned the pointed criterion marked. */
const pieces = computed(() => {
  const text = whole.value?.text ?? '';
  const marks = (pointed.value ? words(pointed.value) : [])
    .map((each) => ({ from: text.indexOf(each), to: text.indexOf(each) + each.length }))
    .filter(({ from }) => from >= 0)
    .sort((a, b) => a.from - b.from);
  let at = 0;
  return [
    ...marks.flatMap(({ from, to }) => {
      const before = { text: text.slice(at, from), marked: false };
      at = to;
      return [before, { text: text.slice(from, to), marked: true }];
    }),
    { text: text.slice(at), marked: false },
  ].filter((piece) => piece.text);
});
const fileAt = (hash: string) =>
  addressOf('GET /api/courses/:course/learners/:learner/files/:hash', {
    course: desk.course!.id,
    learner: whole.value!.learner.id,
    hash,
  });
const when = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

const giving = ref(false);
async function give() {
  if (!ready.value || !whole.value || !isHere.value || giving.value) return;
  giving.value = true;
  const { check, lesson, criteria, learner } = whole.value;
  const given = key.value;
  const { levels, notes, said, share } = mark.value;
  const kept = Object.fromEntries(Object.entries(notes).filter(([, note]) => note.trim()));
  const done = await desk.asking(async () => {
    await api('POST /api/courses/:course/learners/:learner/marks', {
      course: desk.course!.id,
      learner: learner.id,
      body: {
        check,
        lesson: lesson.id,
        score: share ?? 0,
        ...(criteria.length && { levels, notes: kept }),
        ...(said.trim() && { said: said.trim() }),
      },
    });
  });
  giving.value = false;
  if (!done) return;
  const rest = { ...begun.value };
  delete rest[given];
  begun.value = rest;
  emit('marked');
  emit('next');
}
useActions([
  {
    id: 'mark-give',
    label: 'Give this mark, and on to the next hand-in',
    key: 'Ctrl+Enter',
    area: 'Hand-ins',
    when: () => ready.value && isHere.value,
    run: () => void give(),
  },
]);
</script>

<template>
  <div v-if="whole" class="marking" :aria-busy="!isHere">
    <article class="sheet" aria-label="What was handed in">
      <p class="small quiet">
        {{ whole.learner.name || 'name taken out' }}, {{ when(whole.at)
        }}<template v-if="whole.tries > 1">, {{ whole.tries }} times handed in</template>, in
        <NuxtLink class="link" :to="`/course/${desk.course!.id}/lessons/${whole.lesson.id}`">{{
          whole.lesson.title
        }}</NuxtLink>
      </p>
      <h2>{{ whole.stem }}</h2>
      <details v-if="whole.setting" class="small">
        <summary>The situation</summary>
        <p>{{ whole.setting }}</p>
      </details>
      <p v-if="whole.gone" class="quiet">It was kept as long as it was to be, and is deleted. Its marks stay.</p>
      <p v-else-if="whole.text" class="text">
        <template v-for="(piece, at) in pieces" :key="at"
          ><mark v-if="piece.marked">{{ piece.text }}</mark
          ><template v-else>{{ piece.text }}</template></template
        >
      </p>
      <p v-else class="quiet">Nothing was written.</p>
      <ul v-if="whole.files.length" class="files">
        <li v-for="file in whole.files" :key="file.hash">
          <a class="link" :href="fileAt(file.hash)" download>{{ file.name }}</a>
          <span class="small quiet">{{ sizeWords(file.bytes) }}</span>
        </li>
      </ul>
      <p v-if="whole.files.length" class="small quiet">
        Files are saved, never opened here. Suggested marks do not read them.
      </p>
      <details v-if="whole.model" class="small">
        <summary>The model answer</summary>
        <p class="text">{{ whole.model }}</p>
      </details>
      <details v-for="each in whole.before" :key="each.at" class="small">
        <summary>Handed in before, {{ when(each.at) }}</summary>
        <p v-for="(said, at) in each.lines" :key="at" class="text">{{ said }}</p>
      </details>
    </article>
    <form class="marks" aria-label="Marks" @submit.prevent="give">
      <fieldset
        v-for="(criterion, at) in whole.criteria"
        :key="criterion.id"
        @pointerenter="pointed = criterion.id"
        @focusin="pointed = criterion.id"
      >
        <legend>{{ at + 1 }}. {{ criterion.text }}</legend>
        <label v-for="level in criterion.levels" :key="level.id" class="level">
          <input
            type="radio"
            :name="criterion.id"
            :checked="mark.levels[criterion.id] === level.id"
            @change="put({ levels: { ...mark.levels, [criterion.id]: level.id } })"
          />
          <span class="points">{{ level.points }}</span>
          <span>{{ level.text }}</span>
          <span v-if="isSuggested(criterion.id, level.id)" class="small quiet by">suggested</span>
        </label>
        <p v-if="inDoubt(criterion.id)" class="small decide">Not sure: read it yourself.</p>
        <UInput
          class="w-full"
          :model-value="mark.notes[criterion.id] ?? ''"
          size="sm"
          :maxlength="2000"
          placeholder="Say why"
          :aria-label="`What you say to: ${criterion.text}`"
          @update:model-value="put({ notes: { ...mark.notes, [criterion.id]: String($event) } })"
        />
      </fieldset>
      <fieldset v-if="whole.criteria.length === 0">
        <legend>Against the model answer</legend>
        <label
          v-for="[share, label] in [
            [1, 'Right'],
            [0.5, 'In part'],
            [0, 'Not right'],
          ] as const"
          :key="share"
          class="level"
          ><input type="radio" name="share" :checked="mark.share === share" @change="put({ share })" /><span
            class="points"
          /><span>{{ label }}</span></label
        >
      </fieldset>
      <UTextarea
        class="w-full"
        :model-value="mark.said"
        size="sm"
        autoresize
        :rows="2"
        :maxlength="2000"
        placeholder="What you say to it as a whole"
        aria-label="What you say to it as a whole"
        @update:model-value="put({ said: String($event) })"
      />
      <p class="give">
        <UButton type="submit" :disabled="!ready || !isHere || giving" title="Ctrl+Enter">{{
          whole.state === 'waiting' ? 'Give this mark' : whole.suggested ? 'Confirm this mark' : 'Mark again'
        }}</UButton>
        <span v-if="whole.criteria.length" class="small">{{ points }} of {{ counted(most, ['point', 'points']) }}</span>
        <span v-if="whole.state === 'marked'" class="small quiet">
          {{ whole.suggested ? 'The suggested mark holds now' : `Marked with ${Math.round(whole.score * 100)} %` }}
        </span>
      </p>
    </form>
  </div>
</template>

<style scoped>
.marking {
  flex: 1;
  min-width: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  min-height: 0;
}
.sheet {
  overflow-y: auto;
  padding: 16px 22px;
}
h2 {
  font-family: var(--font-read);
  font-size: 18px;
  font-weight: 600;
  margin: 6px 0 8px;
}
.text {
  font-family: var(--font-read);
  font-size: 16px;
  line-height: 1.6;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  max-width: 66ch;
  margin: 10px 0;
}
details.small .text {
  font-size: 14px;
}
mark {
  background: var(--moss-faint);
  color: inherit;
  box-shadow: inset 0 -2px 0 var(--moss);
}
.files {
  list-style: none;
  padding: 0;
}
.files span {
  margin-left: 8px;
}
summary {
  cursor: pointer;
  min-height: 24px;
}
.marks {
  overflow-y: auto;
  border-left: 1px solid var(--hair);
  background: var(--paper);
  padding: 14px 16px;
  display: grid;
  gap: 14px;
  align-content: start;
}
fieldset {
  border: 0;
  padding: 0;
  min-width: 0;
}
legend {
  font-weight: 600;
  padding: 0;
  margin-bottom: 3px;
}
.level {
  display: flex;
  gap: 8px;
  align-items: baseline;
  min-height: 26px;
  cursor: pointer;
  font-size: 14px;
}
.level input {
  accent-color: var(--moss);
}
.points {
  min-width: 14px;
  font-variant-numeric: tabular-nums;
  text-align: right;
  color: var(--ink-2);
}
.by {
  margin-left: auto;
}
.give {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  position: sticky;
  bottom: -14px;
  background: var(--paper);
  padding: 8px 0 10px;
}
@media (max-width: 1000px) {
  .marking {
    grid-template-columns: 1fr;
    overflow-y: auto;
  }
  .marks {
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
</style>
