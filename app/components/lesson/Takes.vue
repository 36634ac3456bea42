<script setup lang="ts">
import { rowsOf, type Block } from '~~/core/blocks/forms';
import { compareLessons, type LessonChange } from '~~/core/course/comparison';
import type { Lesson, Take } from '~~/core/course/course';
import { dropTake, pagesBeside, swapPage, swapText, textsBeside, type PageTake } from '~~/core/course/takes';
import { BlockRow, BlockView } from '~~/player/blocks';
import type { MediaRef } from '~~/core/document/media';
import { wordsFor } from '~~/core/words';
import { useActions } from '~/actions/registry';
import { freshId } from '~/composables/useApi';
import { mediaAddress } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';
import { useSession } from '~/stores/session';
import { changeWords } from '~/words/versions';
import { CALLED, madeWords } from '~/words/takes';
import { counted } from '~/words/states';

/**
 * What is kept beside a lesson: drafts that came while it was edited, pages that stood here before, texts that lost a
 * conflict.
 */
const props = defineProps<{ lesson: Lesson }>();
const desk = useCourse();
const session = useSession();
const open = ref(false);
/** The take whose differences are shown, in place of its page. */
const differing = ref('');
const view = computed(() => ({
  words: wordsFor(desk.course!.language).words,
  language: desk.course!.language,
  embeds: [],
  media: (ref: MediaRef) => mediaAddress(desk.course!.id, ref),
}));
const pages = computed(() =>
  pagesBeside(desk.course!, props.lesson.id).map((take) => ({ take, change: differs(take) })),
);
const texts = computed(() => textsBeside(desk.course!, props.lesson));
const count = computed(() => pages.value.length + texts.value.length);
watch(
  () => props.lesson.id,
  () => void (open.value = false),
);

/** What taking a page would change of the one that stands. */
function differs({ value }: PageTake): LessonChange {
  const course = desk.course!;
  const known = new Set(course.checks.map((check) => check.id));
  return compareLessons(
    props.lesson,
    { ...value.lesson, title: props.lesson.title, state: props.lesson.state },
    course,
    { ...course, checks: [...course.checks, ...value.checks.filter((check) => !known.has(check.id))] },
  );
}
async function take(id: string) {
  await desk.settleAll();
  const now = pagesBeside(desk.course!, props.lesson.id).find((each) => each.id === id);
  if (now && desk.course)
    desk.change(
      'another page taken',
      swapPage(desk.course, now, freshId('t'), { at: Date.now(), by: (session.person?.name ?? '').slice(0, 80) }),
    );
  desk.outside++;
}
function swap(text: (typeof texts.value)[number]) {
  desk.flushTyping();
  const now = textsBeside(desk.course!, props.lesson).find((each) => each.take.id === text.take.id);
  if (now && desk.change('another text taken', swapText(now))) desk.outside++;
}
const drop = (id: string) => desk.change('take thrown away', dropTake(id));
const rename = (take: Take, name: string, was: string, group: string) =>
  desk.type(
    'name of a take',
    [{ type: 'set', id: take.id, field: 'name', value: name.trim() || null, was: was || null }],
    group,
  );
useActions([
  {
    id: 'l-takes',
    label: 'Show or hide the takes of this lesson',
    key: 'Alt+K',
    area: 'Lesson',
    when: () => count.value > 0,
    run: () => void (open.value = !open.value),
  },
]);
</script>

<template>
  <section v-if="count" class="takes" aria-label="Takes of this lesson">
    <p class="line">
      <span>{{ counted(count, ['take is', 'takes are']) }} kept beside this lesson.</span>
      <button type="button" class="link" :aria-expanded="open" @click="open = !open">
        {{ open ? 'Hide' : 'Look' }}
      </button>
    </p>
    <div v-if="open" class="list">
      <article v-for="{ take: page, change } in pages" :key="page.id" :data-node="page.id">
        <div class="do">
          <div class="about">
            <FieldInPlace
              :value="page.name ?? ''"
              :save="(name, was, group) => rename(page, name, was, group)"
              :readonly="!desk.mayEdit"
              :placeholder="CALLED[page.made.why][0]"
              maxlength="120"
              aria-label="Name of the take"
              class="name"
            />
            <p class="small quiet">{{ madeWords(page.made) }}; {{ changeWords(change) }}</p>
          </div>
          <span
            ><button
              type="button"
              class="link"
              :aria-pressed="differing === page.id"
              @click="differing = differing === page.id ? '' : page.id"
            >
              {{ differing === page.id ? 'Its page' : 'What differs' }}</button
            ><template v-if="desk.mayEdit"
              ><UButton size="sm" color="neutral" variant="outline" @click="take(page.id)"
                >Put it in place of this one</UButton
              >
              <button type="button" class="link" @click="drop(page.id)">Throw away</button></template
            ></span
          >
        </div>
        <LazyVersionLesson v-if="differing === page.id" :change="change" class="text" />
        <div v-else class="up-page text" tabindex="0" :lang="desk.course!.language" :dir="desk.course!.direction">
          <BlockRow v-for="row in rowsOf(page.value.lesson.blocks)" :key="row[0]!.id" :row="row">
            <BlockView v-for="block in row" :key="block.id" :block="block" :view="view" />
          </BlockRow>
        </div>
      </article>
      <article v-for="each in texts" :key="each.take.id" :data-node="each.take.id">
        <div class="do">
          <div class="about">
            <FieldInPlace
              :value="each.take.name ?? ''"
              :save="(name, was, group) => rename(each.take, name, was, group)"
              :readonly="!desk.mayEdit"
              :placeholder="CALLED[each.take.made.why][1]"
              maxlength="120"
              aria-label="Name of the take"
              class="name"
            />
            <p class="small quiet">{{ madeWords(each.take.made) }}</p>
          </div>
          <span v-if="desk.mayEdit"
            ><UButton size="sm" color="neutral" variant="outline" @click="swap(each)">Put it in its place</UButton>
            <button type="button" class="link" @click="drop(each.take.id)">Throw away</button></span
          >
        </div>
        <div class="up-page text" tabindex="0" :lang="desk.course!.language" :dir="desk.course!.direction">
          <BlockView :block="{ ...each.block, body: each.take.value } as Block" :view="view" />
        </div>
      </article>
    </div>
  </section>
</template>

<style scoped>
.takes {
  border-bottom: 1px solid var(--hair);
  background: var(--paper);
  font-size: 14px;
}
.line {
  padding: 6px 18px;
  display: flex;
  gap: 12px;
}
.list {
  max-height: 340px;
  overflow-y: auto;
  padding: 0 18px 10px;
  display: grid;
  gap: 10px;
}
article {
  background: var(--sheet);
  border: 1px solid var(--hair);
  border-radius: 3px;
}
.do {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  padding: 6px 12px;
  border-bottom: 1px solid var(--hair);
}
.do span {
  display: flex;
  align-items: center;
  gap: 12px;
  white-space: nowrap;
}
.about {
  flex: 1;
  min-width: 0;
}
.about .small {
  padding-left: 4px;
}
.name {
  font-weight: 600;
  font-size: 14px;
}
.text {
  max-height: 220px;
  overflow-y: auto;
  padding: 8px 12px;
  font-size: 15px;
}
</style>
