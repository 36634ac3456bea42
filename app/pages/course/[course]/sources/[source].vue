<script setup lang="ts">
import { api } from '~/client';
import type { Claim } from '~~/core/knowledge';
import type { Correction } from '~~/core/course/course';
import type { Use } from '~~/core/course/uses';
import { isUnderstood } from '~~/core/source/languages';
import { allSections, type Passage, type Section, type Source } from '~~/core/source/source';
import { useActions } from '~/actions/registry';
import { troubleOf, type Trouble } from '~/composables/useApi';
import { correctionWords } from '~/composables/useCorrections';
import { useCourse } from '~/stores/course';
import { CLAIMS, counted } from '~/words/states';

/**
 * A source to read: its structure, its passages with their places, what was understood of them, and how the author
 * corrects that.
 */
const route = useRoute();
const desk = useCourse();
const held = shallowRef<{
  source: Source;
  claims: Claim[];
  uses: Record<string, Use[]>;
  elsewhere: { title: string; corrections: Correction[] }[];
} | null>(null);
const trouble = ref<Trouble | null>(null);
const kind = ref<string | null>(null);
const text = ref<HTMLElement | null>(null);
const current = ref('');
const listed = ref(false);
const versions = ref(false);
const changed = inject<() => Promise<void>>('sources-changed');

async function load(id: string) {
  held.value = await api('GET /api/courses/:course/sources/:source', { course: desk.course!.id, source: id });
}
/** Another version came to be used: it is read anew, and what stands on it counted. */
async function changedTo(id: string) {
  await load(id).catch((error: unknown) => void (trouble.value = troubleOf(error)));
  void changed?.();
}
watch(
  () => route.params.source,
  async (id) => {
    if (!id) return;
    try {
      await load(String(id));
      await nextTick();
      if (route.hash) select(route.hash.slice(1), 'center');
    } catch (error) {
      trouble.value = troubleOf(error);
    }
  },
  { immediate: true },
);
/** What other courses corrected that is not known here yet. */
const elsewhere = computed(() =>
  (held.value?.elsewhere ?? [])
    .map(({ title, corrections: theirs }) => ({
      title,
      corrections: theirs.filter((each) => !corrections.own.value.some((mine) => mine.id === each.id)),
    }))
    .filter((each) => each.corrections.length > 0),
);
const corrections = useCorrections(computed(() => held.value?.source));
const sections = computed(() => (held.value ? allSections(held.value.source.root) : []));
const byId = computed(() => new Map(held.value?.source.passages.map((passage) => [passage.id, passage])));
/** Why passages are not in the course, where drafting left them out. */
const reasons = computed(
  () =>
    new Map(
      (desk.course?.leftOut ?? []).flatMap(({ passages, reason }) =>
        passages.map((range) => [range.id, reason] as const),
      ),
    ),
);
const used = computed(() => new Set(Object.keys(held.value?.uses ?? {})));
/**
 * Lessons and questions that stand on what is shown of a passage: all of it, or what a claim of the chosen kind says.
 */
function usedIn(passage: Passage): { id: string; title: string; checks: number }[] {
  const ranges = kind.value
    ? (claims.value.get(passage.id) ?? [])
        .filter((claim) => claim.kind === kind.value)
        .flatMap((claim) => claim.ranges.filter((range) => range.id === passage.id))
    : undefined;
  const uses = (held.value?.uses[passage.id] ?? []).filter(
    (use) => !ranges || ranges.some((range) => use.from < range.to && use.to > range.from),
  );
  return [...new Set(uses.map((use) => use.lesson))].map((id) => ({
    id,
    title: desk.lessons.find((lesson) => lesson.id === id)?.title ?? '',
    checks: new Set(uses.filter((use) => use.lesson === id && use.check).map((use) => use.check)).size,
  }));
}
const claims = computed(() => {
  const found = new Map<string, Claim[]>();
  for (const claim of held.value?.claims ?? [])
    for (const range of claim.ranges) found.set(range.id, [...(found.get(range.id) ?? []), claim]);
  return found;
});
/** Whether the author lets a claim stand. */
const so = (claim: Claim) => !claim.ranges.some((range) => corrections.notSo(range.id, claim));
const counts = computed(() => {
  const found: Record<string, number> = {};
  for (const claim of (held.value?.claims ?? []).filter(so)) found[claim.kind] = (found[claim.kind] ?? 0) + 1;
  return Object.entries(found).sort((a, b) => b[1] - a[1]);
});
const passagesOf = (section: Section) =>
  section.passages
    .map((id) => byId.value.get(id)!)
    .filter(
      (passage) => !kind.value || claims.value.get(passage.id)?.some((claim) => claim.kind === kind.value && so(claim)),
    );
const shown = computed(() =>
  sections.value
    .map((section) => ({ section, passages: passagesOf(section) }))
    .filter((each) => each.passages.length > 0 || (!kind.value && each.section.level > 0)),
);
/** Everything shown, in order: what the arrows go through. */
const order = computed(() =>
  shown.value.flatMap(({ section, passages }) => [
    ...(section.level > 0 ? [section.id] : []),
    ...passages.map((passage) => passage.id),
  ]),
);
function select(id: string, block: ScrollLogicalPosition = 'nearest') {
  current.value = id;
  document.getElementById(id)?.scrollIntoView({ block });
}
function step(by: number) {
  const at = order.value.indexOf(current.value);
  const next = order.value[Math.min(order.value.length - 1, Math.max(0, at < 0 ? 0 : at + by))];
  if (next) select(next);
}
const headings = new Map<string, { rename: () => void }>();
const isHeading = computed(() => corrections.sections.value.has(current.value));
const may = () => desk.mayEdit && current.value !== '';
/** Puts the current place to a use, or back. */
function put(wanted: 'focus' | 'leave-out' | 'furniture') {
  const now = corrections.useOf(current.value);
  if (now?.kind === wanted) corrections.back(now.id);
  else corrections.add(wanted, current.value);
}
useActions([
  { id: 'p-down', label: 'Next passage', key: 'ArrowDown', within: 'source', area: 'Source', run: () => step(1) },
  { id: 'p-up', label: 'Passage before', key: 'ArrowUp', within: 'source', area: 'Source', run: () => step(-1) },
  {
    id: 'p-focus',
    label: 'Focus on it',
    key: 'F',
    within: 'source',
    area: 'Source',
    when: may,
    run: () => put('focus'),
  },
  {
    id: 'p-out',
    label: 'Leave it out',
    key: 'X',
    within: 'source',
    area: 'Source',
    when: may,
    run: () => put('leave-out'),
  },
  {
    id: 'p-repeated',
    label: 'Repeated words',
    key: 'R',
    within: 'source',
    area: 'Source',
    when: () => may() && !isHeading.value,
    run: () => put('furniture'),
  },
  {
    id: 'p-heading',
    label: 'Not a heading',
    key: 'H',
    within: 'source',
    area: 'Source',
    when: () => may() && isHeading.value,
    run: () => corrections.add('no-heading', current.value),
  },
  {
    id: 'p-words',
    label: 'Other words for a heading',
    key: 'F2',
    within: 'source',
    area: 'Source',
    when: () => may() && isHeading.value,
    run: () => headings.get(current.value)?.rename(),
  },
]);
</script>

<template>
  <div class="source">
    <div class="head">
      <h1>{{ held?.source.title ?? 'Source' }}</h1>
      <span v-if="held" class="small quiet"
        >{{ held.source.words.toLocaleString('en') }} words,
        {{ counted(held.source.passages.length, ['passage', 'passages']) }}, {{ used.size }} used</span
      >
      <div class="end">
        <button
          v-if="corrections.own.value.length"
          type="button"
          class="link small"
          :aria-pressed="listed"
          @click="listed = !listed"
        >
          {{ counted(corrections.own.value.length, ['correction', 'corrections']) }}</button><button
          type="button"
          class="link small"
          :aria-pressed="versions"
          @click="versions = !versions"
        >
          versions</button
        ><NuxtLink class="link small" :to="`/course/${desk.course!.id}/sources`">all sources</NuxtLink>
      </div>
    </div>
    <ShellTroubleLine v-model="trouble" />
    <SourceVersions v-if="versions && held" :source="held.source" @used="changedTo(held.source.id)" />
    <p v-for="(each, index) in desk.mayEdit ? elsewhere : []" :key="index" class="elsewhere small">
      {{ counted(each.corrections.length, ['correction', 'corrections']) }} of how it is read, made in “{{
        each.title
      }}”. <button type="button" class="link" @click="corrections.takeOver(each.corrections)">Take over</button>
    </p>
    <ul v-if="listed && held" class="corrections small" aria-label="Corrections of this source">
      <li class="quiet">They count from the next draft on. What is drafted already stays as it is.</li>
      <li v-for="each in corrections.own.value" :key="each.id">
        <span>{{
          byId.get(each.place)?.text ??
          sections.find((section) => section.id === each.place)?.title ??
          'a place that is not in this version'
        }}</span><strong>{{ correctionWords(each) }}</strong
        ><button
          v-if="corrections.places.value.has(each.place)"
          type="button"
          class="link"
          @click="select(each.place, 'center')"
        >
          show</button
        ><button v-if="desk.mayEdit" type="button" class="link" @click="corrections.back(each.id)">take back</button>
      </li>
    </ul>
    <div v-if="held" class="parts">
      <nav class="toc" aria-label="Sections">
        <button
          v-for="section in sections.slice(1)"
          :key="section.id"
          type="button"
          :style="{ paddingLeft: `${section.level * 12}px` }"
          @click="select(section.id, 'start')"
        >
          {{ section.number ? `${section.number} ` : ''
          }}{{ corrections.at(section.id).find((each) => each.kind === 'heading')?.title ?? section.title }}
        </button>
        <p v-if="sections.length < 2" class="small quiet">No headings were found.</p>
      </nav>
      <div
        ref="text"
        class="text"
        data-keys="source"
        :lang="held.source.language"
        tabindex="0"
        aria-label="Passages. Arrow keys go from one to the next."
      >
        <p v-if="counts.length" class="kinds">
          <button type="button" :aria-pressed="kind === null" @click="kind = null">everything</button
          ><button
            v-for="[each, count] in counts"
            :key="each"
            type="button"
            :aria-pressed="kind === each"
            @click="kind = kind === each ? null : each"
          >
            {{ counted(count, CLAIMS[each]!) }}
          </button>
        </p>
        <p v-else class="small quiet">
          {{
            isUnderstood(held.source.language)
              ? 'Nothing in it was taken for a rule, a term, a step or a figure. It is used for lessons all the same.'
              : 'Sentences of this language are not understood yet: it is read, cut into passages and used for lessons, without rules, terms and figures.'
          }}
        </p>
        <section v-for="{ section, passages } in shown" :key="section.id">
          <SourceHeadingLine
            v-if="section.level > 0"
            :ref="(line: unknown) => (line ? headings.set(section.id, line as never) : headings.delete(section.id))"
            :section="section"
            :corrections="corrections"
            :current="current === section.id"
            @click="current = section.id"
          />
          <SourcePassageLine
            v-for="(passage, place) in passages"
            :key="passage.id"
            :passage="passage"
            :heads="passage.table !== undefined && passages[place - 1]?.table?.id !== passage.table.id"
            :claims="claims.get(passage.id) ?? []"
            :uses="usedIn(passage)"
            :left="reasons.get(passage.id)"
            :corrections="corrections"
            :current="current === passage.id"
            @click="current = passage.id"
          />
        </section>
      </div>
    </div>
  </div>
</template>

<style scoped>
.source {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.elsewhere {
  padding: 5px 18px;
  border-bottom: 1px solid var(--hair);
  background: var(--paper);
  line-height: 24px;
}
.corrections {
  border-bottom: 1px solid var(--hair);
  background: var(--paper);
  max-height: 190px;
  overflow-y: auto;
}
.corrections li {
  display: flex;
  gap: 14px;
  padding: 4px 18px;
}
.corrections li span {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.parts {
  flex: 1;
  display: flex;
  min-height: 0;
}
.toc {
  width: 250px;
  flex: none;
  overflow-y: auto;
  padding: 10px 8px 20px;
  border-right: 1px solid var(--hair);
  background: var(--paper);
}
.toc button {
  display: block;
  width: 100%;
  text-align: left;
  padding-block: 3px;
  font-size: 13.5px;
  color: var(--ink-2);
  cursor: pointer;
}
.toc button:hover {
  color: var(--ink);
  background: var(--shade);
}
.text {
  flex: 1;
  overflow-y: auto;
  padding: 12px 22px 60px;
}
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin-bottom: 8px;
  font-size: 13.5px;
}
.kinds button {
  color: var(--sky);
  cursor: pointer;
  border-bottom: 2px solid transparent;
}
.kinds button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 700;
  border-bottom-color: var(--moss);
}
</style>
