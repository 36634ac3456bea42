<script setup lang="ts">
import { findNode } from '~~/core/course/tree';
import type { Check } from '~~/core/checks/forms';
import { checkText } from '~~/core/checks/forms';
import type { Lesson, Medium } from '~~/core/course/course';
import { layOnShelf, replaceMedia, type OnShelf } from '~~/core/course/media';
import type { GivenMedia } from '~/blocks/media';
import { api, type AnswerOf } from '~/client';
import { freshId } from '~/composables/useApi';
import { mediaAddress, shelvedFile } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';
import { fileFacts, SORT_WORDS } from '~/words/media';
import { counted } from '~/words/states';

/** A file of the shelf: what it is, what is said of it, whose it is, where it stands. */
const props = defineProps<{ item: OnShelf }>();
const emit = defineEmits<{ gone: []; show: [hash: string] }>();
const desk = useCourse();
const replacing = ref(false);
const working = ref(false);
const medium = computed(() => props.item.medium);
const address = computed(() => mediaAddress(desk.course!.id, props.item.file));
const isPicture = computed(() => props.item.sort === 'picture');

/** What stands on a page and was never laid here is laid here with its first words. */
const shelved = (): Medium => {
  const [now] = (desk.course!.media ?? []).filter(({ file }) => file.hash === props.item.file.hash);
  return now ?? { id: freshId('m'), file: shelvedFile(props.item.file), name: props.item.name || 'picture' };
};
type Said = 'name' | 'alt' | 'credit' | 'licence';
const save = (field: Said) => (words: string, was: string, group: string) => {
  const node = shelved();
  const value = words.trim() === '' && field !== 'name' ? null : words;
  const laid = layOnShelf(desk.course!, node);
  return desk.type(
    `words of “${node.name}”`,
    [...laid, { type: 'set', id: node.id, field, value, was: laid.length ? node[field] : was || undefined }],
    group,
  );
};
function tick(what: string, field: 'decorative' | 'credited', yes: boolean) {
  desk.flushTyping();
  const node = shelved();
  desk.change(what, [
    ...layOnShelf(desk.course!, node),
    { type: 'set', id: node.id, field, value: yes ? true : null, was: node[field] },
  ]);
}
const places = computed(() =>
  props.item.uses.map(({ lesson, check, block }) => {
    const title = lesson ? (findNode(desk.course!, lesson)?.node as Lesson | undefined)?.title : undefined;
    const asked = check ? checkText(findNode(desk.course!, check)!.node as Check).split('\n')[0] : undefined;
    return {
      key: `${block ?? ''}${check ?? ''}`,
      words: [title, asked].filter(Boolean).join(': '),
      to: `/course/${desk.course!.id}/${lesson ? `lessons/${lesson}` : `checks/${check}`}`,
    };
  }),
);
/** Sources that say when each thing is said: a recording is of one of them, or of none. */
const NONE = 'none';
const TIMED = new Set(['vtt', 'srt']);
const rows = ref<AnswerOf<'GET /api/courses/:course/sources'>>([]);
onMounted(async () => {
  if (props.item.sort !== 'sound' && props.item.sort !== 'film') return;
  rows.value = await api('GET /api/courses/:course/sources', { course: desk.course!.id }).catch(() => []);
});
const timed = computed(() => [
  { value: NONE, label: 'none' },
  ...rows.value.filter(({ kind }) => TIMED.has(kind)).map(({ id, title }) => ({ value: id, label: title })),
]);
function said(source: string) {
  desk.flushTyping();
  const node = shelved();
  desk.change('what is said in a recording', [
    ...layOnShelf(desk.course!, node),
    { type: 'set', id: node.id, field: 'ofSource', value: source === NONE ? null : source, was: node.ofSource },
  ]);
}
function throwAway() {
  desk.flushTyping();
  const node = medium.value;
  if (node && desk.change(`“${node.name}” off the shelf`, [{ type: 'remove', id: node.id }])) emit('gone');
}
/** What work made of it carries on what was said of it; asked for, it stands wherever the first one did. */
function worked({ file, alt }: GivenMedia, everywhere: boolean) {
  desk.flushTyping();
  const made = (desk.course!.media ?? []).find((each) => each.file.hash === file.hash);
  const said = medium.value;
  const set = (field: string, value: unknown) =>
    made && value !== undefined
      ? [{ type: 'set' as const, id: made.id, field, value, was: made[field as keyof Medium] }]
      : [];
  desk.change(`“${props.item.name}” worked on`, [
    ...set('alt', alt || undefined),
    ...set('credit', said?.credit),
    ...set('licence', said?.licence),
    ...set('credited', said?.credited),
    ...(everywhere ? replaceMedia(desk.course!, props.item.file.hash, file) : []),
  ]);
  desk.outside++;
  emit('show', file.hash);
}
function replace({ file }: GivenMedia) {
  if (file.hash === props.item.file.hash) return;
  desk.flushTyping();
  desk.change(`“${props.item.name}” replaced everywhere`, replaceMedia(desk.course!, props.item.file.hash, file));
  desk.outside++;
}
</script>

<template>
  <aside class="details" :aria-label="`About ${item.name}`">
    <img v-if="isPicture" :src="address" :alt="medium?.alt ?? ''" />
    <video v-else-if="item.sort === 'film'" controls preload="metadata" :src="address" />
    <audio v-else-if="item.sort === 'sound'" controls preload="metadata" :src="address" />
    <p class="small quiet facts">
      {{ SORT_WORDS[item.sort][0] }}, {{ fileFacts(item.file) }}
      <a class="link" :href="address" :download="item.name || undefined">save</a>
    </p>
    <label class="field"
      ><span class="small">Name</span>
      <FieldInPlace
        :value="medium?.name ?? item.name"
        :save="save('name')"
        boxed
        required
        :readonly="!desk.mayEdit"
        maxlength="200"
        aria-label="Name"
    /></label>
    <template v-if="isPicture">
      <label v-if="!medium?.decorative" class="field"
        ><span class="small">What it shows, for who cannot see it</span>
        <FieldInPlace
          :value="medium?.alt ?? ''"
          :save="save('alt')"
          boxed
          lines
          :readonly="!desk.mayEdit"
          maxlength="1000"
          aria-label="What it shows"
      /></label>
      <UCheckbox
        :model-value="medium?.decorative === true"
        :disabled="!desk.mayEdit"
        label="only decorative"
        @update:model-value="tick('only decorative', 'decorative', !!$event)"
      />
      <p class="small quiet">Said wherever it is put next; each place can say it in its own words.</p>
    </template>
    <label class="field"
      ><span class="small">Whose it is</span>
      <FieldInPlace
        :value="medium?.credit ?? ''"
        :save="save('credit')"
        boxed
        :readonly="!desk.mayEdit"
        maxlength="1000"
        placeholder="Photo: Tessa Brand"
        aria-label="Whose it is"
    /></label>
    <label class="field"
      ><span class="small">Licence</span>
      <FieldInPlace
        :value="medium?.licence ?? ''"
        :save="save('licence')"
        boxed
        :readonly="!desk.mayEdit"
        maxlength="1000"
        placeholder="CC BY 4.0"
        aria-label="Licence"
    /></label>
    <UCheckbox
      :model-value="medium?.credited === true"
      :disabled="!desk.mayEdit"
      label="learners are shown both"
      @update:model-value="tick('credit shown', 'credited', !!$event)"
    />
    <label v-if="timed.length > 1" class="field"
      ><span class="small">What is said in it is the source</span>
      <FieldSelect
        :model-value="medium?.ofSource ?? NONE"
        :items="timed"
        label="The source with what is said in it"
        @update:model-value="said($event)"
    /></label>
    <h2>Where it stands</h2>
    <ul v-if="places.length" class="places">
      <li v-for="place in places" :key="place.key">
        <NuxtLink class="link small" :to="place.to">{{ place.words }}</NuxtLink>
      </li>
    </ul>
    <p v-else class="small quiet">Nowhere. It is kept all the same.</p>
    <p v-if="item.takes" class="small quiet">And in {{ counted(item.takes, ['take', 'takes']) }}.</p>
    <div v-if="desk.mayEdit" class="acts">
      <UButton v-if="isPicture" size="sm" color="neutral" variant="outline" @click="working = true">Work on it</UButton>
      <UButton v-if="places.length" size="sm" color="neutral" variant="outline" @click="replacing = true"
        >Another one everywhere</UButton
      >
      <UButton v-else-if="medium && item.takes === 0" size="sm" color="neutral" variant="outline" @click="throwAway"
        >Throw away</UButton
      >
    </div>
    <LazyMediaEditDialog v-if="working" v-model:open="working" :item="item" @take="worked" />
    <LazyMediaChooseDialog v-if="replacing" v-model:open="replacing" :sorts="[item.sort]" @take="replace" />
  </aside>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.details {
  width: 316px;
  flex: none;
  overflow-y: auto;
  padding: 14px 18px 30px;
  border-inline-start: 1px solid var(--hair);
  background: var(--paper);
  display: grid;
  gap: 8px;
  align-content: start;
}
.details > img,
.details > video {
  width: 100%;
  max-height: 220px;
  object-fit: contain;
  background: var(--sheet);
}
.details > audio {
  width: 100%;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px;
  margin: 0;
}
.field {
  display: grid;
  gap: 2px;
}
h2 {
  font-size: 14px;
  margin: 8px 0 0;
}
.places {
  list-style: none;
  padding: 0;
  margin: 0;
}
.places .link {
  display: inline-block;
  min-height: 24px;
}
p {
  margin: 0;
}
@media (max-width: 760px) {
  .details {
    width: auto;
    border-inline-start: 0;
    border-top: 1px solid var(--hair);
  }
}
</style>
