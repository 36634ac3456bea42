<script setup lang="ts">
import type { Brief } from '~~/core/course/course';
import { directionOf } from '~~/core/course/course';
import { useCourse } from '~/stores/course';
import { useFigures } from '~/stores/figures';

/** What the course promises, to whom, how long: saved as typed. */
const desk = useCourse();
const figures = useFigures();
const LANGUAGES = [
  { value: 'en', label: 'English' },
  { value: 'de', label: 'German' },
  { value: 'fr', label: 'French' },
  { value: 'es', label: 'Spanish' },
];
const brief = computed(() => desk.course!.brief);

/**
 * Sets a part of the brief. `was`, in the form of the part, is what it was when typing began; without it, what it is.
 */
function set(field: string, change: Partial<Brief>, was: Partial<Brief> = {}, group?: string) {
  const plain = (value: Brief) => JSON.parse(JSON.stringify(value)) as Brief;
  return desk.type(
    `brief: ${field}`,
    [
      {
        type: 'set',
        id: desk.course!.id,
        field: 'brief',
        value: plain({ ...brief.value, ...change }),
        was: plain({ ...brief.value, ...was }),
      },
    ],
    group,
  );
}
const rename = (title: string, was: string, group: string) =>
  desk.type('title', [{ type: 'set', id: desk.course!.id, field: 'title', value: title, was }], group);
const lines = (text: string, cut: RegExp) =>
  text
    .split(cut)
    .map((part) => part.trim())
    .filter(Boolean);
const who = (words: string) => ({ audience: { ...brief.value.audience, who: words } });
const knows = (words: string) => ({ audience: { ...brief.value.audience, knows: lines(words, /,/) } });
const outcomes = (words: string) => ({ outcomes: lines(words, /\n/) });
function sized(key: 'minutes' | 'questionsPerLesson', value: string): Partial<Brief> | undefined {
  const number = Number(value);
  const next = { ...brief.value.size };
  if (value.trim() === '' || !Number.isFinite(number)) {
    if (key !== 'minutes' || value.trim() !== '') return undefined;
    delete next.minutes;
  } else
    next[key] =
      key === 'minutes' ? Math.min(100_000, Math.max(1, number)) : Math.min(50, Math.max(0, Math.round(number)));
  return { size: next };
}
function size(key: 'minutes' | 'questionsPerLesson', value: string, was: string, group: string) {
  const change = sized(key, value);
  return !change || set('size', change, sized(key, was) ?? {}, group);
}
function language(value: string) {
  const before = desk.course!;
  desk.change('language', [
    { type: 'set', id: before.id, field: 'language', value, was: before.language },
    {
      type: 'set',
      id: before.id,
      field: 'brief',
      value: JSON.parse(JSON.stringify({ ...brief.value, language: value })),
      was: brief.value,
    },
    ...(directionOf(value) !== before.direction
      ? [{ type: 'set' as const, id: before.id, field: 'direction', value: directionOf(value), was: before.direction }]
      : []),
  ]);
}

/** What these answers make for the learner, said at once. */
const said = computed(() => {
  const { audience, size: sizes, sourcesOnly } = brief.value;
  const asked = sizes.minutes;
  const now = figures.minutes;
  return [
    asked
      ? `About ${asked} minutes for ${audience.who || 'the learner'}${now ? `; the course has ${now} now` : ''}. That is filled first, and kept then: background goes before topics, and no topic that stays loses a rule. What is left out is named.`
      : 'No length is asked: everything that the sources teach is taught.',
    audience.knows.length > 0
      ? `${audience.knows.join(', ')}: recalled in a line, not taught.`
      : 'Everything is explained: nothing is said to be known.',
    `Up to ${sizes.questionsPerLesson} ${sizes.questionsPerLesson === 1 ? 'check' : 'checks'} in a lesson; fewer where the sources give fewer good ones.`,
    sourcesOnly
      ? 'Only sentences that stand in your sources.'
      : 'Short connecting text may be added, marked as ours; it never states a fact.',
  ];
});
</script>

<template>
  <div class="brief">
    <div class="head">
      <h1>Brief</h1>
      <span class="small quiet">saved as you type</span>
    </div>
    <div class="body">
      <form @submit.prevent>
        <fieldset :disabled="!desk.mayEdit">
          <label for="b-title">Title</label
          ><FieldInPlace id="b-title" :value="desk.course!.title" :save="rename" required boxed maxlength="400" />
          <label for="b-promise">What it promises</label
          ><FieldInPlace
            id="b-promise"
            :value="brief.promise"
            :save="(words, was, group) => set('promise', { promise: words }, { promise: was }, group)"
            lines
            boxed
            class="two"
            maxlength="4000"
            placeholder="What the learner can do at work afterwards"
          />
          <label for="b-who">For whom</label
          ><FieldInPlace
            id="b-who"
            :value="brief.audience.who"
            :save="(words, was, group) => set('audience', who(words), who(was), group)"
            boxed
            maxlength="1000"
            placeholder="New volunteers at the desk"
          />
          <label for="b-knows">What they know already</label>
          <div>
            <FieldInPlace
              id="b-knows"
              :value="brief.audience.knows.join(', ')"
              :save="(words, was, group) => set('what they know', knows(words), knows(was), group)"
              boxed
              placeholder="library card, till"
            />
            <p class="small quiet">Words or subjects, commas between.</p>
          </div>
          <label for="b-minutes">How long</label>
          <div class="row">
            <FieldInPlace
              id="b-minutes"
              inputmode="numeric"
              :value="String(brief.size.minutes ?? '')"
              :save="(words, was, group) => size('minutes', words, was, group)"
              boxed
              class="short"
            /><span>minutes</span
            ><FieldInPlace
              id="b-questions"
              inputmode="numeric"
              :value="String(brief.size.questionsPerLesson)"
              :save="(words, was, group) => size('questionsPerLesson', words, was, group)"
              boxed
              required
              class="short"
              aria-label="Checks in a lesson at most"
            /><span>checks in a lesson at most</span>
          </div>
          <label for="b-language">Language</label
          ><USelect
            id="b-language"
            :model-value="desk.course!.language"
            :items="LANGUAGES"
            class="w-48"
            aria-label="Language"
            @update:model-value="language(String($event))"
          />
          <span class="label">Text</span
          ><USwitch
            :model-value="brief.sourcesOnly"
            label="Only what stands in the sources"
            @update:model-value="set('text', { sourcesOnly: $event })"
          />
          <label for="b-outcomes">What would count as success</label>
          <div>
            <FieldInPlace
              id="b-outcomes"
              :value="brief.outcomes.join('\n')"
              :save="(words, was, group) => set('success', outcomes(words), outcomes(was), group)"
              lines
              boxed
              class="three"
              placeholder="Fewer tools come back damaged without a tag"
            />
            <p class="small quiet">One a line.</p>
          </div>
        </fieldset>
      </form>
      <aside>
        <h2>What this makes</h2>
        <p v-for="line in said" :key="line">{{ line }}</p>
        <NuxtLink class="link" :to="`/course/${desk.course!.id}/sources`">On to the sources</NuxtLink>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.brief {
  flex: 1;
  overflow-y: auto;
}
.body {
  display: flex;
  gap: 48px;
  padding: 22px 18px;
  flex-wrap: wrap;
}
form {
  flex: 1;
  min-width: 440px;
  max-width: 680px;
}
fieldset {
  display: grid;
  grid-template-columns: 170px 1fr;
  gap: 14px 16px;
  align-items: start;
  border: 0;
  padding: 0;
}
label,
.label {
  font-weight: 600;
  font-size: 14px;
  padding-top: 6px;
}
.row {
  display: flex;
  align-items: center;
  gap: 8px;
}
.short {
  width: 84px;
}
.two {
  min-height: 56px;
}
.three {
  min-height: 76px;
}
aside {
  width: 270px;
  border-left: 1px solid var(--hair);
  padding-left: 22px;
  font-size: 14px;
  color: var(--ink-2);
}
aside h2 {
  font-size: 16px;
  margin-bottom: 8px;
}
aside p {
  margin-bottom: 10px;
}
@media (max-width: 700px) {
  form {
    min-width: 0;
  }
  fieldset {
    grid-template-columns: 1fr;
  }
}
</style>
