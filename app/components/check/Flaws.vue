<script setup lang="ts">
import type { Check } from '~~/core/checks/forms';
import type { Flaw } from '~~/core/checks/lints';
import { useCheckEditing } from '~/checks/editing';
import { useFlaws } from '~/stores/flaws';
import { FLAW_WORDS } from '~/words/flaws';

/** What is wrong with a question, each with what mends it. */
const props = defineProps<{
  check: Check;
  readonly?: boolean;
  /** Only what is about it as a whole: its parts say themselves what is wrong with them. */
  whole?: boolean;
}>();
const { desk, mayEdit } = useCheckEditing<Check>(props);
const all = useFlaws();
const flaws = computed(() => all.of(props.check.id).filter(({ at }) => !props.whole || at === undefined));
/** Whether the sources are looked through for what it stands on. */
const looking = ref(false);
function mend({ mend: fields }: Flaw) {
  desk.flushTyping();
  const now = desk.course!.checks.find(({ id }) => id === props.check.id) as unknown as Record<string, unknown>;
  desk.change(
    'question mended',
    Object.entries(fields!).map(([field, value]) => ({
      type: 'set',
      id: props.check.id,
      field,
      value,
      was: now[field] ?? null,
    })),
  );
}
</script>

<template>
  <ul v-if="flaws.length" class="flaws small" aria-label="To mend">
    <li v-for="(flaw, at) in flaws" :key="at" :class="{ quiet: flaw.code === 'no-evidence' }">
      {{ FLAW_WORDS[flaw.code].says }}
      <button v-if="mayEdit && flaw.mend && FLAW_WORDS[flaw.code].mend" type="button" class="link" @click="mend(flaw)">
        {{ FLAW_WORDS[flaw.code].mend }}
      </button>
      <button
        v-if="mayEdit && flaw.code === 'no-evidence'"
        type="button"
        class="link"
        :aria-expanded="looking"
        @click="looking = !looking"
      >
        find it
      </button>
      <CheckStanding v-if="looking && flaw.code === 'no-evidence'" :check="check" @close="looking = false" />
    </li>
  </ul>
</template>

<style scoped>
.flaws {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
li {
  margin: 0;
  padding: 2px 0 2px 10px;
  border-left: 2px solid var(--rust);
  color: var(--ink-2);
}
li.quiet {
  border-left-color: var(--hair);
}
.link {
  min-height: 24px;
}
</style>
