<script setup lang="ts">
import { NodeViewWrapper, nodeViewProps } from '@tiptap/vue-3';
import { LABEL_LONGEST, type DiagramBody, type DiagramLink, type DiagramPart } from '~~/core/blocks/diagram/form';
import { wordsFor } from '~~/core/words';
import { BlockView } from '~~/player/blocks';
import { DIAGRAM_WORDS } from './words';

/** A diagram where it stands on the page: drawn as learners see it, its words edited under it. */
const props = defineProps(nodeViewProps);
const { course, block, body, set, type, typeIn, saves, add, drop, move } = useFieldedBody('diagram', () => props.node);
const mayEdit = computed(() => course.mayEdit);
const words = computed(() => DIAGRAM_WORDS[body.value.form]);
const opened = ref(body.value.parts.length === 0 || body.value.title === '');
const view = computed(() => ({
  words: wordsFor(course.course!.language).words,
  language: course.course!.language,
  embeds: [],
  media: () => '',
}));
const shown = computed(() => ({ id: block.value, kind: 'diagram' as const, body: body.value }));
const people = computed(() => body.value.parts.map(({ id, label }) => ({ value: id, label })));
const links = computed(() => body.value.links ?? []);

const saveText = (id: string) => (text: string, was: string, group: string) => {
  const put = (said: string) => (part: DiagramPart) => ({
    id: part.id,
    label: part.label,
    ...(said.trim() && { text: said }),
  });
  return typeIn('parts', id, words.value.text.toLowerCase(), group, put(text), put(was));
};
/** Whoever goes takes along what leads to or from them. */
function dropPart(id: string) {
  course.flushTyping();
  const left = links.value.filter(({ from, to }) => from !== id && to !== id);
  if (left.length === links.value.length) return drop('parts', id, `${words.value.part} out of a diagram`);
  const rest = { form: body.value.form, title: body.value.title, parts: body.value.parts };
  const next: DiagramBody = {
    ...rest,
    parts: rest.parts.filter((part) => part.id !== id),
    ...(left.length > 0 && { links: left }),
  };
  course.change(`${words.value.part} out of a diagram`, [
    { type: 'set', id: block.value, field: 'body', value: next, was: body.value },
  ]);
}
/** Changes what is handed on, with what was typed last in it. */
function changeLinks(changed: (links: DiagramLink[]) => DiagramLink[]) {
  course.flushTyping();
  const next = changed([...links.value]);
  set('what is handed on', 'links', next.length > 0 ? next : undefined);
}
const saveLink = (id: string) => (label: string, was: string, group: string) => {
  const put = (said: string) => links.value.map((link) => (link.id === id ? { ...link, label: said } : link));
  return type('what is handed on', 'links', put(label), put(was), group);
};
function addLink(id: string) {
  const [first, second] = body.value.parts;
  if (first && second) changeLinks((all) => [...all, { id, from: first.id, to: second.id, label: 'tells' }]);
}
const changeLink = (id: string, part: Partial<DiagramLink>) =>
  changeLinks((all) => all.map((link) => (link.id === id ? { ...link, ...part } : link)));
const moveLink = (id: string, by: 1 | -1) =>
  changeLinks((all) => {
    const at = all.findIndex((link) => link.id === id);
    const [one] = all.splice(at, 1);
    all.splice(at + by, 0, one!);
    return all;
  });
</script>

<template>
  <NodeViewWrapper as="section" class="fielded" contenteditable="false" :aria-label="`Diagram: ${body.title}`">
    <p class="small quiet what" data-drag-handle>
      {{ words.label }}
      <button v-if="mayEdit" type="button" class="link" :aria-expanded="opened" @click="opened = !opened">
        {{ opened ? 'shut' : 'change its words' }}
      </button>
    </p>
    <div class="drawn up-page"><BlockView :block="shown" :view="view" /></div>
    <template v-if="opened && mayEdit">
      <FieldInPlace
        :value="body.title"
        :save="(text, was, group) => type('title of a diagram', 'title', text, was, group)"
        class="title"
        maxlength="300"
        placeholder="What it shows"
        aria-label="What the diagram shows"
      />
      <CheckRows
        :rows="body.parts"
        :one="words.part"
        :name-of="({ label }) => label"
        :may-edit="body.form !== 'change' || body.parts.length < 2"
        moves
        @add="(id) => add('parts', { id, label: `Another ${words.part}` }, `${words.part} into a diagram`)"
        @drop="dropPart"
        @move="(id, by) => move('parts', id, by, `${words.part} moved`)"
      >
        <template #default="{ row }">
          <FieldInPlace
            :value="row.label"
            :save="saves('parts', row.id, 'label', words.part)"
            required
            class="words"
            :maxlength="LABEL_LONGEST"
            :aria-label="words.part"
          />
          <FieldInPlace
            v-if="words.text"
            :value="row.text ?? ''"
            :save="saveText(row.id)"
            lines
            class="small"
            maxlength="400"
            :placeholder="words.text"
            :aria-label="words.text"
          />
        </template>
      </CheckRows>
      <CheckRows
        v-if="body.form === 'roles'"
        :rows="links"
        one="handing on"
        :name-of="({ label }) => label"
        :may-edit="body.parts.length > 1"
        moves
        @add="addLink"
        @drop="(id) => changeLinks((all) => all.filter((link) => link.id !== id))"
        @move="moveLink"
      >
        <template #default="{ row }">
          <div class="line small">
            <FieldSelect
              :model-value="row.from"
              :items="people"
              label="Who"
              class="w-40"
              @update:model-value="changeLink(row.id, { from: $event })"
            />
            <FieldInPlace
              :value="row.label"
              :save="saveLink(row.id)"
              required
              class="words"
              :maxlength="LABEL_LONGEST"
              aria-label="What goes from one to the other"
            />
            <FieldSelect
              :model-value="row.to"
              :items="people"
              label="To whom"
              class="w-40"
              @update:model-value="changeLink(row.id, { to: $event })"
            />
          </div>
        </template>
      </CheckRows>
    </template>
  </NodeViewWrapper>
</template>

<style scoped>
.drawn {
  background: var(--sheet);
  padding: 10px 12px;
  border-radius: 3px;
}
.drawn :deep(figure) {
  margin: 0;
}
.title {
  font-weight: 700;
}
</style>
