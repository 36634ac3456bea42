import type { Nodes, Root } from 'mdast';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { gfmFromMarkdown } from 'mdast-util-gfm';
import { gfm } from 'micromark-extension-gfm';

/** A demo text: its title and what stands under it, the title's own heading left out. */
export function demoText(source: string): { title: string; tree: Root; fields: Record<string, string> } {
  const front = /^---\n([\s\S]*?)\n---\n/.exec(source);
  const fields = Object.fromEntries(
    [...(front?.[1] ?? '').matchAll(/^(\w+):\s*(.+)$/gm)].map((match) => [match[1], match[2]]),
  );
  const tree = fromMarkdown(source.slice(front?.[0].length ?? 0), {
    extensions: [gfm()],
    mdastExtensions: [gfmFromMarkdown()],
  });
  if (tree.children[0]?.type === 'heading' && tree.children[0].depth === 1) tree.children.shift();
  return { title: fields.title, tree, fields };
}

/** Runs of a paragraph: its words, and whether they are bold. */
export function runsOf(node: Nodes, bold = false): { text: string; bold: boolean }[] {
  if (node.type === 'text' || node.type === 'inlineCode') return [{ text: node.value, bold }];
  return 'children' in node
    ? (node.children as Nodes[]).flatMap((child) => runsOf(child, bold || node.type === 'strong'))
    : [];
}

/** The words of a node. */
export function plain(node: Nodes): string {
  return runsOf(node)
    .map((run) => run.text)
    .join('');
}
