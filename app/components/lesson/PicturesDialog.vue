<script setup lang="ts">
import { addressOf, api } from '~/client';
import type { Block } from '~~/core/blocks/forms';
import type { PassageRange } from '~~/core/document/rich-text';
import { ofPicture } from '~/blocks';
import { freshId, troubleOf } from '~/composables/useApi';
import { useCourse } from '~/stores/course';

/** The pictures that the course's sources hold; one that is taken comes onto the page with its caption and passage. */
const emit = defineEmits<{ take: [block: Block] }>();
const open = defineModel<boolean>('open', { required: true });
interface Held {
  source: string;
  title: string;
  hash: string;
  alt: string;
  caption?: string;
  evidence?: PassageRange[];
}
const desk = useCourse();
const held = ref<Held[] | null>(null);
const trouble = ref('');
const bySource = computed(() => [...Map.groupBy(held.value ?? [], (each) => each.title)]);

watch(
  open,
  async (now) => {
    if (!now) return;
    trouble.value = '';
    try {
      held.value = await api('GET /api/courses/:course/media/pictures', { course: desk.course!.id });
    } catch (error) {
      trouble.value = troubleOf(error).message;
    }
  },
  { immediate: true },
);
async function take({ source, hash, alt, caption, evidence }: Held) {
  try {
    const added = await api('POST /api/courses/:course/media/pictures', {
      course: desk.course!.id,
      body: { source, hash },
    });
    open.value = false;
    emit('take', ofPicture(freshId('b'), added, { alt, caption, evidence }));
  } catch (error) {
    trouble.value = troubleOf(error).message;
  }
}
const pictureAt = ({ source, hash }: Held) =>
  addressOf('GET /api/courses/:course/sources/:source/pictures/:hash', { course: desk.course!.id, source, hash });
</script>

<template>
  <UModal
    v-model:open="open"
    title="Pictures of your sources"
    description="As they came in the documents. One that you take stands on the page with its caption."
    :ui="{ content: 'max-w-3xl' }"
  >
    <template #body>
      <p v-if="trouble" class="decide" role="alert">{{ trouble }}</p>
      <p v-else-if="held === null" class="quiet">Looking.</p>
      <p v-else-if="held.length === 0" class="quiet">The sources of this course hold no pictures.</p>
      <section v-for="[title, pictures] in bySource" :key="title">
        <h3>{{ title }}</h3>
        <div class="shown">
          <button
            v-for="each in pictures"
            :key="each.hash"
            type="button"
            :aria-label="`Take ${each.caption || each.alt || 'this picture'}`"
            @click="take(each)"
          >
            <img :src="pictureAt(each)" :alt="each.alt" loading="lazy" />
            <span class="small">{{ each.caption || each.alt || 'without a caption' }}</span>
          </button>
        </div>
      </section>
    </template>
  </UModal>
</template>

<style scoped>
h3 {
  font-size: 14px;
  margin: 10px 0 6px;
}
.shown {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 10px;
}
button {
  display: grid;
  gap: 4px;
  align-content: start;
  padding: 8px;
  border: 1px solid var(--hair);
  border-radius: 3px;
  background: var(--sheet);
  text-align: start;
  cursor: pointer;
}
button:hover {
  background: var(--moss-faint);
}
img {
  width: 100%;
  height: 110px;
  object-fit: contain;
  background: var(--paper);
}
</style>
