<script setup lang="ts">
import { POINTS, TAG_LONGEST } from '~~/core/checks/check';
import type { Check, ChoiceCheck } from '~~/core/checks/forms';
import { canBeScene, scenarioOf } from '~~/core/checks/scenario/from';
import { useCheckEditing } from '~/checks/editing';
import { freshId } from '~/composables/useApi';

/** What every check can have besides its answers: weight, duty, what is said to all answers, a picture. */
const props = defineProps<{ check: Check; readonly?: boolean }>();
const { desk, mayEdit, set, type } = useCheckEditing<Check>(props);
const open = ref(false);
const SAID = [
  { to: 'right', label: 'Said to every right answer' },
  { to: 'wrong', label: 'Said to every other answer' },
] as const;
/** What is set, in short, while it is folded. */
const summary = computed(() => {
  const { points, required, said, tags } = props.check;
  const weight = points === undefined ? '' : points === 1 ? '1 point' : `${points} points`;
  return [weight, required ? 'must be answered' : '', said ? 'general feedback' : '', ...(tags ?? [])]
    .filter(Boolean)
    .join(', ');
});
function saidWith(to: 'right' | 'wrong', words: string): Check['said'] {
  const other = to === 'right' ? 'wrong' : 'right';
  const kept = props.check.said?.[other];
  const said = { ...(kept && { [other]: kept }), ...(words.trim() && { [to]: words.trim() }) };
  return Object.keys(said).length > 0 ? said : undefined;
}
/** Of choices alone. */
function setOrder(fixed: boolean) {
  const { id, fixed: was } = props.check as ChoiceCheck;
  desk.flushTyping();
  desk.change('order of the answers', [{ type: 'set', id, field: 'fixed', value: fixed || null, was: was ?? null }]);
}
/** Tags, each once; none is no tags. */
function tag(tags: unknown) {
  const said = [...new Set((tags as string[]).map((each) => each.trim()).filter(Boolean))];
  set('tags', 'tags', said.length > 0 ? said : undefined);
}
/** The question stays; a scenario beside it begins with what it asks, and is opened. */
function makeScenario() {
  desk.flushTyping();
  const now = desk.course!.checks.find(({ id }) => id === props.check.id)!;
  // A question asks; a story is called by what it is about.
  const title = desk.lessons.find(({ id }) => id === now.lessonId)?.title || 'A decision';
  const made = scenarioOf(now, title, freshId);
  const after = desk.course!.checks.at(-1)?.id ?? null;
  if (
    made &&
    desk.change('scenario made', [{ type: 'insert', kind: 'check', parent: desk.course!.id, after, node: made }])
  )
    void navigateTo(`/course/${desk.course!.id}/checks/${made.id}`);
}
</script>

<template>
  <div v-if="mayEdit || summary" class="more small">
    <button v-if="mayEdit" type="button" class="link" :aria-expanded="open" @click="open = !open">
      {{ open ? 'Less' : 'Points, feedback, picture, tags' }}
    </button>
    <span v-if="!open && summary" class="quiet">{{ summary }}</span>
    <div v-if="open && mayEdit" class="fields">
      <label
        >Points
        <FieldFigure
          :value="check.points"
          :save="(value, was, group) => type('points', 'points', value, was, group)"
          label="Points"
          placeholder="1"
          optional
          v-bind="POINTS"
      /></label>
      <UCheckbox
        :model-value="check.required === true"
        label="must be answered before its lesson is done"
        size="sm"
        @update:model-value="set('must be answered', 'required', $event ? true : undefined)"
      />
      <UCheckbox
        v-if="check.kind === 'choice' || check.kind === 'several'"
        :model-value="check.fixed === true"
        label="answers always in this order"
        size="sm"
        @update:model-value="setOrder(!!$event)"
      />
      <FieldInPlace
        v-for="{ to, label } in SAID"
        :key="to"
        :value="check.said?.[to] ?? ''"
        :save="(words, was, group) => type('feedback', 'said', saidWith(to, words), saidWith(to, was), group)"
        lines
        boxed
        maxlength="2000"
        :placeholder="label"
        :aria-label="label"
      />
      <label class="tags"
        >Tags
        <UInputTags
          :model-value="check.tags ?? []"
          size="sm"
          add-on-blur
          add-on-paste
          :max-length="TAG_LONGEST"
          placeholder="to find it again"
          aria-label="Tags"
          @update:model-value="tag"
      /></label>
      <p>
        <CheckPictureFile
          :label="check.picture ? 'Another picture' : 'A picture under the question'"
          @take="set('picture', 'picture', $event)"
        />
        <button v-if="canBeScene(check)" type="button" class="link story" @click="makeScenario">
          Make a scenario that begins with it
        </button>
      </p>
    </div>
  </div>
</template>

<style scoped>
.more {
  margin-top: 4px;
}
.more > .link {
  min-height: 24px;
  margin-right: 10px;
}
.story {
  margin-left: 14px;
}
.tags {
  display: flex;
  gap: 8px;
  align-items: center;
}
.fields {
  display: grid;
  gap: 12px;
  padding: 6px 0 6px 30px;
}
</style>
