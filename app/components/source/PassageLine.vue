<script setup lang="ts">
import type { LeftOutReason } from '~~/core/course/left-out';
import { reasonWords } from '~~/core/course/left-out-words';
import type { Claim } from '~~/core/knowledge';
import type { Passage } from '~~/core/source/source';
import { placeWords } from '~/components/evidence/place';
import { correctionWords, type Corrections } from '~/composables/useCorrections';
import { useCourse } from '~/stores/course';
import { CLAIMS, counted } from '~/words/states';

/**
 * A passage of a source: its words (`heads`: with the names of its columns, for a row), what was understood of it,
 * where the course uses it or why not (`left`); and, while it is the current one, how to correct that.
 */
const props = defineProps<{
  passage: Passage;
  claims: readonly Claim[];
  uses: readonly { id: string; title: string; checks: number }[];
  corrections: Corrections;
  current: boolean;
  heads?: boolean;
  left?: LeftOutReason;
}>();
const desk = useCourse();
const use = computed(() => props.corrections.useOf(props.passage.id));
const out = computed(() => use.value !== undefined && use.value.kind !== 'focus');
/** Each kind of claim once, with whether the author says that it is not so. */
const said = computed(() =>
  props.claims
    .map((claim) => ({ claim, name: CLAIMS[claim.kind]![0], no: props.corrections.notSo(props.passage.id, claim) }))
    .filter(
      ({ name, no }, at, all) =>
        all.findIndex((other) => other.name === name && (other.no === undefined) === (no === undefined)) === at,
    ),
);
</script>

<template>
  <div
    :id="passage.id"
    class="passage"
    :class="[passage.kind, { used: uses.length > 0, current, out, focus: use?.kind === 'focus' }]"
  >
    <span class="mark" :title="uses.length ? 'used in the course' : 'not used'" /><SourceCells
      v-if="passage.table"
      :passage="passage"
      :heads="heads"
    />
    <p v-else>{{ passage.text }}</p>
    <div class="side">
      <span class="mono">{{ placeWords({ locator: { ...passage.locator, path: [] } }) }}</span>
      <span v-for="{ claim, name, no } in said" :key="claim.id" class="said" :class="{ no: no }">{{
        no ? `not a ${name}` : name
      }}</span>
      <NuxtLink v-for="each in uses" :key="each.id" class="use" :to="`/course/${desk.course!.id}/lessons/${each.id}`"
        >{{ each.title }}{{ each.checks ? `, ${counted(each.checks, ['question', 'questions'])}` : '' }}</NuxtLink
      >
      <span v-if="use" class="state">{{ correctionWords(use) }}</span>
      <span v-else-if="left && uses.length === 0" class="quiet">left out: {{ reasonWords(left) }}</span>
    </div>
    <div v-if="current && desk.mayEdit" class="tools small">
      <template v-if="use"
        ><button type="button" class="link" @click="corrections.back(use.id)">
          {{ use.kind === 'focus' ? 'Out of focus' : 'Use it again'
          }}{{ use.place === passage.id || use.kind === 'furniture' ? '' : ' (its whole part)' }}
        </button></template
      >
      <template v-else>
        <button type="button" class="link" @click="corrections.add('focus', passage.id)">
          Focus on it <kbd>F</kbd>
        </button>
        <button type="button" class="link" @click="corrections.add('leave-out', passage.id)">
          Leave out <kbd>X</kbd>
        </button>
        <button type="button" class="link" @click="corrections.add('furniture', passage.id)">
          Repeated words <kbd>R</kbd>
        </button>
      </template>
      <button
        v-for="{ claim, name, no } in said"
        :key="claim.id"
        type="button"
        class="link"
        @click="no ? corrections.back(no.id) : corrections.addNot(passage.id, claim)"
      >
        {{ no ? `It is a ${name}` : `Not a ${name}` }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.passage {
  display: grid;
  grid-template-columns: 4px minmax(0, 68ch) 150px;
  gap: 2px 14px;
  padding: 4px 0;
}
.passage.current {
  background: var(--shade);
}
.passage p,
.passage :deep(.cells) {
  font-family: var(--font-read);
  font-size: 15px;
  line-height: 1.5;
  overflow-wrap: anywhere;
}
.passage.item p {
  padding-left: 16px;
}
.passage.code p {
  font-family: var(--font-mono);
  font-size: 12.5px;
  white-space: pre-wrap;
}
.out p,
.out :deep(.cells) {
  color: var(--ink-3);
  text-decoration: line-through;
  text-decoration-thickness: 1px;
}
.focus p,
.focus :deep(.cells) {
  background: var(--moss-faint);
}
.mark {
  border-left: 3px solid transparent;
}
.used .mark {
  border-left-color: var(--sky);
}
.side > * {
  display: block;
  font-size: 12.5px;
}
.side .said {
  display: inline;
  color: var(--moss);
}
.side .said:not(.no) + .said::before,
.side .said + .said::before {
  content: ', ';
  color: var(--ink-2);
}
.said.no {
  color: var(--ink-3);
  text-decoration: line-through;
}
.side .use {
  color: var(--sky);
  line-height: 24px;
}
.use:hover {
  text-decoration: underline;
}
.state {
  font-weight: 600;
}
.tools {
  grid-column: 2;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  padding: 2px 0 4px;
}
</style>
