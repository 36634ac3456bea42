<script setup lang="ts">
import type { Editor } from '@tiptap/core';
import { BubbleMenu } from '@tiptap/vue-3/menus';
import { BLOCKS, type Block, type BlockKind } from '~~/core/blocks/forms';
import type { Aim } from '~~/core/rewrite';
import { TURNABLE } from '~~/core/blocks/turn';
import { addable, BLOCK_NODES, kindOfNode } from '~/blocks';
import { useActions } from '~/actions/registry';
import { AIM_WORDS } from '~/words/rewrite';
import { asAddress, linkAt, setLink, TABLE_TOOLS, type Tool } from '~/editor/tools';
import { freshId } from '~/composables/useApi';

/** What can be done on a page, in one line over it; what can be done to words stands beside those selected, too. */
const props = defineProps<{
  editor: Editor;
  /** What can be added besides parts of a page. */
  further: { label: string; onSelect: () => void }[][];
}>();
const emit = defineEmits<{ add: [Block]; turn: [BlockKind]; split: []; pair: []; rewrite: [Aim, boolean] }>();
const adding = ref(false);
const showing = ref(false);
const rewriting = ref(false);
const linking = ref(false);
const address = ref('');
const refused = ref(false);

/** The menus give the cursor back to the page, into what they made, not to their button. */
const content = { onCloseAutoFocus: (event: Event) => event.preventDefault(), align: 'start' as const };
/** What is chosen from a list shuts it. */
const shutting = (list: Ref<boolean>, chosen: () => void) => () => {
  list.value = false;
  chosen();
};
const addGroups = computed(() => [
  {
    id: 'parts',
    items: addable(() => freshId('b')).map(({ label, make }) => ({
      label,
      onSelect: shutting(adding, () => emit('add', make())),
    })),
  },
  ...props.further.map((items, at) => ({
    id: `further-${at}`,
    items: items.map(({ label, onSelect }) => ({
      label,
      onSelect: shutting(adding, onSelect),
    })),
  })),
]);
const showGroups = computed(() => [
  {
    id: 'kinds',
    items: TURNABLE.filter((each) => each !== kind.value).map((kind) => ({
      label: BLOCK_NODES[kind].label,
      onSelect: shutting(showing, () => emit('turn', kind)),
    })),
  },
  {
    id: 'split',
    items: [
      {
        label: 'A lesson of its own, from here on',
        onSelect: shutting(showing, () => emit('split')),
      },
    ],
  },
]);
/** Kind of the part at the cursor. */
const kind = computed(() => {
  const { doc, selection } = props.editor.state;
  return kindOfNode(doc.maybeChild(selection.$from.index(0))?.type.name);
});
const paired = computed(() => {
  const { doc, selection } = props.editor.state;
  return doc.maybeChild(selection.$from.index(0))?.attrs.paired === true;
});
const rewriteGroups = computed(() =>
  [false, true].map((whole) => ({
    id: whole ? 'whole' : 'part',
    label: whole ? 'The whole lesson' : 'What is selected, or this part',
    items: (Object.keys(AIM_WORDS) as Aim[]).map((aim) => ({
      label: AIM_WORDS[aim].label,
      suffix: AIM_WORDS[aim].also,
      onSelect: shutting(rewriting, () => emit('rewrite', aim, whole)),
    })),
  })),
);
const turnable = computed(() => kind.value !== undefined && BLOCKS[kind.value].fromEntries !== undefined);
const inTable = computed(() => props.editor.isActive('table'));

function openLink() {
  address.value = linkAt(props.editor);
  refused.value = false;
  linking.value = true;
}
function takeLink() {
  const href = address.value.trim() === '' ? '' : asAddress(address.value);
  if (href === undefined) return void (refused.value = true);
  linking.value = false;
  setLink(props.editor, href);
}
const press = (tool: Tool) => void tool.run(props.editor);
const turnTo = (kind: BlockKind) => () => emit('turn', kind);

useActions([
  {
    id: 'l-add',
    label: 'Add a part here',
    key: 'Alt+A',
    area: 'Lesson',
    when: () => props.editor.isEditable,
    run: () => void (adding.value = true),
  },
  {
    id: 'l-show',
    label: 'Show this part as something else',
    key: 'Alt+W',
    area: 'Lesson',
    when: () => props.editor.isEditable,
    run: () => void (showing.value = turnable.value),
  },
  {
    id: 'l-rewrite',
    label: 'Rewrite towards an aim',
    key: 'Alt+Shift+R',
    area: 'Lesson',
    when: () => props.editor.isEditable,
    run: () => void (rewriting.value = true),
  },
  {
    id: 'l-link',
    label: 'Link',
    key: 'Ctrl+Alt+L',
    within: 'page',
    area: 'Lesson',
    when: () => props.editor.isEditable,
    run: openLink,
  },
]);
</script>

<template>
  <div class="tools" role="toolbar" aria-label="Page of the lesson">
    <LessonMarks :editor="editor" @link="openLink" />
    <i />
    <UButton
      v-for="each in ['heading', 'list', 'table', 'callout'] as const"
      :key="each"
      size="xs"
      color="neutral"
      variant="ghost"
      :disabled="!turnable"
      :aria-pressed="kind === each"
      :title="`Show this part as: ${BLOCK_NODES[each].label.toLowerCase()}`"
      @mousedown.prevent
      @click="turnTo(each)()"
      >{{ each }}</UButton
    >
    <UButton
      size="xs"
      color="neutral"
      variant="ghost"
      :aria-pressed="paired"
      title="Beside the part before it, where the page is wide enough"
      @mousedown.prevent
      @click="emit('pair')"
      >beside</UButton
    >
    <i />
    <UPopover v-model:open="adding" :content="content">
      <UButton size="xs" color="neutral" variant="ghost">add <kbd>Alt A</kbd></UButton>
      <template #content>
        <UCommandPalette :groups="addGroups" placeholder="What to add" class="palette" autofocus />
      </template>
    </UPopover>
    <UPopover v-model:open="showing" :content="content">
      <UButton size="xs" color="neutral" variant="ghost" :disabled="!turnable">show as <kbd>Alt W</kbd></UButton>
      <template #content>
        <UCommandPalette :groups="showGroups" placeholder="Show this part as" class="palette" autofocus />
      </template>
    </UPopover>
    <UPopover v-model:open="rewriting" :content="content">
      <UButton size="xs" color="neutral" variant="ghost">rewrite <kbd>Alt ⇧ R</kbd></UButton>
      <template #content>
        <UCommandPalette :groups="rewriteGroups" placeholder="What it should become" class="palette wide" autofocus />
      </template>
    </UPopover>
    <template v-if="inTable">
      <i />
      <UButton
        v-for="tool in TABLE_TOOLS"
        :key="tool.label"
        size="xs"
        color="neutral"
        variant="ghost"
        :aria-label="tool.label"
        :title="tool.label"
        @mousedown.prevent
        @click="press(tool)"
        >{{ tool.sign }}</UButton
      >
    </template>
    <form v-if="linking" class="linking" @submit.prevent="takeLink" @keydown.esc="linking = false">
      <UInput
        v-model="address"
        size="xs"
        autofocus
        placeholder="Address, or nothing for no link"
        aria-label="Address"
      />
      <UButton type="submit" size="xs" color="neutral" variant="outline">Link</UButton>
      <span v-if="refused" class="small" role="alert">That is no address of a page or of a person.</span>
    </form>
  </div>
  <BubbleMenu
    :editor="editor"
    :should-show="({ from, to, editor: now }) => to > from && now.isEditable && now.isFocused"
    class="beside"
  >
    <LessonMarks :editor="editor" @link="openLink" />
  </BubbleMenu>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px;
  padding: 3px 14px;
  border-bottom: 1px solid var(--hair);
  min-height: 36px;
}
.tools i {
  width: 1px;
  height: 18px;
  margin: 0 5px;
  background: var(--hair);
}
/* The marks of the words, here and beside what is selected, are tools, too. */
.tools :deep(button),
.beside :deep(button) {
  min-width: 26px;
  min-height: 26px;
  justify-content: center;
}
.tools :deep([aria-pressed='true']),
.beside :deep([aria-pressed='true']) {
  background: var(--moss-soft);
}
.palette {
  width: 300px;
  height: 340px;
}
.palette.wide {
  width: 460px;
}
.linking {
  display: flex;
  align-items: center;
  gap: 6px;
  flex: 1 1 100%;
}
.linking > :first-child {
  flex: 0 1 320px;
}
.beside {
  background: var(--sheet);
  border: 1px solid var(--hair);
  border-radius: 4px;
  padding: 2px;
  box-shadow: 0 3px 12px rgb(0 0 0 / 0.12);
}
</style>
