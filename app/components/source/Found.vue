<script setup lang="ts">
import { placeWords } from '~/components/evidence/place';
import { counted } from '~/words/states';

/** Passages that a search found, the words that were looked for marked. */
export interface FoundPassage {
  sourceId: string;
  id: string;
  kind: string;
  locator: { path: string[]; page?: number; slide?: number; seconds?: number };
  text: string;
  hits: { from: number; to: number }[];
  cut: { before: boolean; after: boolean };
  lessons?: string[];
}
defineSlots<{ end?: (row: { found: FoundPassage }) => unknown }>();
const props = defineProps<{
  find: (typed: string) => Promise<{ found: FoundPassage[]; more: boolean; unready: number }>;
  typed: string;
  title: (id: string) => string;
  to: (found: FoundPassage) => string | undefined;
  lesson?: (id: string) => string;
}>();
const result = shallowRef<{ found: FoundPassage[]; more: boolean; unready: number } | null>(null);
const failed = ref(false);
let asked = 0;
watch([() => props.find, () => props.typed], () => void ask(120), { immediate: true });
onBeforeUnmount(() => void asked++);
/** Asks after some milliseconds: typing is faster than asking, and the last word counts. */
async function ask(after: number): Promise<void> {
  const mine = ++asked;
  await new Promise((go) => setTimeout(go, after));
  if (mine !== asked) return;
  const found = await props.find(props.typed).catch(() => null);
  if (mine !== asked) return;
  failed.value = found === null;
  result.value = found ?? result.value;
  // More will be found once everything can be searched.
  if (found?.unready) void ask(2000);
}
/** A text cut where its hits begin and end; every second piece is a hit. */
function pieces({ text, hits }: FoundPassage): string[] {
  const cuts = hits.flatMap((hit) => [hit.from, hit.to]);
  return [0, ...cuts].map((from, at) => text.slice(from, cuts[at] ?? text.length));
}
</script>

<template>
  <div class="found" aria-live="polite">
    <p v-if="failed" class="decide small">The server does not answer; what is shown is what was found before.</p>
    <p v-if="result" class="small quiet count">
      {{
        result.found.length === 0
          ? `Nothing in the sources says “${typed.trim()}”.`
          : `${counted(result.found.length, ['passage', 'passages'])}${result.more ? ', and more: add a word' : ''}, those that fit best first`
      }}<template v-if="result.unready">
        ({{ counted(result.unready, ['source is', 'sources are']) }} still being made searchable)</template
      >
    </p>
    <ol v-if="result">
      <li v-for="found in result.found" :key="found.sourceId + found.id">
        <p class="where small">
          <NuxtLink v-if="to(found)" :to="to(found)" class="name">{{ title(found.sourceId) }}</NuxtLink><span
            v-else
            class="name"
            >{{ title(found.sourceId) }}</span
          >
          <span class="mono">{{ placeWords(found) }}</span><span v-if="found.lessons?.length && lesson" class="used"
            >in
            {{
              found.lessons
                .map(lesson)
                .map((name) => `“${name}”`)
                .join(', ')
            }}</span
          >
        </p>
        <p class="text">
          <template v-if="found.cut.before">… </template
          ><template v-for="(piece, at) in pieces(found)" :key="at"
            ><mark v-if="at % 2">{{ piece }}</mark
            ><template v-else>{{ piece }}</template></template
          ><template v-if="found.cut.after"> …</template>
        </p>
        <slot name="end" :found="found" />
      </li>
    </ol>
  </div>
</template>

<style scoped>
.found {
  padding: 10px 18px 40px;
}
.count {
  margin-bottom: 6px;
}
li {
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
  max-width: 860px;
}
.where {
  display: flex;
  gap: 12px;
  flex-wrap: wrap;
  align-items: baseline;
}
.name {
  font-weight: 600;
}
a.name:hover {
  text-decoration: underline;
}
.used {
  margin-left: auto;
  color: var(--moss);
}
.text {
  font-family: var(--font-read);
  font-size: 15px;
  line-height: 1.5;
  overflow-wrap: anywhere;
}
mark {
  background: var(--sun);
  color: inherit;
}
</style>
