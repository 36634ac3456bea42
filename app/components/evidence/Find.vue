<script setup lang="ts">
import { api } from '~/client';
import type { Block } from '~~/core/blocks/forms';
import type { Lesson } from '~~/core/course/course';
import type { PassageRange } from '~~/core/document/rich-text';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import type { FoundPassage } from '~/components/source/Found.vue';

/** Looks for a passage in the sources, to put it behind the words at the cursor, or to pull it in. */
const props = defineProps<{ lesson: Lesson }>();
const emit = defineEmits<{ attach: [range: PassageRange]; pull: [blocks: Block[]] }>();
const desk = useCourse();
const typed = ref('');
const failed = ref(false);
const find = (words: string) =>
  api('GET /api/courses/:course/search', { course: desk.course!.id, query: { typed: words } });
const titles = ref(new Map<string, string>());
onMounted(async () => {
  const rows = await api('GET /api/courses/:course/sources', { course: desk.course!.id }).catch(() => []);
  titles.value = new Map(rows.map(({ id, title }) => [id, title]));
});

/** The whole passage: a search shows a stretch of it. */
async function attach({ id }: FoundPassage) {
  failed.value = false;
  const [view] = await api('GET /api/courses/:course/passages', {
    course: desk.course!.id,
    query: { ids: [id] },
  }).catch(() => []);
  if (view) emit('attach', { id, from: 0, to: view.passage.text.length });
  else failed.value = true;
}
async function pull({ id }: FoundPassage) {
  failed.value = false;
  const made = await api('POST /api/courses/:course/lessons/:lesson/pulled', {
    course: desk.course!.id,
    lesson: props.lesson.id,
    body: { passages: [id], whole: false, place: freshId('b') },
  }).catch(() => undefined);
  if (made)
    emit(
      'pull',
      made.blocks.map((block) => ({ ...block, id: freshId('b') })),
    );
  else failed.value = true;
}
</script>

<template>
  <div>
    <UInput
      v-model="typed"
      autofocus
      class="w-full"
      placeholder="Words of the sources"
      aria-label="Find a passage in the sources"
    />
    <p v-if="failed" class="small decide">The passage could not be fetched. Try again.</p>
    <p v-if="typed.trim().length < 2" class="small quiet hint">
      Put the cursor into a sentence, or select words; find the passage that says so, and attach it.
    </p>
    <SourceFound
      v-else
      class="narrow"
      :find="find"
      :typed="typed"
      :title="(id) => titles.get(id) ?? ''"
      :to="(found) => `/course/${desk.course!.id}/sources/${found.sourceId}#${found.id}`"
    >
      <template v-if="desk.mayEdit" #end="{ found }">
        <p class="small do">
          <button type="button" class="link" @mousedown.prevent @click="attach(found)">attach</button
          ><button type="button" class="link" @mousedown.prevent @click="pull(found)">pull in</button>
        </p>
      </template>
    </SourceFound>
  </div>
</template>

<style scoped>
.hint {
  margin-top: 8px;
}
.narrow {
  padding: 8px 0 0;
}
.do {
  display: flex;
  gap: 12px;
}
</style>
