<script setup lang="ts">
import { api } from '~/client';
import { settle, unsettle } from '~~/core/course/settle';
import type { Settlement } from '~~/core/course/course';
import { overlaps, standsOn } from '~~/core/course/standing';
import type { Contradiction } from '~~/core/knowledge/contradictions';
import { useCourse } from '~/stores/course';
import { counted } from '~/words/states';

/**
 * Where sources say different things: both side by side, until the author says which holds; kept, and used from then
 * on.
 */
const props = defineProps<{ sources: { id: string; title: string; version: string }[] }>();
const desk = useCourse();
const found = ref<Contradiction[]>([]);
const failed = ref(false);
const { form: cases } = useKeptForm<Record<string, string>>('contradictions', {});
const asked = computed(() => props.sources.map((source) => source.id + source.version).join());
async function look() {
  const before = asked.value;
  const answer = before
    ? await api('GET /api/courses/:course/contradictions', { course: desk.course!.id }).catch(() => undefined)
    : [];
  if (before !== asked.value) return;
  failed.value = answer === undefined;
  found.value = answer ?? found.value;
}
watch(asked, look, { immediate: true });
const settled = computed(() => new Map((desk.course!.settled ?? []).map((each) => [each.id, each])));
const open = computed(() => found.value.filter((each) => !settled.value.has(each.id)).length);
const title = (id: string) => props.sources.find((source) => source.id === id)?.title ?? 'a source that was taken off';
const choose = (each: Contradiction, holds: Settlement['holds']) =>
  desk.change(
    'which source holds',
    settle(
      desk.course!,
      each.id,
      holds,
      [each.sides[0].ranges, each.sides[1].ranges],
      holds === 'both' ? cases.value[each.id] : '',
    ),
  );
/** Whether a side was found not to hold. */
const isOut = (each: Contradiction, side: number) =>
  ({ first: 1, second: 0, both: -1 })[settled.value.get(each.id)?.holds ?? 'both'] === side;
/** Lessons whose text stands on the passage that does not hold. */
function left(each: Contradiction): string {
  const gone = settled.value.get(each.id)?.gone ?? [];
  const { sentences, checks, lessons } = standsOn(desk.course!, (range) => gone.some((each) => overlaps(each, range)));
  if (lessons.length === 0) return '';
  return `${counted(sentences, ['sentence', 'sentences'])} and ${counted(checks, ['question', 'questions'])} of the course stand on it: look at ${lessons.map((id) => `“${desk.lessons.find((lesson) => lesson.id === id)?.title ?? ''}”`).join(', ')}.`;
}
</script>

<template>
  <p v-if="failed" class="small decide failed">
    Whether the sources contradict each other could not be looked for.
    <button type="button" class="link" @click="look">Look again</button>
  </p>
  <section v-if="found.length" class="contradictions" aria-label="Where the sources contradict each other">
    <h2>
      Where the sources say different things
      <span class="small quiet">{{ open ? `${open} to decide` : 'all decided' }}</span>
    </h2>
    <article v-for="each in found" :key="each.id" :class="{ open: !settled.has(each.id) }">
      <div class="sides">
        <blockquote v-for="(side, at) in each.sides" :key="at" :class="{ out: isOut(each, at) }">
          <p>{{ side.text }}</p>
          <footer class="small">
            <NuxtLink class="link" :to="`/course/${desk.course!.id}/sources/${side.sourceId}`">{{
              title(side.sourceId)
            }}</NuxtLink>
            <UButton
              v-if="desk.mayEdit && !settled.has(each.id)"
              size="xs"
              color="neutral"
              variant="outline"
              @click="choose(each, at === 0 ? 'first' : 'second')"
              >This holds</UButton
            >
            <span v-else-if="settled.has(each.id)">{{ isOut(each, at) ? 'does not hold' : 'holds' }}</span>
          </footer>
        </blockquote>
      </div>
      <div v-if="!settled.has(each.id)" class="small both">
        <template v-if="desk.mayEdit"
          ><label
            >Both hold: when does which?<UInput
              v-model="cases[each.id]"
              size="sm"
              maxlength="1000"
              class="w-full" /></label
          ><UButton size="xs" color="neutral" variant="outline" @click="choose(each, 'both')"
            >Both hold</UButton
          ></template
        >
      </div>
      <p v-else class="small">
        <template v-if="settled.get(each.id)!.words">{{ settled.get(each.id)!.words }}</template>
        <template v-if="settled.get(each.id)!.holds !== 'both'"
          >What does not hold is neither taught nor asked from now on.
          <span class="decide">{{ left(each) }}</span></template
        >
        <button
          v-if="desk.mayEdit"
          type="button"
          class="link small again"
          @click="desk.change('contradiction opened again', unsettle(desk.course!, each.id))"
        >
          Decide again
        </button>
      </p>
    </article>
  </section>
</template>

<style scoped>
.failed {
  padding: 8px 18px;
}
.contradictions {
  padding: 14px 18px;
  border-top: 1px solid var(--hair);
}
h2 {
  font-size: 16px;
  margin-bottom: 8px;
}
h2 span {
  font-family: var(--font-sans);
  font-weight: 400;
  margin-left: 8px;
}
article {
  padding: 8px 0 12px;
  border-bottom: 1px solid var(--hair);
}
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}
blockquote {
  border-left: 3px solid var(--sky);
  padding: 2px 0 2px 12px;
}
article.open blockquote {
  border-left-color: var(--rust);
}
blockquote p {
  font-family: var(--font-read);
  font-size: 15.5px;
}
blockquote.out {
  border-left-style: dashed;
  border-left-color: var(--ink-3);
}
blockquote.out p {
  color: var(--ink-2);
  text-decoration: line-through;
}
footer {
  display: flex;
  gap: 12px;
  align-items: center;
  margin-top: 4px;
}
.both {
  display: flex;
  align-items: end;
  gap: 12px;
  margin-top: 8px;
  max-width: 640px;
}
.again {
  margin-left: 8px;
}
.both label {
  flex: 1;
  display: grid;
  gap: 2px;
}
@media (max-width: 900px) {
  .sides {
    grid-template-columns: 1fr;
  }
}
</style>
