<script setup lang="ts">
import { NodeViewWrapper, nodeViewProps } from '@tiptap/vue-3';
import {
  ITEMS_MOST,
  LINE_MOST,
  OPTIONS_MOST,
  optionsOf,
  RATING_POINTS,
  type SurveyItem,
  type SurveyItemKind,
} from '~~/core/blocks/survey/form';
import { draftedSurvey, SURVEY_MOMENTS } from '~~/core/course/surveys';
import { UNNAMED_LEAST } from '~~/core/learning/surveys';
import { freshId } from '~/composables/useApi';
import { counted } from '~/words/states';
import { asKind, NEW_QUESTION } from './items';
import { ITEM_LABELS, MOMENT_LABELS } from './words';

/** A feedback form where it stands on the page: its questions edited in place, or drafted. */
const props = defineProps(nodeViewProps);
const { course, body, replace, set, type, typeIn, saves, change, add, drop, move } = useFieldedBody(
  'survey',
  () => props.node,
);
const mayEdit = computed(() => course.mayEdit);
const KINDS = (Object.keys(ITEM_LABELS) as SurveyItemKind[]).map((value) => ({ value, label: ITEM_LABELS[value] }));
const stands = computed(() =>
  [
    counted(body.value.items.length, ['question', 'questions']),
    body.value.named ? 'with names' : 'without names',
    ...(body.value.apart ? ['only by its link'] : []),
  ].join(', '),
);
function draft(moment: (typeof SURVEY_MOMENTS)[number]) {
  course.flushTyping();
  replace(
    'feedback form drafted',
    draftedSurvey(course.course!, moment, () => freshId('a')),
  );
}
/** Changes what only some kinds of question have. */
const turn = (id: string, what: string, part: object) =>
  change('items', id, what, (item) => {
    const next = { ...item, ...part } as Record<string, unknown>;
    for (const [key, value] of Object.entries(next)) if (value === undefined || value === false) delete next[key];
    return next as unknown as SurveyItem;
  });
/** Words or a number of a question, as they are typed; emptied ones that may be empty go. */
const savesPart =
  (id: string, key: string) =>
  (value: string | number | undefined, was: string | number | undefined, group: string) => {
    const put = (part: string | number | undefined) => (item: SurveyItem) => {
      const rest: Record<string, unknown> = { ...item };
      delete rest[key];
      return { ...rest, ...(part !== undefined && part !== '' && { [key]: part }) } as unknown as SurveyItem;
    };
    return typeIn('items', id, 'question', group, put(value), put(was));
  };
const savesOption = (item: string, option: string) => (text: string, was: string, group: string) => {
  const put = (words: string) => (of: SurveyItem) =>
    ({
      ...of,
      options: optionsOf(of).map((each) => (each.id === option ? { ...each, text: words } : each)),
    }) as SurveyItem;
  return typeIn('items', item, 'option', group, put(text), put(was));
};
type Options = ReturnType<typeof optionsOf>;
const options = (id: string, changed: (options: Options) => Options) =>
  change('items', id, 'options', (item) => ({ ...item, options: changed(optionsOf(item)) }) as SurveyItem);
function moved(list: Options, id: string, by: 1 | -1): Options {
  const next = [...list];
  const at = next.findIndex((each) => each.id === id);
  const [one] = next.splice(at, 1);
  next.splice(at + by, 0, one!);
  return next;
}
const optionWord = (item: SurveyItem) => (item.kind === 'scale' ? 'step' : 'answer');
const lasting = (item: SurveyItem) => ('options' in item ? item.options : []);
</script>

<template>
  <NodeViewWrapper as="section" class="fielded" contenteditable="false" :aria-label="`Feedback form: ${body.title}`">
    <p class="small quiet what" data-drag-handle>Feedback form, {{ stands }}</p>
    <FieldInPlace
      :value="body.title"
      :save="(text, was, group) => type('title of the form', 'title', text, was, group)"
      required
      class="title"
      :readonly="!mayEdit"
      maxlength="300"
      aria-label="Title of the form"
    />
    <FieldInPlace
      :value="body.intro"
      :save="(text, was, group) => type('opening of the form', 'intro', text, was, group)"
      lines
      :readonly="!mayEdit"
      maxlength="2000"
      placeholder="What it is for, and what becomes of the answers"
      aria-label="What is said before the questions"
    />
    <p v-if="mayEdit && body.items.length === 0" class="start small">
      Drafted for this course:
      <UButton
        v-for="moment in SURVEY_MOMENTS"
        :key="moment"
        size="xs"
        color="neutral"
        variant="outline"
        @click="draft(moment)"
        >{{ MOMENT_LABELS[moment] }}</UButton
      >
    </p>
    <CheckRows
      :rows="body.items"
      one="question"
      :name-of="({ text }) => text"
      :may-edit="mayEdit && body.items.length < ITEMS_MOST"
      moves
      @add="
        (id) =>
          add(
            'items',
            asKind({ id, text: NEW_QUESTION }, body.items.at(-1)?.kind ?? 'text', () => freshId('a')),
            'new question',
          )
      "
      @drop="(id) => drop('items', id, 'question deleted')"
      @move="(id, by) => move('items', id, by, 'question moved')"
    >
      <template #default="{ row }">
        <FieldInPlace
          :value="row.text"
          :save="saves('items', row.id, 'text', 'question')"
          lines
          required
          class="words"
          :readonly="!mayEdit"
          maxlength="500"
          aria-label="Question"
        />
        <div class="line small">
          <FieldSelect
            v-if="mayEdit"
            :model-value="row.kind"
            :items="KINDS"
            :label="`How it is answered: ${row.text}`"
            class="w-36"
            @update:model-value="
              change('items', row.id, 'kind of question', (item) => asKind(item, $event, () => freshId('a')))
            "
          />
          <span v-else class="quiet">{{ ITEM_LABELS[row.kind] }}</span>
          <UCheckbox
            :model-value="row.required === true"
            :disabled="!mayEdit"
            label="needs an answer"
            size="sm"
            @update:model-value="turn(row.id, 'needs an answer', { required: !!$event })"
          />
          <UCheckbox
            v-if="row.kind === 'choice' || row.kind === 'several'"
            :model-value="row.other === true"
            :disabled="!mayEdit"
            label="words of their own"
            size="sm"
            @update:model-value="turn(row.id, 'words of their own', { other: !!$event })"
          />
          <UCheckbox
            v-if="row.kind === 'text'"
            :model-value="row.short === true"
            :disabled="!mayEdit"
            label="one line"
            size="sm"
            @update:model-value="turn(row.id, 'one line', { short: !!$event })"
          />
          <template v-if="row.kind === 'rating'"
            >1 to
            <FieldFigure
              :value="row.of"
              :save="(value, was, group) => savesPart(row.id, 'of')(value ?? 5, was, group)"
              label="Points at most"
              v-bind="RATING_POINTS"
              :readonly="!mayEdit"
          /></template>
          <template v-if="row.kind === 'number'"
            >from
            <FieldFigure
              :value="row.min"
              :save="savesPart(row.id, 'min')"
              label="Number at least"
              placeholder="any"
              optional
              :max="row.max"
              :readonly="!mayEdit" />to
            <FieldFigure
              :value="row.max"
              :save="savesPart(row.id, 'max')"
              label="Number at most"
              placeholder="any"
              optional
              :min="row.min"
              :readonly="!mayEdit"
          /></template>
        </div>
        <div v-if="row.kind === 'rating'" class="line small ends">
          <FieldInPlace
            :value="row.low ?? ''"
            :save="savesPart(row.id, 'low')"
            :readonly="!mayEdit"
            maxlength="80"
            placeholder="What 1 means"
            aria-label="What 1 means"
          />
          <FieldInPlace
            :value="row.high ?? ''"
            :save="savesPart(row.id, 'high')"
            :readonly="!mayEdit"
            maxlength="80"
            :placeholder="`What ${row.of} means`"
            :aria-label="`What ${row.of} means`"
          />
        </div>
        <div v-if="row.kind === 'number'" class="line small ends">
          <FieldInPlace
            :value="row.unit ?? ''"
            :save="savesPart(row.id, 'unit')"
            :readonly="!mayEdit"
            maxlength="40"
            placeholder="Its unit"
            aria-label="Unit"
          />
        </div>
        <CheckRows
          v-if="lasting(row).length"
          class="options"
          :rows="lasting(row)"
          :one="optionWord(row)"
          :name-of="({ text }) => text"
          :may-edit="mayEdit"
          :least="2"
          moves
          @add="
            (id) =>
              lasting(row).length < OPTIONS_MOST && options(row.id, (all) => [...all, { id, text: 'Another answer' }])
          "
          @drop="(id) => options(row.id, (all) => all.filter((each) => each.id !== id))"
          @move="(id, by) => options(row.id, (all) => moved(all, id, by))"
        >
          <template #default="{ row: option }">
            <FieldInPlace
              :value="option.text"
              :save="savesOption(row.id, option.id)"
              required
              class="words small"
              :readonly="!mayEdit"
              :maxlength="LINE_MOST"
              :aria-label="`${optionWord(row)} to choose`"
            />
          </template>
        </CheckRows>
      </template>
    </CheckRows>
    <div class="line small">
      <UCheckbox
        :model-value="body.named"
        :disabled="!mayEdit"
        label="answers carry names"
        size="sm"
        @update:model-value="set('names', 'named', !!$event)"
      />
      <UCheckbox
        :model-value="body.apart === true"
        :disabled="!mayEdit"
        label="not on the page, only by its own link"
        size="sm"
        @update:model-value="set('where the form stands', 'apart', $event ? true : undefined)"
      />
    </div>
    <p class="small quiet note">
      {{
        body.named
          ? 'Learners are told that their name goes with it.'
          : `Kept without name and time; shown to you from ${UNNAMED_LEAST} answers on. Learners are told so.`
      }}
      Counts nowhere. Answers and its link stand under Results, Feedback; packages leave it out.
    </p>
    <FieldInPlace
      :value="body.thanks ?? ''"
      :save="(text, was, group) => type('thanks', 'thanks', text || undefined, was || undefined, group)"
      lines
      class="small"
      :readonly="!mayEdit"
      maxlength="1000"
      placeholder="What is said once it is sent: your answers have arrived, thank you"
      aria-label="What is said once it is sent"
    />
  </NodeViewWrapper>
</template>

<style scoped>
.start {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 8px 0;
}
.ends > * {
  flex: 1;
}
.note {
  margin: 4px 0;
}
.options {
  border-inline-start: 1px solid var(--hair);
  padding-inline-start: 6px;
}
</style>
