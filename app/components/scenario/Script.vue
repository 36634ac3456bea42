<script setup lang="ts">
import { SCORES, type Scene, type ScenarioCheck, type SceneChoice } from '~~/core/checks/scenario/form';
import type { Ways } from '~~/core/learning/ways';
import type { Flaw } from '~~/core/checks/lints';
import { useScenarioEditing } from '~/checks/scenario/editing';
import { sceneName } from '~/checks/scenario/words';
import { counted } from '~/words/states';
import { FLAW_WORDS } from '~/words/flaws';

/**
 * A story as a script: scene after scene, each with what can be done in it, where that leads, and what follows. Enter
 * in a choice makes the next one, Ctrl+Enter a new scene that the choice leads to.
 */
const props = defineProps<{
  check: ScenarioCheck;
  flaws: ReadonlyMap<string, Flaw[]>;
  best: ReadonlySet<string>;
  ways?: Ways | null;
}>();
/** The scene at hand, and the choice, where the cursor is in one. */
const at = defineModel<string | null>('at', { required: true });
const choiceAt = defineModel<string | null>('choice', { required: true });
const editing = useScenarioEditing(props);
const { mayEdit, savesScene, savesChoice, savesScore, addChoice, dropChoice, lead, addScene, dropScene } = editing;
const root = ref<HTMLElement | null>(null);
const END = 'end';
const NEW = 'new';
const places = computed(() => [
  ...props.check.scenes.map((scene, nth) => ({ value: scene.id, label: `${nth + 1} ${sceneName(scene, nth)}` })),
  { value: END, label: 'the end' },
  { value: NEW, label: 'a new scene' },
]);

async function focusOn(selector: string, all = false) {
  await nextTick();
  await nextTick();
  const field = root.value?.querySelector<HTMLTextAreaElement | HTMLInputElement>(selector);
  field?.focus();
  if (all) field?.select();
}
const toChoice = (id: string | undefined) => id && focusOn(`[data-choice="${id}"] textarea`, true);
const toScene = (id: string | undefined) => id && focusOn(`[data-scene="${id}"] .title`);
function leadTo(scene: Scene, choice: SceneChoice, to: string) {
  const made = lead(scene.id, choice.id, to === END ? undefined : to);
  if (made) void toScene(made);
}
/** Enter goes on to the next choice, Ctrl+Enter to a new scene. */
function enter(event: KeyboardEvent, scene: Scene, choice: SceneChoice | undefined) {
  if (!mayEdit.value) return;
  if (event.ctrlKey || event.metaKey) {
    event.preventDefault();
    event.stopPropagation();
    void toScene(choice ? lead(scene.id, choice.id, NEW) : addScene(scene.id));
  } else if (choice && !event.shiftKey && (event.target as HTMLElement).classList.contains('words')) {
    event.preventDefault();
    void toChoice(addChoice(scene.id, choice.id));
  }
}
const said = (id: string) => props.flaws.get(id) ?? [];
function come(scene: string, choice: string | null) {
  at.value = scene;
  choiceAt.value = choice;
}
</script>

<template>
  <div ref="root" class="script">
    <section
      v-for="(scene, nth) in check.scenes"
      :key="scene.id"
      :data-scene="scene.id"
      :class="{ here: at === scene.id }"
      @focusin="come(scene.id, null)"
      @keydown.enter="enter($event, scene, undefined)"
    >
      <header>
        <span class="nth">{{ nth + 1 }}</span>
        <FieldInPlace
          class="title"
          :value="scene.title"
          :save="savesScene(scene.id, 'title')"
          maxlength="200"
          :readonly="!mayEdit"
          :placeholder="nth === 0 ? 'Where it begins' : 'Name of the scene'"
          :aria-label="`Name of scene ${nth + 1}`"
        />
        <button
          v-if="mayEdit && check.scenes.length > 1"
          type="button"
          class="link small"
          :aria-label="`Delete scene ${nth + 1}`"
          @click="dropScene(scene.id)"
        >
          delete
        </button>
      </header>
      <FieldInPlace
        class="told"
        :value="scene.text"
        :save="savesScene(scene.id, 'text')"
        lines
        maxlength="8000"
        :readonly="!mayEdit"
        placeholder="What happens: who is there, what they say, what is at stake."
        :aria-label="`Scene ${nth + 1}`"
      />
      <p v-for="flaw in said(scene.id)" :key="flaw.code" class="flaw small">{{ FLAW_WORDS[flaw.code].says }}</p>
      <ol v-if="scene.choices.length > 0">
        <li
          v-for="choice in scene.choices"
          :key="choice.id"
          :data-choice="choice.id"
          :class="{ best: best.has(choice.id), here: choiceAt === choice.id }"
          @focusin.stop="come(scene.id, choice.id)"
          @keydown.enter.stop="enter($event, scene, choice)"
        >
          <div class="line">
            <FieldInPlace
              class="words"
              :value="choice.text"
              :save="savesChoice(scene.id, choice.id, 'text')"
              wraps
              required
              maxlength="1000"
              :readonly="!mayEdit"
              aria-label="Choice"
            />
            <span class="leads small">
              <template v-if="mayEdit">
                <FieldSelect
                  :model-value="choice.to ?? END"
                  :items="places"
                  :label="`Where it leads: ${choice.text}`"
                  @update:model-value="leadTo(scene, choice, $event)"
                />
                <FieldFigure
                  :value="choice.score"
                  :save="savesScore(scene.id, choice.id)"
                  :label="`Points: ${choice.text}`"
                  v-bind="{ min: SCORES.min, max: SCORES.max }"
                />
                <button
                  type="button"
                  class="link"
                  :aria-label="`Delete choice ${choice.text}`"
                  @click="dropChoice(scene.id, choice.id)"
                >
                  delete
                </button>
              </template>
              <template v-else
                >leads to {{ places.find(({ value }) => value === (choice.to ?? END))?.label }},
                {{ choice.score }}</template
              >
            </span>
          </div>
          <FieldInPlace
            class="follows"
            :value="choice.follows"
            :save="savesChoice(scene.id, choice.id, 'follows')"
            lines
            maxlength="4000"
            :readonly="!mayEdit"
            placeholder="What follows"
            :aria-label="`What follows: ${choice.text}`"
          />
          <p v-if="ways" class="small ways">
            chosen by {{ ways.chosen[choice.id] ?? 0 }} of {{ counted(ways.learners, ['learner', 'learners']) }}
          </p>
          <p v-for="flaw in said(choice.id)" :key="flaw.code" class="flaw small">{{ FLAW_WORDS[flaw.code].says }}</p>
        </li>
      </ol>
      <p v-else class="small quiet">An end: nothing is to be decided here.</p>
      <p v-if="mayEdit" class="more small">
        <button type="button" class="link" @click="toChoice(addChoice(scene.id))">Another choice</button>
        <button type="button" class="link" @click="toScene(addScene(scene.id))">Another scene</button>
        <span v-if="nth === 0" class="quiet"
          ><kbd>Enter</kbd> in a choice: the next choice. <kbd>Ctrl Enter</kbd>: a new scene it leads to.</span
        >
      </p>
    </section>
  </div>
</template>

<style scoped>
.script {
  padding: 6px 0 40px;
}
section {
  padding: 12px 0 6px;
  border-top: 1px solid var(--hair);
}
section:first-child {
  border-top: 0;
}
header {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
.nth {
  flex: none;
  width: 22px;
  color: var(--ink-2);
  font-variant-numeric: tabular-nums;
}
.title {
  font-weight: 700;
  font-size: 16px;
}
.told {
  margin-left: 28px;
  width: calc(100% - 28px);
  font-family: var(--font-read);
  font-size: 16px;
  line-height: 1.5;
}
ol {
  list-style: none;
  margin: 6px 0 4px 28px;
  padding: 0;
}
li {
  margin: 0 0 4px;
  padding: 3px 0 3px 10px;
  border-left: 3px solid var(--hair);
}
li.best {
  border-left-color: var(--moss);
}
li.here {
  background: var(--moss-faint);
}
.line {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 10px;
  align-items: start;
}
.words {
  font-family: var(--font-read);
  font-size: 15.5px;
  line-height: 1.45;
}
.best .words {
  font-weight: 600;
}
.leads {
  display: flex;
  gap: 8px;
  align-items: center;
}
.leads :deep(button[role='combobox']) {
  width: 200px;
}
.leads :deep(.figure input) {
  width: 3.2em;
  text-align: right;
}
.follows {
  color: var(--ink-2);
  font-size: 14px;
}
.ways {
  margin-left: 4px;
  color: var(--sky);
}
.flaw {
  margin: 0 0 0 4px;
  color: var(--rust);
}
section > .flaw,
section > p.quiet,
.more {
  margin-left: 32px;
}
.more {
  display: flex;
  gap: 14px;
  align-items: center;
}
.link {
  min-height: 24px;
}
</style>
