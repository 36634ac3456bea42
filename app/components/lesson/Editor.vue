<script setup lang="ts">
import { mergeAttributes, Node, type JSONContent } from '@tiptap/core';
import type { Node as PmNode } from '@tiptap/pm/model';
import { TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { EditorContent, useEditor, VueNodeViewRenderer } from '@tiptap/vue-3';
import type { Block, BlockKind } from '~~/core/blocks/forms';
import { turnBlocks } from '~~/core/blocks/turn';
import { sameData } from '~~/core/document/canonical';
import type { Lesson } from '~~/core/course/course';
import { putParts } from '~~/core/course/parts';
import { pageOperations } from '~~/core/course/lesson-changes';
import type { EvidenceMark, PassageRange } from '~~/core/document/rich-text';
import { wordsFor } from '~~/core/words';
import { fromNode, toNode } from '~/blocks';
import { cleanHtml } from '~/editor/clean';
import { attach, detach } from '~/editor/evidence';
import { settleSelection } from '~/editor/settle';
import { putBehind, topAtCursor, topOf } from '~/editor/tops';
import { firstWords } from '~/editor/tools';
import { lessonExtensions } from '~/editor/schema';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';
import { useStale } from '~/stores/stale';
import CheckPlace from './CheckPlace.vue';

/**
 * One editor for a lesson's whole page. Its top nodes are the blocks; what changed is given to the course as
 * operations.
 */
const props = defineProps<{ lesson: Lesson }>();
const emit = defineEmits<{ at: [EvidenceMark['attrs'] | null, string | null] }>();
const desk = useCourse();
const stale = useStale();
const REST = 600;
const BURST = 3000;

const checkPlace = Node.create({
  name: 'checkPlace',
  group: 'block',
  atom: true,
  draggable: true,
  addAttributes: () => ({ checkId: { default: null } }),
  parseHTML: () => [],
  renderHTML: ({ HTMLAttributes }) => ['div', mergeAttributes(HTMLAttributes, { 'data-check-place': '' })],
  addNodeView: () => VueNodeViewRenderer(CheckPlace),
});

const { coming, takeFiles, takesOver } = usePastedParts({
  insert: (blocks) => insert(blocks),
  insertBehind: (id, blocks) => insertBehind(id, blocks),
  at: () => currentTop()?.node.attrs.id as string | undefined,
  go: (at) => void editor.value?.commands.setTextSelection(at),
});

/** Elements that stand under parts of the page. */
const beside = new Map<string, HTMLElement>();
/** A place under a part; without one, what stood there goes. */
function placeBeside(block: string, stands: boolean): HTMLElement | undefined {
  if (stands) beside.set(block, document.createElement('div'));
  else beside.delete(block);
  redraw();
  return beside.get(block);
}

/** Blocks as the course holds them, in order; and the node that shows each. */
let known: readonly Block[] = props.lesson.blocks;
let nodes = new WeakMap<PmNode, Block>();
let timer: ReturnType<typeof setTimeout> | undefined;
const holds = useTyping();
let burst = { group: '', at: 0 };

const page = (blocks: readonly Block[]): JSONContent => ({
  type: 'doc',
  content: blocks.length > 0 ? blocks.map(toNode) : [{ type: 'paragraph', attrs: { id: freshId('b') } }],
});

const editor = useEditor({
  extensions: lessonExtensions(
    checkPlace,
    wordsFor(desk.course!.language).words,
    () => stale.ids,
    () => beside,
    () => desk.course?.id ?? '',
  ),
  content: page(known),
  editable: desk.mayEdit,
  editorProps: {
    handleDOMEvents: { keydown: (view) => settleSelection(view) },
    handlePaste: (_, event) => takesOver(event.clipboardData),
    transformPastedHTML: cleanHtml,
    handleDrop: (view, event, _, moved) =>
      !moved && takesOver(event.dataTransfer, view.posAtCoords({ left: event.clientX, top: event.clientY })?.pos),
    attributes: {
      role: 'textbox',
      'aria-multiline': 'true',
      'aria-label': 'Page of the lesson',
      class: 'page up-page',
    },
  },
  onCreate: ({ editor: made }) => remember(made.state.doc),
  onUpdate: ({ transaction }) => {
    if (transaction.getMeta('shown')) return;
    clearTimeout(timer);
    holds(true);
    timer = setTimeout(flush, REST);
  },
  onBlur: () => flush(),
  onSelectionUpdate: ({ editor: now }) => tellPlace(now.state.selection.$from),
});

/** Notes which node shows which block, so that what was not touched is never converted back. */
function remember(doc: PmNode) {
  nodes = new WeakMap();
  const byId = new Map(known.map((block) => [block.id, block]));
  doc.forEach((node) => {
    const block = byId.get(node.attrs.id as string);
    if (block) nodes.set(node, block);
  });
}

function blocksNow(): Block[] {
  const blocks: Block[] = [];
  editor.value!.state.doc.forEach((node) => {
    const block = nodes.get(node) ?? fromNode(node.toJSON() as JSONContent);
    if (!block) return;
    nodes.set(node, block);
    blocks.push(block);
  });
  // The empty line at the end is there to write on, and no part of the page until something stands on it.
  const last = blocks.at(-1);
  return last?.kind === 'text' && last.body.text.length === 0 && !known.some((block) => block.id === last.id)
    ? blocks.slice(0, -1)
    : blocks;
}

/**
 * Gives what changed to the course, against the page as it was known here: what somebody else changed meanwhile is not
 * written over, both are kept. Successive bursts within three seconds are one gesture.
 */
function flush() {
  clearTimeout(timer);
  if (!editor.value || !desk.mayEdit || !desk.course) return;
  const lesson = desk.lessons.find((each) => each.id === props.lesson.id);
  const next = blocksNow();
  const operations = pageOperations(props.lesson.id, known, next);
  if (operations.length === 0) return holds(false);
  const typing = operations.every((operation) => operation.type === 'set');
  const group = typing && Date.now() - burst.at < BURST ? burst.group : freshId('g');
  burst = { group, at: Date.now() };
  // A page that was drafted and is written on is in work.
  const working = lesson && (lesson.state === 'drafted' || (lesson.state === 'blank' && lesson.blocks.length === 0));
  const title = lesson?.title ?? props.lesson.title;
  // Known before it is given: showing what came of it looks at that.
  known = next;
  desk.type(
    typing ? `words in “${title}”` : `page of “${title}”`,
    working
      ? [...operations, { type: 'set', id: props.lesson.id, field: 'state', value: 'in-work', was: lesson.state }]
      : operations,
    group,
  );
  holds(false);
  const stands = desk.lessons.find((each) => each.id === props.lesson.id)?.blocks;
  if (!stands) return;
  known = stands;
  show(true);
}

/**
 * Shows the course's page when it was changed by other hands: undo, a draft, another window. Blocks that are the same
 * keep their nodes. Words typed since are given to the course first, so that they are in it, or beside it, before
 * anything takes their place.
 */
function show(given = false) {
  if (!given) flush();
  const lesson = desk.lessons.find((each) => each.id === props.lesson.id);
  if (!lesson || !editor.value) return;
  known = lesson.blocks;
  const { state, view } = editor.value;
  const { doc } = state;
  const shown = new Map<string, PmNode>();
  doc.forEach((node) => void shown.set(node.attrs.id as string, node));
  const wanted = known.map((block) => {
    const node = shown.get(block.id);
    const had = node && (nodes.get(node) ?? fromNode(node.toJSON() as JSONContent));
    return node && had && sameData(had, block) ? node : state.schema.nodeFromJSON(toNode(block));
  });
  // An empty line that somebody has just made to write on is no part of the course yet.
  const here = new Set(known.map((block) => block.id));
  doc.forEach((node, _, index) => {
    if (here.has(node.attrs.id as string) || !isBlankLine(node) || (index < doc.childCount - 1 && wanted.length > 0))
      return;
    wanted.push(node);
  });
  const content =
    wanted.length > 0 ? wanted : [state.schema.nodeFromJSON({ type: 'paragraph', attrs: { id: freshId('b') } })];
  if (content.length !== doc.childCount || content.some((node, index) => node !== doc.child(index))) {
    const at = state.selection.from;
    view.dispatch(
      state.tr.replaceWith(0, doc.content.size, content).setMeta('addToHistory', false).setMeta('shown', true),
    );
    editor.value.commands.setTextSelection(Math.min(at, editor.value.state.doc.content.size));
  }
  remember(editor.value.state.doc);
}
const isBlankLine = (node: PmNode) => node.type.name === 'paragraph' && node.content.size === 0;
watch(
  () => desk.outside,
  () => show(),
);
watch(
  () => props.lesson.blocks,
  (blocks) => {
    // Changes of ours come back as the same list.
    if (blocks !== known) show();
  },
);

/** Tells what the sentence at the cursor stands on, and the block it is in. */
function tellPlace($from: {
  parent: PmNode;
  parentOffset: number;
  marks: () => readonly { type: { name: string }; attrs: Record<string, unknown> }[];
  node: (depth: number) => PmNode;
  depth: number;
}) {
  const { nodeAfter, nodeBefore } = $from as unknown as { nodeAfter: PmNode | null; nodeBefore: PmNode | null };
  const marks = [...(nodeBefore?.marks ?? []), ...(nodeAfter?.marks ?? [])];
  const mark =
    (nodeAfter?.marks ?? []).find((each) => each.type.name === 'evidence') ??
    marks.find((each) => each.type.name === 'evidence');
  const top = $from.depth > 0 ? $from.node(1) : null;
  const own = top?.attrs.evidence as EvidenceMark['attrs']['passages'] | null | undefined;
  emit(
    'at',
    mark ? (mark.attrs as EvidenceMark['attrs']) : own?.length ? { id: 'block', passages: own, was: '' } : null,
    (top?.attrs.id as string | undefined) ?? null,
  );
}

const currentTop = () => topAtCursor(editor.value!.state);
const nodesOf = (blocks: readonly Block[]) =>
  blocks.map((block) => editor.value!.state.schema.nodeFromJSON(toNode(block)));
/** Puts blocks behind the one at the cursor; `fresh` ones have their first words marked, to be typed over. */
function insert(blocks: readonly Block[], fresh = false) {
  const from = putBehind(editor.value!.view, currentTop(), nodesOf(blocks));
  editor.value!.commands.setTextSelection(fresh ? firstWords(editor.value!.state.doc, from) : from + 1);
  editor.value!.commands.focus();
  flush();
}
/** Puts blocks behind a part, or at the end where it went; the cursor stays with whoever types meanwhile. */
function insertBehind(id: string | undefined, blocks: readonly Block[]) {
  // What was on its way when its page was left comes into the course all the same.
  const left = !editor.value || editor.value.isDestroyed;
  const page = left && desk.lessons.find((each) => each.id === props.lesson.id);
  if (page) desk.change('what was on its way to a page', putParts(page, blocks, { behind: id }));
  if (left) return;
  const { view, state } = editor.value!;
  putBehind(view, topOf(state.doc, id), nodesOf(blocks));
  flush();
}
/** Shows the parts that are selected, or the one at the cursor, as one of another kind. */
function turn(kind: BlockKind) {
  const { state, view } = editor.value!;
  const { $from, $to } = state.selection;
  const [first, last] = [$from.index(0), Math.min($to.index(0), state.doc.childCount - 1)];
  let [from, to] = [0, 0];
  const blocks: Block[] = [];
  state.doc.forEach((node, at, index) => {
    if (index < first || index > last) return;
    if (index === first) from = at;
    to = at + node.nodeSize;
    const block = fromNode(node.toJSON() as JSONContent);
    if (block) blocks.push(block);
  });
  const turned = turnBlocks(blocks, kind, () => freshId('b'));
  if (blocks.length === 0 || turned === blocks) return;
  const shown = turned.map((block) => state.schema.nodeFromJSON(toNode(block)));
  const tr = state.tr.replaceWith(from, to, shown);
  const end = from + shown.reduce((sum, node) => sum + node.nodeSize, 0);
  // Whoever goes on writing does so behind the words that are there.
  view.dispatch(tr.setSelection(TextSelection.near(tr.doc.resolve(end - 1), -1)));
  editor.value!.commands.focus();
  flush();
}
const remove = () =>
  change(({ tr }) => {
    const top = currentTop();
    return top ? tr.delete(top.at, top.at + top.node.nodeSize) : undefined;
  });
function move(by: -1 | 1) {
  const top = currentTop();
  const { state, view } = editor.value!;
  const other = top ? top.index + by : -1;
  if (!top || other < 0 || other >= state.doc.childCount) return;
  const neighbour = state.doc.child(other);
  const offset = state.selection.from - top.at;
  const from = by < 0 ? top.at - neighbour.nodeSize : top.at;
  const pair = by < 0 ? [top.node, neighbour] : [neighbour, top.node];
  view.dispatch(state.tr.replaceWith(from, from + top.node.nodeSize + neighbour.nodeSize, pair));
  editor.value!.commands.setTextSelection((by < 0 ? from : from + neighbour.nodeSize) + offset);
  flush();
}
/** Nothing of the page changed, but what is marked in it or stands under it. */
function redraw() {
  const { value } = editor;
  if (value && !value.isDestroyed) value.view.dispatch(value.state.tr.setMeta('addToHistory', false));
}
watch(() => stale.ids, redraw);
/** Ids of the parts that are selected, or of the one at the cursor. */
function selectedParts(): string[] {
  const { doc, selection } = editor.value!.state;
  const [first, last] = [selection.$from.index(0), selection.$to.index(0)];
  const ids: string[] = [];
  doc.forEach((node, _, index) => {
    if (index >= first && index <= last) ids.push(node.attrs.id as string);
  });
  return ids;
}
/** Puts another part in the place of one, or behind it. */
function replacePart(id: string, block: Block, behind = false) {
  const { state, view } = editor.value!;
  let found: [number, number] | undefined;
  state.doc.forEach((node, at) => {
    if (node.attrs.id === id) found = [behind ? at + node.nodeSize : at, at + node.nodeSize];
  });
  if (!found) return;
  view.dispatch(state.tr.replaceWith(found[0], found[1], state.schema.nodeFromJSON(toNode(block))));
  flush();
}
/** Puts other words of a source in place of a sentence. */
function replaceSentence(id: string, text: string, attrs: EvidenceMark['attrs']) {
  const { state, view } = editor.value!;
  const places: [number, number][] = [];
  state.doc.descendants((node, at) => {
    if (
      node.isText &&
      node.marks.some((mark) => mark.type.name === 'evidence' && (mark.attrs as EvidenceMark['attrs']).id === id)
    )
      places.push([at, at + node.nodeSize]);
  });
  if (places.length === 0) return;
  view.dispatch(
    state.tr.replaceWith(
      places[0]![0],
      places.at(-1)![1],
      state.schema.text(text, [state.schema.mark('evidence', attrs)]),
    ),
  );
  editor.value!.commands.focus();
  flush();
}
/** Makes a change that is no typing, as a gesture of its own; false where there is nothing to change. */
function change(make: (state: EditorState) => Transaction | undefined): boolean {
  // What was typed before is given to the course first.
  flush();
  burst = { group: '', at: 0 };
  const transaction = make(editor.value!.state);
  if (!transaction) return false;
  editor.value!.view.dispatch(transaction);
  tellPlace(editor.value!.state.selection.$from);
  flush();
  burst = { group: '', at: 0 };
  return true;
}
/** Puts the part at the cursor beside the one before it, or below it again. */
function pair() {
  change(({ tr }) => {
    const top = currentTop();
    return top && top.index > 0
      ? tr.setNodeAttribute(top.at, 'paired', top.node.attrs.paired ? null : true)
      : undefined;
  });
}
/** Puts the cursor into a part, and the part into sight. */
function goTo(id: string) {
  const { state, view } = editor.value!;
  state.doc.forEach((node, at) => {
    if (node.attrs.id !== id) return;
    view.dispatch(state.tr.setSelection(TextSelection.near(state.doc.resolve(at + 1))));
    (view.nodeDOM(at) as HTMLElement | null)?.scrollIntoView({ block: 'center' });
  });
  view.focus();
}
const off = desk.onFlush(flush);
onBeforeUnmount(() => {
  flush();
  off();
});
defineExpose({
  made: editor,
  placeBeside,
  selectedParts,
  replacePart,
  insert,
  takeFiles,
  replaceSentence,
  turn,
  remove,
  move,
  pair,
  goTo,
  attach: (range: PassageRange) => change((state) => attach(state, range, desk.course!.language, () => freshId('e'))),
  detach: (mark: string, passage: string) => change((state) => detach(state, mark, passage)),
  at: (): string | undefined => currentTop()?.node.attrs.id as string | undefined,
  focus: () => editor.value?.commands.focus(),
});
</script>

<template>
  <EditorContent :editor="editor" class="lesson-page" data-keys="page" />
  <MediaComing :coming="coming" />
</template>
