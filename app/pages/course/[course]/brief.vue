<script setup lang="ts">
import type { Brief } from '~~/core/course/course';
import { directionOf } from '~~/core/course/course';
import { useCourse } from '~/stores/course';
import { useFigures } from '~/stores/figures';

/** What the course promises, to whom, how long: saved as typed. */
const desk = useCourse();
const figures = useFigures();
const LANGUAGES = [{ value: 'en', label: 'English' }, { value: 'de', label: 'German' }, { value: 'fr', label: 'French' }, { value: 'es', label: 'Spanish' }];
const brief = computed(() => desk.course!.brief);
const groupFor = useBurst();

function set(field: string, change: Partial<Brief>) {
  desk.change(`brief: ${field}`, [{ type: 'set', id: desk.course!.id, field: 'brief', value: JSON.parse(JSON.stringify({ ...brief.value, ...change })), was: brief.value }], groupFor(field));
}
function rename(title: string) {
  if (title.trim()) desk.change('title', [{ type: 'set', id: desk.course!.id, field: 'title', value: title, was: desk.course!.title }], groupFor('title'));
}
function size(key: 'minutes' | 'questionsPerLesson', value: unknown) {
  const number = Number(value);
  const next = { ...brief.value.size };
  if (value === '' || !Number.isFinite(number)) {
    if (key === 'minutes') delete next.minutes;
    else return;
  } else next[key] = key === 'minutes' ? Math.min(100_000, Math.max(1, number)) : Math.min(50, Math.max(0, Math.round(number)));
  set('size', { size: next });
}
function language(value: string) {
  const before = desk.course!;
  desk.change('language', [
    { type: 'set', id: before.id, field: 'language', value, was: before.language },
    { type: 'set', id: before.id, field: 'brief', value: JSON.parse(JSON.stringify({ ...brief.value, language: value })), was: brief.value },
    ...(directionOf(value) !== before.direction ? [{ type: 'set' as const, id: before.id, field: 'direction', value: directionOf(value), was: before.direction }] : []),
  ]);
}
const lines = (text: string, cut: RegExp) => text.split(cut).map((part) => part.trim()).filter(Boolean);
const knows = ref(brief.value.audience.knows.join(', '));
const outcomes = ref(brief.value.outcomes.join('\n'));
watch(() => desk.outside, () => {
  knows.value = brief.value.audience.knows.join(', ');
  outcomes.value = brief.value.outcomes.join('\n');
});

/** What these answers make for the learner, said at once. */
const said = computed(() => {
  const { audience, size: sizes, sourcesOnly } = brief.value;
  const asked = sizes.minutes;
  const now = figures.minutes;
  return [
    asked ? `About ${asked} minutes for ${audience.who || 'the learner'}${now ? `; the course has ${now} now` : ''}. The outline keeps what weighs most and names what it leaves out.` : 'No length is asked: every source is taught at about three fifths of its words.',
    audience.knows.length > 0 ? `${audience.knows.join(', ')}: recalled in a line, not taught.` : 'Everything is explained: nothing is said to be known.',
    `Up to ${sizes.questionsPerLesson} ${sizes.questionsPerLesson === 1 ? 'check' : 'checks'} in a lesson; fewer where the sources give fewer good ones.`,
    sourcesOnly ? 'Only sentences that stand in your sources.' : 'Short connecting text may be added, marked as ours; it never states a fact.',
  ];
});
</script>

<template>
  <div class="brief">
    <div class="head"><h1>Brief</h1><span class="small quiet">saved as you type</span></div>
    <div class="body">
      <form @submit.prevent>
        <fieldset :disabled="!desk.mayEdit">
          <label for="b-title">Title</label><UInput id="b-title" :model-value="desk.course!.title" maxlength="400" @update:model-value="rename(String($event))" />
          <label for="b-promise">What it promises</label><UTextarea id="b-promise" :model-value="brief.promise" :rows="2" autoresize maxlength="4000" placeholder="What the learner can do at work afterwards" @update:model-value="set('promise', { promise: String($event) })" />
          <label for="b-who">For whom</label><UInput id="b-who" :model-value="brief.audience.who" maxlength="1000" placeholder="New volunteers at the desk" @update:model-value="set('audience', { audience: { ...brief.audience, who: String($event) } })" />
          <label for="b-knows">What they know already</label>
          <div><UInput id="b-knows" v-model="knows" class="w-full" placeholder="library card, till" @update:model-value="set('what they know', { audience: { ...brief.audience, knows: lines(String($event), /,/) } })" /><p class="small quiet">Words or subjects, commas between.</p></div>
          <label for="b-minutes">How long</label>
          <div class="row"><UInput id="b-minutes" type="number" :min="1" :model-value="brief.size.minutes" class="w-24" @update:model-value="size('minutes', $event)" /><span>minutes</span><UInput id="b-questions" type="number" :min="0" :max="50" :model-value="brief.size.questionsPerLesson" class="w-20" aria-label="Checks in a lesson at most" @update:model-value="size('questionsPerLesson', $event)" /><span>checks in a lesson at most</span></div>
          <label for="b-language">Language</label><USelect id="b-language" :model-value="desk.course!.language" :items="LANGUAGES" class="w-48" aria-label="Language" @update:model-value="language(String($event))" />
          <span class="label">Text</span><USwitch :model-value="brief.sourcesOnly" label="Only what stands in the sources" @update:model-value="set('text', { sourcesOnly: $event })" />
          <label for="b-outcomes">What would count as success</label>
          <div><UTextarea id="b-outcomes" v-model="outcomes" :rows="3" autoresize class="w-full" placeholder="Fewer tools come back damaged without a tag" @update:model-value="set('success', { outcomes: lines(String($event), /\n/) })" /><p class="small quiet">One a line.</p></div>
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
.brief { flex: 1; overflow-y: auto; }
.body { display: flex; gap: 48px; padding: 22px 18px; flex-wrap: wrap; }
form { flex: 1; min-width: 440px; max-width: 680px; }
fieldset { display: grid; grid-template-columns: 170px 1fr; gap: 14px 16px; align-items: start; border: 0; padding: 0; }
label, .label { font-weight: 600; font-size: 14px; padding-top: 6px; }
.row { display: flex; align-items: center; gap: 8px; }
aside { width: 270px; border-left: 1px solid var(--hair); padding-left: 22px; font-size: 14px; color: var(--ink-2); }
aside h2 { font-size: 16px; margin-bottom: 8px; }
aside p { margin-bottom: 10px; }
@media (max-width: 700px) { form { min-width: 0; } fieldset { grid-template-columns: 1fr; } }
</style>
