import type { Node } from '@tiptap/core';
import { Extension, Mark, mergeAttributes, type Extensions } from '@tiptap/core';
import { Plugin, PluginKey } from '@tiptap/pm/state';
import { Decoration, DecorationSet } from '@tiptap/pm/view';
import type { Node as PmNode } from '@tiptap/pm/model';
import StarterKit from '@tiptap/starter-kit';
import Code from '@tiptap/extension-code';
import ListItem from '@tiptap/extension-list-item';
import Placeholder from '@tiptap/extension-placeholder';
import type { EvidenceMark } from '~~/core/document/rich-text';
import { standingOf, type Standing } from '~~/core/course/standing';
import type { Words } from '~~/core/words';
import { freshId } from '~/composables/useApi';
import { besideParts } from './beside';
import { copiedParts } from './clipboard';
import { blockExtensions, EVIDENCE_NODES, fromNode, TOP_NODES } from '~/blocks';

const hidden = (value: unknown) => ({ default: value, parseHTML: () => value, renderHTML: () => ({}) });

/** Block ids, and evidence of blocks without text of their own; never copied through the clipboard. */
const BlockIds = Extension.create({
  name: 'blockIds',
  addGlobalAttributes: () => [
    { types: TOP_NODES, attributes: { id: hidden(null) } },
    {
      types: TOP_NODES,
      attributes: {
        paired: {
          default: null,
          parseHTML: (element: HTMLElement) => (element.hasAttribute('data-paired') ? true : null),
          renderHTML: ({ paired }: Record<string, unknown>) => (paired ? { 'data-paired': '' } : {}),
        },
      },
    },
    { types: EVIDENCE_NODES, attributes: { evidence: hidden(null) } },
  ],
  addProseMirrorPlugins: () => [
    new Plugin({
      // A split or pasted block gets an id of its own.
      appendTransaction(transactions, _, state) {
        if (!transactions.some((transaction) => transaction.docChanged)) return null;
        const seen = new Set<string>();
        const { tr } = state;
        let changed = false;
        state.doc.forEach((node, at) => {
          const id = node.attrs.id as string | null;
          if (id && !seen.has(id)) return void seen.add(id);
          const fresh = freshId('b');
          seen.add(fresh);
          tr.setNodeAttribute(at, 'id', fresh);
          changed = true;
        });
        return changed ? tr.setMeta('addToHistory', false) : null;
      },
    }),
  ],
});

/** What a drafted sentence stands on. Words typed behind it are the author's own. */
const Evidence = Mark.create({
  name: 'evidence',
  inclusive: false,
  addAttributes: () => ({
    id: hidden(null),
    passages: hidden([]),
    was: hidden(''),
    also: hidden(null),
    hand: hidden(null),
  }),
  parseHTML: () => [],
  renderHTML: ({ HTMLAttributes }) => ['span', mergeAttributes(HTMLAttributes, { class: 'evidence' }), 0],
});

const Connecting = Mark.create({
  name: 'connecting',
  inclusive: false,
  parseHTML: () => [],
  renderHTML: () => ['span', { class: 'connecting' }, 0],
});

const standings = new WeakMap<PmNode, Standing>();
/** The standing of a top node, remembered: nodes do not change, they are replaced. */
export function standingOfNode(node: PmNode): Standing {
  const known = standings.get(node);
  if (known) return known;
  const block = fromNode(node.toJSON() as Parameters<typeof fromNode>[0]);
  const standing = block ? standingOf(block) : 'none';
  standings.set(node, standing);
  return standing;
}

const WORDS: Record<Standing, string> = {
  source: 'Stands on its source',
  changed: 'Changed since it was drafted',
  own: 'Your own words',
  connecting: 'Connecting words of ours',
  none: '',
};

/**
 * Sentences that stand on words which a newer version of their source changed or dropped. `stale`: ids of such
 * passages.
 */
const staleMarks = (stale: () => ReadonlySet<string>) =>
  Extension.create({
    name: 'staleMarks',
    addProseMirrorPlugins: () => [
      new Plugin({
        key: new PluginKey('stale'),
        props: {
          decorations(state) {
            const ids = stale();
            if (ids.size === 0) return null;
            const marks: Decoration[] = [];
            state.doc.descendants((node, at) => {
              const evidence = node.marks.find((mark) => mark.type.name === 'evidence')?.attrs as
                EvidenceMark['attrs'] | undefined;
              if (evidence?.passages.concat(evidence.also ?? []).some((range) => ids.has(range.id)))
                marks.push(
                  Decoration.inline(at, at + node.nodeSize, {
                    class: 'stale',
                    title: 'The source says this differently now',
                  }),
                );
            });
            return DecorationSet.create(state.doc, marks);
          },
        },
      }),
    ],
  });

/** The thin gutter: for each block whether it stands on a source, was changed since, or is the author's own. */
const Gutter = Extension.create({
  name: 'gutter',
  addProseMirrorPlugins: () => [
    new Plugin({
      key: new PluginKey('gutter'),
      props: {
        decorations(state) {
          const marks: Decoration[] = [];
          state.doc.forEach((node, at) => {
            const standing = standingOfNode(node);
            marks.push(
              Decoration.node(at, at + node.nodeSize, {
                class: `standing ${standing}${node.attrs.paired ? ' paired' : ''}`,
                'data-node': node.attrs.id as string,
                ...(WORDS[standing] && { title: WORDS[standing] }),
              }),
            );
          });
          return DecorationSet.create(state.doc, marks);
        },
      },
    }),
  ],
});

/**
 * The lesson's page as the editor knows it. `checkPlace` shows a check where it stands; `words` are what learners read
 * on the page; `stale` gives the passages that are not as they were, `beside` what stands under parts of the page;
 * `course` the id of the course it is of.
 */
export function lessonExtensions(
  checkPlace: Node,
  words: Words,
  stale: () => ReadonlySet<string> = () => new Set(),
  beside: () => ReadonlyMap<string, HTMLElement> = () => new Map(),
  course: () => string = () => '',
): Extensions {
  return [
    StarterKit.configure({
      heading: { levels: [2, 3] },
      blockquote: false,
      horizontalRule: false,
      strike: false,
      underline: false,
      listItem: false,
      code: false,
      undoRedo: false,
      hardBreak: false,
      dropcursor: { color: 'var(--sky)', width: 2 },
      link: { openOnClick: false, autolink: true, protocols: ['http', 'https', 'mailto'] },
    }),
    // Beside other marks: words set in code keep the passage they stand on.
    Code.extend({ excludes: '' }),
    ListItem.extend({ content: 'paragraph (bulletList | orderedList)?' }),
    ...blockExtensions(words),
    Placeholder.configure({ placeholder: 'Write here', showOnlyCurrent: true }),
    BlockIds,
    Evidence,
    Connecting,
    checkPlace,
    Gutter,
    staleMarks(stale),
    besideParts(beside),
    copiedParts(course),
  ];
}
