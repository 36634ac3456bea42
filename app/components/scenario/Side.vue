<script setup lang="ts">
import type { Flaw } from '~~/core/checks/lints';
import type { ScenarioCheck } from '~~/core/checks/scenario/form';
import { useScenarioEditing } from '~/checks/scenario/editing';
import { sceneName, signed } from '~/checks/scenario/words';
import { FLAW_WORDS } from '~/words/flaws';

/** Beside the script: what the sources say to the choice at hand, and all that is to be mended. */
const props = defineProps<{
  check: ScenarioCheck;
  flaws: ReadonlyMap<string, Flaw[]>;
  at: string | null;
  choice: string | null;
}>();
const emit = defineEmits<{ go: [scene: string] }>();
const { mayEdit, change } = useScenarioEditing(props);
const scene = computed(() => props.check.scenes.find(({ id }) => id === props.at));
const chosen = computed(() => scene.value?.choices.find(({ id }) => id === props.choice));
/** What is to be mended, with the scene it is in. */
const toMend = computed(() =>
  props.check.scenes.flatMap((each, nth) =>
    [each.id, ...each.choices.map(({ id }) => id)].flatMap((id) =>
      (props.flaws.get(id) ?? []).map((flaw) => ({ scene: each.id, name: sceneName(each, nth), flaw, id })),
    ),
  ),
);
function dropQuote(text: string) {
  const { id } = chosen.value!;
  change('scenes', scene.value!.id, 'passage taken off', (each) => ({
    ...each,
    choices: each.choices.map((choice) =>
      choice.id === id ? { ...choice, quotes: choice.quotes.filter((quote) => quote.text !== text) } : choice,
    ),
  }));
}
</script>

<template>
  <aside class="side" aria-label="Beside the script">
    <template v-if="chosen">
      <h2>{{ chosen.text }}</h2>
      <p class="small quiet">{{ signed(chosen.score) }}</p>
      <figure v-for="quote in chosen.quotes" :key="quote.text">
        <blockquote>{{ quote.text }}</blockquote>
        <button v-if="mayEdit" type="button" class="link small" @click="dropQuote(quote.text)">take off</button>
      </figure>
      <p v-if="chosen.quotes.length === 0" class="small quiet">No passage of your sources stands behind this choice.</p>
    </template>
    <p v-else class="small quiet">Put the cursor into a choice to see what your sources say to it.</p>
    <template v-if="toMend.length > 0">
      <h2>{{ toMend.length }} to mend</h2>
      <ul>
        <li v-for="each in toMend" :key="`${each.id} ${each.flaw.code}`" class="small">
          <button type="button" class="link" @click="emit('go', each.scene)">{{ each.name }}</button>
          <span class="decide">{{ FLAW_WORDS[each.flaw.code].says }}</span>
        </li>
      </ul>
    </template>
    <CheckFlaws :check="check" whole />
    <CheckMore :check="check" />
  </aside>
</template>

<style scoped>
.side {
  padding: 14px 16px 30px;
  overflow-y: auto;
}
h2 {
  font-size: 15px;
  margin: 14px 0 6px;
}
h2:first-child {
  margin-top: 0;
}
figure {
  margin: 8px 0;
}
blockquote {
  margin: 0;
  padding: 8px 12px;
  background: var(--sky-soft);
  font-family: var(--font-read);
  font-size: 14.5px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  margin: 0 0 8px;
  display: grid;
}
.link {
  min-height: 24px;
  text-align: left;
}
</style>
