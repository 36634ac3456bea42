<script setup lang="ts">
import type { Block } from '~~/core/blocks/forms';
import { putParts } from '~~/core/course/parts';
import type { Operation } from '~~/core/course/operations';
import { wordsFor } from '~~/core/words';
import { BlockView } from '~~/player/blocks';
import { addressOf, api, type AnswerOf } from '~/client';
import { blockOfMedia } from '~/blocks/media';
import { freshId, troubleOf } from '~/composables/useApi';
import { shelvedFile, useGiving } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';

/**
 * What a course could show, lesson by lesson: diagrams of its own words, and pictures of its sources that belong to
 * what it teaches. Taken one by one, or all at once.
 */
const props = defineProps<{
  /** Only what is of this lesson. */
  lesson?: string;
}>();
const emit = defineEmits<{ taken: [] }>();
const desk = useCourse();
const { lay } = useGiving();
type Offer = AnswerOf<'GET /api/courses/:course/media/offers'>[number];
type Diagram = Offer['diagrams'][number];
type Picture = Offer['pictures'][number];
const offers = ref<Offer[]>();
const trouble = ref('');
const busy = ref(false);

async function load() {
  trouble.value = '';
  await desk.settleAll();
  try {
    const all = await api('GET /api/courses/:course/media/offers', { course: desk.course!.id });
    offers.value = props.lesson ? all.filter(({ lesson }) => lesson === props.lesson) : all;
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
}
onMounted(load);
const count = computed(() =>
  (offers.value ?? []).reduce((sum, { diagrams, pictures }) => sum + diagrams.length + pictures.length, 0),
);
const titleOf = (id: string) => desk.lessons.find((lesson) => lesson.id === id)?.title ?? '';
const view = computed(() => ({
  words: wordsFor(desk.course!.language).words,
  language: desk.course!.language,
  embeds: [],
  media: () => '',
}));
const shown = ({ body }: Diagram): Block => ({ id: 'offered', kind: 'diagram', body });

/** The operations that put a part onto a lesson's page. */
function placed(lesson: string, node: Block, place: { before?: string; behind?: string }): Operation[] {
  const page = desk.lessons.find(({ id }) => id === lesson);
  return page ? putParts(page, [node], place) : [];
}
const ofDiagram = (lesson: string, { body, evidence, before }: Diagram): Operation[] =>
  placed(lesson, { id: freshId('b'), kind: 'diagram', body, ...(evidence.length > 0 && { evidence }) }, { before });
async function ofPicture(lesson: string, { source, hash, alt, caption, evidence, after }: Picture) {
  const added = await api('POST /api/courses/:course/media/pictures', {
    course: desk.course!.id,
    body: { source, hash },
  });
  lay({ ...added, name: caption || alt || added.name });
  return placed(lesson, blockOfMedia(freshId('b'), { file: shelvedFile(added), name: '', alt, caption, evidence }), {
    behind: after,
  });
}
async function take(what: string, work: () => Promise<Operation[]> | Operation[]) {
  busy.value = true;
  trouble.value = '';
  try {
    desk.flushTyping();
    const operations = await work();
    if (operations.length > 0 && desk.change(what, operations)) {
      desk.outside++;
      emit('taken');
    }
    await load();
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
  busy.value = false;
}
const all = () =>
  take('all that was offered to be shown', async () => {
    const operations: Operation[] = [];
    for (const { lesson, diagrams, pictures } of offers.value ?? []) {
      for (const each of diagrams) operations.push(...ofDiagram(lesson, each));
      for (const each of pictures) operations.push(...(await ofPicture(lesson, each)));
    }
    return operations;
  });
const pictureAt = ({ source, hash }: Picture) =>
  addressOf('GET /api/courses/:course/sources/:source/pictures/:hash', { course: desk.course!.id, source, hash });
</script>

<template>
  <div class="offers">
    <p v-if="trouble" class="decide" role="alert">{{ trouble }}</p>
    <p v-if="!offers && !trouble" class="quiet" role="status">Looking at what can be drawn.</p>
    <p v-else-if="count === 0 && !trouble" class="quiet">
      {{
        lesson
          ? 'Nothing in this lesson is to be drawn by its own words: steps, bands of figures, people who tell each other, how it was and is.'
          : 'Everything that could be drawn of the lessons’ own words stands there, and so do the pictures of the sources.'
      }}
    </p>
    <p v-else-if="offers && desk.mayEdit && count > 1" class="all">
      <UButton size="sm" color="neutral" variant="outline" :disabled="busy" @click="all"
        >Put all {{ count }} in</UButton
      >
      <span class="small quiet">One step, which undo takes back.</span>
    </p>
    <section v-for="offer in offers" :key="offer.lesson">
      <h3 v-if="!lesson">
        <NuxtLink class="link" :to="`/course/${desk.course!.id}/lessons/${offer.lesson}`">{{
          titleOf(offer.lesson)
        }}</NuxtLink>
      </h3>
      <div v-for="(each, at) in offer.diagrams" :key="at" class="offer">
        <div class="drawn up-page lesson-page"><BlockView :block="shown(each)" :view="view" /></div>
        <UButton
          v-if="desk.mayEdit"
          size="sm"
          :disabled="busy"
          :aria-label="`Put in the diagram ${each.body.title}`"
          @click="take(`diagram “${each.body.title}”`, () => ofDiagram(offer.lesson, each))"
          >Put in</UButton
        >
      </div>
      <div v-for="each in offer.pictures" :key="each.hash" class="offer">
        <figure class="drawn">
          <img :src="pictureAt(each)" :alt="each.alt" loading="lazy" />
          <figcaption class="small">
            {{ each.caption || each.alt || 'without a caption' }} <span class="quiet">{{ each.title }}</span>
          </figcaption>
        </figure>
        <UButton
          v-if="desk.mayEdit"
          size="sm"
          :disabled="busy"
          :aria-label="`Put in the picture ${each.caption || each.alt}`"
          @click="take('picture of a source', () => ofPicture(offer.lesson, each))"
          >Put in</UButton
        >
      </div>
    </section>
  </div>
</template>

<style scoped>
.all {
  display: flex;
  gap: 12px;
  align-items: center;
  margin: 0 0 10px;
}
h3 {
  font-size: 15px;
  margin: 16px 0 6px;
}
.offer {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 14px;
  align-items: start;
  padding: 12px 14px;
  margin-bottom: 10px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: var(--sheet);
}
.drawn {
  margin: 0;
  min-width: 0;
}
.drawn :deep(figure) {
  margin: 0;
}
img {
  max-width: 100%;
  max-height: 260px;
}
</style>
