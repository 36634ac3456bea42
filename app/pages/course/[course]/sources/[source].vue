<script setup lang="ts">
import type { Claim } from '~~/core/knowledge';
import { allSections, type Passage, type Section, type Source } from '~~/core/source/source';
import type { Use } from '~~/core/course/uses';
import { troubleOf, type Trouble } from '~/composables/useApi';
import { placeWords } from '~/components/evidence/place';
import { useCourse } from '~/stores/course';
import { CLAIMS, counted } from '~/words/states';

/** A source to read: its structure, its passages with their places, and what was understood of them. */
const route = useRoute();
const desk = useCourse();
const held = shallowRef<{ source: Source; claims: Claim[]; uses: Record<string, Use[]> } | null>(null);
const trouble = ref<Trouble | null>(null);
const kind = ref<string | null>(null);
const text = ref<HTMLElement | null>(null);

watch(() => route.params.source, async (id) => {
  if (!id) return;
  try {
    held.value = await $fetch(`/api/courses/${desk.course!.id}/sources/${String(id)}`);
    await nextTick();
    if (route.hash) document.getElementById(route.hash.slice(1))?.scrollIntoView({ block: 'center' });
  } catch (error) {
    trouble.value = troubleOf(error);
  }
}, { immediate: true });
const sections = computed(() => (held.value ? allSections(held.value.source.root) : []));
const byId = computed(() => new Map(held.value?.source.passages.map((passage) => [passage.id, passage])));
const used = computed(() => new Set(Object.keys(held.value?.uses ?? {})));
/** Lessons and questions that stand on what is shown of a passage: all of it, or what a claim of the chosen kind says. */
function usedIn(passage: Passage): { id: string; title: string; checks: number }[] {
  const ranges = kind.value ? (claims.value.get(passage.id) ?? []).filter((claim) => claim.kind === kind.value).flatMap((claim) => claim.ranges.filter((range) => range.id === passage.id)) : undefined;
  const uses = (held.value?.uses[passage.id] ?? []).filter((use) => !ranges || ranges.some((range) => use.from < range.to && use.to > range.from));
  return [...new Set(uses.map((use) => use.lesson))].map((id) => ({ id, title: desk.lessons.find((lesson) => lesson.id === id)?.title ?? '', checks: new Set(uses.filter((use) => use.lesson === id && use.check).map((use) => use.check)).size }));
}
const claims = computed(() => {
  const found = new Map<string, Claim[]>();
  for (const claim of held.value?.claims ?? []) for (const range of claim.ranges) found.set(range.id, [...(found.get(range.id) ?? []), claim]);
  return found;
});
const counts = computed(() => {
  const found: Record<string, number> = {};
  for (const claim of held.value?.claims ?? []) found[claim.kind] = (found[claim.kind] ?? 0) + 1;
  return Object.entries(found).sort((a, b) => b[1] - a[1]);
});
const passagesOf = (section: Section) => section.passages.map((id) => byId.value.get(id)!).filter((passage) => !kind.value || claims.value.get(passage.id)?.some((claim) => claim.kind === kind.value));
const shown = computed(() => sections.value.map((section) => ({ section, passages: passagesOf(section) })).filter((each) => each.passages.length > 0 || (!kind.value && each.section.level > 0)));
const said = (passage: Passage) => [...new Set((claims.value.get(passage.id) ?? []).map((claim) => claim.kind))].map((each) => CLAIMS[each]![0]).join(', ');
const go = (id: string) => document.getElementById(id)?.scrollIntoView({ block: 'start' });
</script>

<template>
  <div class="source">
    <div class="head"><h1>{{ held?.source.title ?? 'Source' }}</h1><span v-if="held" class="small quiet">{{ held.source.words.toLocaleString('en') }} words, {{ held.source.passages.length }} passages, {{ used.size }} used</span><NuxtLink class="end link small" :to="`/course/${desk.course!.id}/sources`">all sources</NuxtLink></div>
    <ShellTroubleLine v-model="trouble" />
    <div v-if="held" class="parts">
      <nav class="toc" aria-label="Sections">
        <button v-for="section in sections.slice(1)" :key="section.id" type="button" :style="{ paddingLeft: `${section.level * 12}px` }" @click="go(section.id)">{{ section.number ? `${section.number} ` : '' }}{{ section.title }}</button>
        <p v-if="sections.length < 2" class="small quiet">No headings were found.</p>
      </nav>
      <div ref="text" class="text" :lang="held.source.language" tabindex="0" aria-label="Passages">
        <p v-if="counts.length" class="kinds"><button type="button" :aria-pressed="kind === null" @click="kind = null">everything</button><button v-for="[each, count] in counts" :key="each" type="button" :aria-pressed="kind === each" @click="kind = kind === each ? null : each">{{ counted(count, CLAIMS[each]!) }}</button></p>
        <p v-else class="small quiet">Sentences of this language are not understood yet: it is read, cut into passages and used for lessons, without rules, terms and figures.</p>
        <section v-for="{ section, passages } in shown" :key="section.id">
          <component :is="section.level === 1 ? 'h2' : 'h3'" v-if="section.level > 0" :id="section.id">{{ section.number ? `${section.number} ` : '' }}{{ section.title }}</component>
          <div v-for="passage in passages" :id="passage.id" :key="passage.id" class="passage" :class="[passage.kind, { used: used.has(passage.id) }]">
            <span class="mark" :title="used.has(passage.id) ? 'used in the course' : 'not used'" /><p>{{ passage.text }}</p><span class="mono">{{ placeWords({ locator: { ...passage.locator, path: [] } }) }}<span v-if="said(passage)" class="said">{{ said(passage) }}</span><NuxtLink v-for="use in usedIn(passage)" :key="use.id" class="use" :to="`/course/${desk.course!.id}/lessons/${use.id}`">{{ use.title }}{{ use.checks ? `, ${counted(use.checks, ['question', 'questions'])}` : '' }}</NuxtLink></span>
          </div>
        </section>
      </div>
    </div>
  </div>
</template>

<style scoped>
.source { flex: 1; display: flex; flex-direction: column; min-width: 0; }
.head .end { margin-left: auto; }
.parts { flex: 1; display: flex; min-height: 0; }
.toc { width: 250px; flex: none; overflow-y: auto; padding: 10px 8px 20px; border-right: 1px solid var(--hair); background: var(--paper); }
.toc button { display: block; width: 100%; text-align: left; padding-block: 3px; font-size: 13.5px; color: var(--ink-2); cursor: pointer; }
.toc button:hover { color: var(--ink); background: var(--shade); }
.text { flex: 1; overflow-y: auto; padding: 12px 22px 60px; }
.kinds { display: flex; flex-wrap: wrap; gap: 2px 14px; margin-bottom: 8px; font-size: 13.5px; }
.kinds button { color: var(--sky); cursor: pointer; border-bottom: 2px solid transparent; }
.kinds button[aria-pressed="true"] { color: var(--ink); font-weight: 700; border-bottom-color: var(--moss); }
h2 { font-size: 17px; margin: 20px 0 6px; }
h3 { font-size: 15px; margin: 14px 0 4px; }
.passage { display: grid; grid-template-columns: 4px minmax(0, 68ch) 150px; gap: 14px; padding: 4px 0; }
.passage p { font-family: var(--font-read); font-size: 15px; line-height: 1.5; overflow-wrap: anywhere; }
.passage.item p { padding-left: 16px; }
.passage.code p { font-family: var(--font-mono); font-size: 12.5px; white-space: pre-wrap; }
.mark { border-left: 3px solid transparent; }
.used .mark { border-left-color: var(--sky); }
.use { display: block; color: var(--sky); font-family: var(--font-sans); font-size: 12.5px; }
.use:hover { text-decoration: underline; }
.said { display: block; color: var(--moss); font-family: var(--font-sans); }
</style>
