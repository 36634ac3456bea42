import type { JSONContent } from '@tiptap/core';
import { canonicalRichText, type RichText, type TextMark } from '~~/core/document/rich-text';

const TO_EDITOR: Record<string, string> = { strong: 'bold', emphasis: 'italic' };
const FROM_EDITOR: Record<string, string> = { bold: 'strong', italic: 'emphasis' };

/** Rich text of the document as nodes of the editor. */
export function toInline(text: RichText): JSONContent[] {
  return text.map((run) => ({
    type: 'text',
    text: run.text,
    ...(run.marks && {
      marks: run.marks.map((mark) => ({
        type: TO_EDITOR[mark.type] ?? mark.type,
        ...('attrs' in mark && { attrs: mark.attrs as Record<string, unknown> }),
      })),
    }),
  }));
}

/** Nodes of the editor as rich text, in its one form: default attributes gone, line breaks spaces. */
export function fromInline(nodes: readonly JSONContent[] = []): RichText {
  return canonicalRichText(
    nodes.flatMap((node) => {
      if (node.type === 'hardBreak') return [{ type: 'text' as const, text: ' ' }];
      if (node.type !== 'text' || !node.text) return [];
      const marks = (node.marks ?? []).flatMap((mark): TextMark[] => {
        const type = FROM_EDITOR[mark.type] ?? mark.type;
        if (type === 'link') {
          const href = String(mark.attrs?.href ?? '');
          return /^(https?:\/\/|mailto:)\S+$/.test(href) ? [{ type, attrs: { href } }] : [];
        }
        if (type === 'evidence')
          return [
            {
              type,
              attrs: {
                id: mark.attrs!.id as string,
                passages: mark.attrs!.passages as never,
                was: mark.attrs!.was as string,
                ...(mark.attrs!.also ? { also: mark.attrs!.also as never } : {}),
                ...(mark.attrs!.hand === true && { hand: true }),
              },
            },
          ];
        return type === 'strong' || type === 'emphasis' || type === 'code' || type === 'connecting' ? [{ type }] : [];
      });
      return [{ type: 'text' as const, text: node.text, ...(marks.length > 0 && { marks }) }];
    }),
  );
}

/** A paragraph node of rich text. */
export function toParagraph(text: RichText): JSONContent {
  return { type: 'paragraph', content: toInline(text) };
}
