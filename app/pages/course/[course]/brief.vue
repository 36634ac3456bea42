<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { api, type AnswerOf } from '~/client';
import type { SaidCounts } from '~~/core/course/left-out';
import { kindWords } from '~~/core/course/left-out-words';
import { BRIEF_STARTS, startedFrom, type BriefStart } from '~~/core/brief/starts';
import { briefVerdicts, type Verdict } from '~~/core/brief/verdict';
import { directionOf } from '~~/core/course/course';
import { useActions } from '~/actions/registry';
import { staying } from '~/composables/staying';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/** What the course promises, to whom, how long: saved as typed. */
const desk = useCourse();
const LANGUAGES = [
  { value: 'en', label: 'English' },
  { value: 'de', label: 'German' },
  { value: 'fr', label: 'French' },
  { value: 'es', label: 'Spanish' },
];
const { brief, set } = useBrief();
const rename = (title: string, was: string, group: string) =>
  desk.type('title', [{ type: 'set', id: desk.course!.id, field: 'title', value: title, was }], group);
const lines = (text: string, cut: RegExp) =>
  text
    .split(cut)
    .map((part) => part.trim())
    .filter(Boolean);
const who = (words: string) => ({ audience: { ...brief.value.audience, who: words } });
const knows = (words: string) => ({ audience: { ...brief.value.audience, knows: lines(words, /,/) } });
/** Optional parts of the audience, in the order they are asked for. */
const AUDIENCE = [
  { key: 'notFor', label: 'Not for', placeholder: 'Who might think it is for them, and is not meant' },
  { key: 'level', label: 'How far they are', placeholder: 'New to it, or done it for years' },
  { key: 'setting', label: 'Where they work', placeholder: 'On the shop floor, with a phone and no desk' },
  { key: 'wants', label: 'What they want', placeholder: 'To get through the morning without asking' },
  { key: 'wrong', label: 'What goes wrong today', placeholder: 'The mistakes that cost most' },
] as const;
/** An optional part of the audience; empty words take it away. */
function also(key: (typeof AUDIENCE)[number]['key'], words: string) {
  const next = { ...brief.value.audience };
  if (words.trim()) next[key] = words;
  else delete next[key];
  return { audience: next };
}
const outcomes = (words: string) => ({ outcomes: lines(words, /\n/) });
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

type Offers = AnswerOf<'GET /api/courses/:course/offers'>;
/** What the sources offer; asked for again when what it depends on was saved. */
const offers = shallowRef<Offers>();
async function load() {
  // The course may have been left since it was saved.
  if (!desk.course) return;
  offers.value = desk.mayEdit
    ? await api('GET /api/courses/:course/offers', { course: desk.course.id }).catch(() => offers.value)
    : undefined;
}
watchDebounced(() => desk.savedAt, load, { debounce: 900 });
onMounted(load);
const verdicts = computed(() => briefVerdicts(brief.value, offers.value));
const of = (field: Verdict['field']) => verdicts.value.filter((verdict) => verdict.field === field);
/** Outcomes that the sources offer and the brief does not have. */
const offered = computed(() =>
  (offers.value?.outcomes ?? []).filter(({ text }) => !brief.value.outcomes.includes(text)),
);
const take = (text: string) => set('success', { outcomes: [...brief.value.outcomes, text] });
/** "15 limits, 9 rules and more" */
function heaviest(kinds: SaidCounts): string {
  const most = (Object.entries(kinds) as [keyof SaidCounts, number][]).sort((a, b) => b[1] - a[1]);
  return `${kindWords(Object.fromEntries(most.slice(0, 2)))}${most.length > 2 ? ' and more' : ''}`;
}
/** Starting points by use: they fill the sizes, which stay as they are then typed. */
const starts = computed(() => [
  (Object.keys(BRIEF_STARTS) as BriefStart[]).map((start) => ({
    label: BRIEF_STARTS[start].label,
    onSelect: () => void set('size', { size: startedFrom(brief.value.size, start) }),
  })),
]);
/** Opens the brief as a page, with all that was typed. */
async function asPage() {
  await desk.settleAll();
  window.open(`/api/courses/${desk.course!.id}/brief`, '_blank', 'noopener');
}
useActions([
  { id: 'b-page', label: 'The brief as one page', key: 'Alt+Shift+P', area: 'Brief', run: () => void asPage() },
]);
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
</script>

<template>
  <div class="brief">
    <div class="head">
      <h1>Brief</h1>
      <span class="small quiet">saved as you type</span>
      <a
        class="link small end"
        :href="`/api/courses/${desk.course!.id}/brief`"
        target="_blank"
        title="To print, to send, to agree on (Alt Shift P)"
        @click.prevent="asPage"
        >As one page</a
      >
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
          <BriefSays :verdicts="of('promise')" />
          <label for="b-who">For whom</label
          ><FieldInPlace
            id="b-who"
            :value="brief.audience.who"
            :save="(words, was, group) => set('audience', who(words), who(was), group)"
            boxed
            maxlength="1000"
            placeholder="People in their first month"
          />
          <BriefSays :verdicts="of('who')">
            <span v-if="!brief.audience.who && offers?.actors.length" class="actors">
              <button
                v-for="actor in offers.actors"
                :key="actor.label"
                type="button"
                class="chip"
                @click="set('audience', who(capital(actor.label)))"
              >
                {{ capital(actor.label) }} <span class="quiet">{{ counted(actor.rules, ['rule', 'rules']) }}</span>
              </button>
            </span>
          </BriefSays>
          <template v-for="part in AUDIENCE" :key="part.key">
            <label :for="`b-${part.key}`">{{ part.label }}</label><FieldInPlace
              :id="`b-${part.key}`"
              :value="brief.audience[part.key] ?? ''"
              :save="(words, was, group) => set('audience', also(part.key, words), also(part.key, was), group)"
              lines
              boxed
              maxlength="1000"
              :placeholder="part.placeholder"
            />
          </template>
          <label for="b-knows">What they know already</label>
          <div>
            <FieldInPlace
              id="b-knows"
              :value="brief.audience.knows.join(', ')"
              :save="(words, was, group) => set('what they know', knows(words), knows(was), group)"
              boxed
              placeholder="the ticket system, first aid"
            />
            <p class="small quiet">Words or subjects, commas between.</p>
          </div>
          <label for="b-minutes">How long</label>
          <div class="row">
            <BriefCount id="b-minutes" of="minutes" /><span>minutes</span
            ><UDropdownMenu v-if="desk.mayEdit" :items="starts" :content="staying"
              ><button type="button" class="link small">Start from a use</button></UDropdownMenu
            >
          </div>
          <BriefSays :verdicts="of('minutes')" />
          <label for="b-questions">Checks</label>
          <div class="row">
            <BriefCount id="b-questions" of="questionsPerLesson" required /><span
              >in a lesson at most, one for every</span
            ><BriefCount id="b-every" of="checkEvery" aria-label="Minutes of reading for one check" /><span
              >minutes</span
            >
          </div>
          <label for="b-modules">Fixed counts</label>
          <div class="row">
            <BriefCount id="b-modules" of="modules" /><span>modules of</span
            ><BriefCount id="b-lessons" of="lessonsPerModule" aria-label="Lessons in a module at most" /><span
              >lessons at most, of about</span
            ><BriefCount id="b-words" of="wordsPerLesson" aria-label="Words in a lesson" /><span>words</span>
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
              placeholder="Fewer complaints in the first week"
            />
            <p class="small quiet">One a line.</p>
          </div>
          <BriefSays :verdicts="of('outcomes')" />
          <template v-if="offered.length && desk.mayEdit">
            <span class="label">From your sources</span>
            <ul class="offers">
              <li v-for="offer in offered" :key="offer.text">
                <button type="button" class="add" :aria-label="`Add “${offer.text}”`" @click="take(offer.text)">
                  +
                </button>
                <details>
                  <summary>
                    {{ offer.text }} <span class="small quiet">{{ heaviest(offer.kinds) }}</span>
                  </summary>
                  <blockquote v-for="passage in offer.first" :key="passage.id">{{ passage.text }}</blockquote>
                  <p class="small quiet">It would be taught in “{{ offer.lesson }}”.</p>
                </details>
              </li>
            </ul>
          </template>
          <BriefAbout />
        </fieldset>
      </form>
      <BriefMakes :makes="offers?.makes"
        ><NuxtLink class="link" :to="`/course/${desk.course!.id}/sources`">On to the sources</NuxtLink
        ><NuxtLink v-if="offers?.full" class="link on" :to="`/course/${desk.course!.id}/outline`"
          >On to the outline</NuxtLink
        ></BriefMakes
      >
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
  /* What the brief says below a field comes and goes: at the end of the page nothing must slide from under a click. */
  padding-bottom: 40vh;
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
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.row span {
  white-space: nowrap;
}
.actors {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 4px;
}
.chip {
  border: 1px solid var(--hair);
  border-radius: 12px;
  padding: 1px 10px;
  cursor: pointer;
  color: var(--ink);
  background: var(--sheet);
}
.chip:hover {
  border-color: var(--moss);
}
.offers li {
  display: flex;
  gap: 8px;
  align-items: start;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
.add {
  flex: none;
  width: 24px;
  height: 24px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  cursor: pointer;
  font-weight: 700;
}
.add:hover {
  border-color: var(--moss);
  color: var(--moss);
}
.offers summary {
  cursor: pointer;
}
.offers blockquote {
  border-left: 3px solid var(--sky);
  padding: 2px 0 2px 12px;
  margin: 6px 0;
  font-family: var(--font-read);
}
.on {
  margin-left: 14px;
}
.two {
  min-height: 56px;
}
.three {
  min-height: 76px;
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
