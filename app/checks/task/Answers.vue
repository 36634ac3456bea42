<script setup lang="ts">
import { freshLevels, MORE_WORDS } from '~~/core/checks/fresh';
import {
  CRITERIA_MOST,
  FILES_MOST,
  KEPT_DAYS,
  LAST_WORDS,
  LEVEL_POINTS,
  LEVELS_MOST,
  mostOf,
  WORDS_MOST,
  type Criterion,
  type CriterionLevel,
  type HandIn,
  type TaskCheck,
} from '~~/core/checks/task/form';
import { FILE_KINDS, HANDED_BYTES, type FileKind } from '~~/core/document/handed';
import { freshId } from '~/composables/useApi';
import { counted } from '~/words/states';
import { useCheckEditing } from '../editing';
import { FILE_LABELS, LAST_WORD_LABELS } from './words';

/** A task as its author works on it: the situation, what is handed in, what it is held against, who marks it. */
const props = defineProps<{ check: TaskCheck; readonly?: boolean }>();
const { mayEdit, now, set, type, typeIn, saves, change, add, drop, move } = useCheckEditing<TaskCheck>(props);
const LAST = LAST_WORDS.map((value) => ({ value, label: LAST_WORD_LABELS[value] })).sort((a) =>
  a.value === 'confirmed' ? -1 : 0,
);
const points = computed(() => props.check.criteria.reduce((sum, each) => sum + mostOf(each), 0));

/** What is handed in, with a part of it set anew; without words there must be files. */
function handIn(what: string, part: Partial<{ [Field in keyof HandIn]: HandIn[Field] | null }>) {
  const { words, files } = { ...now().handIn, ...part };
  if (!words && !files) return;
  set(what, 'handIn', { ...(words && { words }), ...(files && { files }) });
}
function range(field: 'least' | 'most', value: number | undefined) {
  const words = { ...(now().handIn.words ?? { most: 300 }) };
  if (value === undefined) delete words[field as 'least'];
  else words[field] = value;
  handIn('number of words', { words });
}
function kind(of: FileKind, taken: boolean) {
  const files = now().handIn.files!;
  const kinds = FILE_KINDS.filter((each) => (each === of ? taken : files.kinds.includes(each)));
  if (kinds.length > 0) handIn('kinds of files', { files: { ...files, kinds } });
}
const levelled =
  (id: string, changed: (level: CriterionLevel) => CriterionLevel) =>
  (criterion: Criterion): Criterion => ({
    ...criterion,
    levels: criterion.levels.map((level) => (level.id === id ? changed(level) : level)),
  });
/** Words or points of a level, as they are typed. */
const savesLevel =
  <Field extends 'text' | 'points'>(criterion: string, level: string, field: Field, what: string) =>
  (value: CriterionLevel[Field], was: CriterionLevel[Field], group: string) =>
    typeIn(
      'criteria',
      criterion,
      what,
      group,
      levelled(level, (each) => ({ ...each, [field]: value })),
      levelled(level, (each) => ({ ...each, [field]: was })),
    );
/** The levels of a criterion in a line, the best first. */
const levelsOf = (criterion: Criterion) =>
  criterion.levels.map((level) => `${level.points}: ${level.text}`).join(' / ');
const levels = (id: string, changed: (levels: CriterionLevel[]) => CriterionLevel[]) =>
  change('criteria', id, 'levels', (criterion) => ({ ...criterion, levels: changed(criterion.levels) }));
</script>

<template>
  <div class="task">
    <FieldInPlace
      :value="check.setting"
      :save="(text, was, group) => type('situation', 'setting', text, was, group)"
      lines
      class="setting"
      :readonly="!mayEdit"
      maxlength="4000"
      placeholder="The situation: who the learner is in it, what has happened"
      aria-label="The situation"
    />
    <section>
      <h4>Handed in</h4>
      <div class="line small">
        <UCheckbox
          :model-value="check.handIn.words !== undefined"
          :disabled="!mayEdit || !check.handIn.files"
          label="words"
          size="sm"
          @update:model-value="handIn('words', { words: $event ? { most: 300 } : null })"
        />
        <template v-if="check.handIn.words">
          <FieldFigure
            :value="check.handIn.words.least"
            :save="(value) => range('least', value)"
            label="Words at least"
            placeholder="any"
            optional
            :min="1"
            :max="check.handIn.words.most"
            whole
          />
          to
          <FieldFigure
            :value="check.handIn.words.most"
            :save="(value) => range('most', value)"
            label="Words at most"
            :min="check.handIn.words.least ?? 1"
            :max="WORDS_MOST"
            whole
          />
        </template>
      </div>
      <div class="line small">
        <UCheckbox
          :model-value="check.handIn.files !== undefined"
          :disabled="!mayEdit || !check.handIn.words"
          label="files"
          size="sm"
          @update:model-value="
            handIn('files', { files: $event ? { most: 1, kinds: ['documents', 'pictures'] } : null })
          "
        />
        <template v-if="check.handIn.files">
          up to
          <FieldFigure
            :value="check.handIn.files.most"
            :save="(value) => handIn('number of files', { files: { ...now().handIn.files!, most: value ?? 1 } })"
            label="Files at most"
            :min="1"
            :max="FILES_MOST"
            whole
          />
          <UCheckbox
            v-for="each in FILE_KINDS"
            :key="each"
            :model-value="check.handIn.files.kinds.includes(each)"
            :disabled="!mayEdit"
            :label="FILE_LABELS[each]"
            size="sm"
            @update:model-value="kind(each, !!$event)"
          />
          <span class="quiet">{{ HANDED_BYTES / 1024 ** 2 }} MB each. Packages take no files.</span>
        </template>
      </div>
    </section>
    <section>
      <h4>
        Held against
        <span class="small quiet">{{
          check.criteria.length
            ? `${counted(check.criteria.length, ['criterion', 'criteria'])}, ${counted(points, ['point', 'points'])}`
            : 'the model answer as a whole: right or not'
        }}</span>
      </h4>
      <CheckRows
        :rows="check.criteria"
        one="criterion"
        :name-of="({ text }) => text"
        :may-edit="mayEdit && check.criteria.length < CRITERIA_MOST"
        moves
        @add="
          (id) =>
            add(
              'criteria',
              { id, text: MORE_WORDS.criterion, levels: freshLevels(freshId), quotes: [] },
              'new criterion',
            )
        "
        @drop="(id) => drop('criteria', id, 'criterion deleted')"
        @move="(id, by) => move('criteria', id, by, 'criterion moved')"
      >
        <template #default="{ row }">
          <FieldInPlace
            :value="row.text"
            :save="saves('criteria', row.id, 'text', 'criterion')"
            lines
            required
            class="words"
            :readonly="!mayEdit"
            maxlength="500"
            aria-label="Criterion"
          />
          <details class="small">
            <summary>{{ levelsOf(row) }}</summary>
            <ul class="levels">
              <li v-for="(level, at) in row.levels" :key="level.id">
                <FieldFigure
                  :value="level.points"
                  :save="
                    (value, was, group) => savesLevel(row.id, level.id, 'points', 'points')(value ?? 0, was ?? 0, group)
                  "
                  :label="`Points of level ${at + 1}`"
                  v-bind="LEVEL_POINTS"
                />
                <FieldInPlace
                  :value="level.text"
                  :save="savesLevel(row.id, level.id, 'text', 'level')"
                  lines
                  required
                  class="words small"
                  :readonly="!mayEdit"
                  maxlength="500"
                  :aria-label="`Level ${at + 1}`"
                />
                <button
                  v-if="mayEdit && row.levels.length > 2"
                  type="button"
                  class="link small"
                  :aria-label="`Delete level ${level.text}`"
                  @click="levels(row.id, (all) => all.filter(({ id }) => id !== level.id))"
                >
                  delete
                </button>
              </li>
            </ul>
            <p v-if="mayEdit && row.levels.length < LEVELS_MOST" class="small">
              <button
                type="button"
                class="link"
                @click="
                  levels(row.id, (all) => [
                    ...all.slice(0, -1),
                    { id: freshId('l'), text: 'Something between', points: all.at(-1)!.points },
                    all.at(-1)!,
                  ])
                "
              >
                Another level
              </button>
            </p>
          </details>
          <CheckQuotes :quotes="row.quotes.filter(({ text }) => text !== row.text)" />
        </template>
      </CheckRows>
      <UCheckbox
        v-if="check.criteria.length"
        class="shown"
        :model-value="check.criteriaShown"
        :disabled="!mayEdit"
        label="learners see the criteria before they hand in"
        size="sm"
        @update:model-value="set('criteria shown', 'criteriaShown', !!$event)"
      />
    </section>
    <section>
      <h4>
        A model answer
        <span class="small quiet">shown to learners once nothing more can be won; suggested marks read it too</span>
      </h4>
      <FieldInPlace
        :value="check.model"
        :save="(text, was, group) => type('model answer', 'model', text, was, group)"
        lines
        boxed
        :readonly="!mayEdit"
        maxlength="8000"
        aria-label="A model answer"
      />
    </section>
    <CheckQuotes :quotes="check.quotes" />
    <section v-if="mayEdit" class="line small">
      <FieldSelect
        :model-value="check.lastWord"
        :items="LAST"
        label="Who has the last word"
        @update:model-value="set('last word', 'lastWord', $event)"
      />
      <label class="line"
        >Kept for
        <FieldFigure
          :value="check.keepDays"
          :save="(value, was, group) => type('how long hand-ins are kept', 'keepDays', value, was, group)"
          label="Days that hand-ins are kept after they were marked"
          placeholder="ever"
          optional
          v-bind="KEPT_DAYS"
        />
        days after it was marked</label
      >
    </section>
    <p v-if="check.lastWord !== 'learner'" class="small quiet">In packages nobody marks: there learners compare.</p>
  </div>
</template>

<style scoped>
.task {
  display: grid;
  gap: 10px;
  margin-top: 4px;
}
h4 {
  font-weight: 600;
  font-size: 14px;
}
h4 span {
  font-weight: 400;
  margin-left: 6px;
}
.setting {
  font-family: var(--font-read);
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  min-height: 34px;
}
.shown {
  margin: 12px 0 6px;
}
.levels {
  list-style: none;
  margin: 0;
  padding: 0;
}
.levels li {
  display: grid;
  grid-template-columns: 84px 1fr auto;
  gap: 8px;
  align-items: start;
  margin: 2px 0;
}
summary {
  min-height: 24px;
  color: var(--ink-2);
  cursor: pointer;
}
.link {
  min-height: 24px;
}
</style>
