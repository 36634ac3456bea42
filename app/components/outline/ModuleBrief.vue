<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { api, type AnswerOf } from '~/client';
import { useCourse } from '~/stores/course';
import type { Module, ModuleBrief } from '~~/core/course/course';

/** What a module is for by itself, so that it can stand alone: as its author says it, with what the sources offer. */
const { module } = defineProps<{ module: Module }>();
const desk = useCourse();
type Offers = AnswerOf<'GET /api/courses/:course/modules/:module/offers'>;
type Field = keyof Offers;
const offers = shallowRef<Offers>();
async function load() {
  if (!desk.course || !desk.mayEdit) return;
  offers.value = await api('GET /api/courses/:course/modules/:module/offers', {
    course: desk.course.id,
    module: module.id,
  }).catch(() => offers.value);
}
onMounted(load);
watchDebounced(() => desk.savedAt, load, { debounce: 1200 });

const brief = computed(() => module.brief ?? {});
/** Several are a line each. */
const FIELDS: { key: Field; label: string; many?: boolean; placeholder: string }[] = [
  { key: 'result', label: 'What can be seen afterwards', placeholder: 'Every parcel is signed for on the day it came' },
  { key: 'wrong', label: 'What goes wrong today', placeholder: 'The mistakes that cost most' },
  { key: 'asked', label: 'What people ask', many: true, placeholder: 'One question a line' },
  { key: 'actions', label: 'What they do that matters', many: true, placeholder: 'One action a line' },
];
const wordsOf = (key: Field) => [brief.value[key] ?? []].flat().join('\n');
/** The brief with other words for a field; empty ones take it away. */
function withWords(key: Field, words: string, many?: boolean): ModuleBrief {
  const rest = { ...brief.value };
  delete rest[key];
  const said = many
    ? words
        .split('\n')
        .map((line) => line.trim())
        .filter(Boolean)
    : words.trim();
  return said.length > 0 ? { ...rest, [key]: said } : rest;
}
const plain = (value: ModuleBrief) =>
  Object.keys(value).length > 0 ? (JSON.parse(JSON.stringify(value)) as ModuleBrief) : null;
function save(key: Field, words: string, was: string, many?: boolean, group?: string) {
  const [value, before] = [plain(withWords(key, words, many)), plain(withWords(key, was, many))];
  return desk.type(
    `brief of “${module.title}”`,
    [{ type: 'set', id: module.id, field: 'brief', value, was: before }],
    group,
  );
}
const purpose = (words: string, was: string, group: string) =>
  desk.type(
    `purpose of “${module.title}”`,
    [{ type: 'set', id: module.id, field: 'purpose', value: words, was }],
    group,
  );
const offered = (key: Field) =>
  (offers.value?.[key] ?? []).filter(({ text }) => !wordsOf(key).toLowerCase().includes(text.toLowerCase()));
function take(key: Field, text: string, many?: boolean) {
  const now = wordsOf(key);
  save(key, now === '' ? text : `${now}${many ? '\n' : ' '}${text}`, now, many);
}
</script>

<template>
  <div class="module-brief">
    <h2>{{ module.title }}</h2>
    <p class="small quiet">What it is for by itself. Lessons are held against it, under Notes.</p>
    <label :for="`mb-purpose-${module.id}`">What it promises</label>
    <FieldInPlace
      :id="`mb-purpose-${module.id}`"
      :value="module.purpose"
      :save="purpose"
      lines
      boxed
      :readonly="!desk.mayEdit"
      maxlength="400"
      placeholder="what this module is for"
    />
    <template v-for="field in FIELDS" :key="field.key">
      <label :for="`mb-${field.key}-${module.id}`">{{ field.label }}</label>
      <FieldInPlace
        :id="`mb-${field.key}-${module.id}`"
        :value="wordsOf(field.key)"
        :save="(words, was, group) => save(field.key, words, was, field.many, group)"
        lines
        boxed
        :readonly="!desk.mayEdit"
        maxlength="4000"
        :placeholder="field.placeholder"
      />
      <details v-if="offered(field.key).length" class="small">
        <summary>{{ offered(field.key).length }} from your sources</summary>
        <ul>
          <li v-for="offer in offered(field.key)" :key="offer.text">
            <button type="button" :aria-label="`Add “${offer.text}”`" @click="take(field.key, offer.text, field.many)">
              +</button
            ><span>{{ offer.text }}</span>
          </li>
        </ul>
      </details>
    </template>
  </div>
</template>

<style scoped>
.module-brief {
  display: flex;
  flex-direction: column;
  gap: 4px;
  font-size: 14px;
}
.module-brief > * {
  flex: none;
}
h2 {
  font-size: 15px;
}
label {
  margin-top: 8px;
  font-size: 13px;
  font-weight: 600;
  color: var(--ink-2);
}
summary {
  cursor: pointer;
  color: var(--ink-2);
}
li {
  display: flex;
  gap: 7px;
  padding: 3px 0;
}
li button {
  flex: none;
  width: 24px;
  height: 24px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: var(--sheet);
  cursor: pointer;
}
li button:hover {
  border-color: var(--moss);
}
</style>
