import { mergeAttributes, Node } from '@tiptap/core';
import { CALLOUT_TONES, type CalloutBody, type CalloutTone } from '~~/core/blocks/callout/form';
import { labelOver, wordsWithin } from '../box';
import { ofParagraphs, paragraphsOf, type BlockNode } from '../node';

const TONES: Record<CalloutTone, string> = {
  note: 'Note',
  tip: 'Tip',
  warning: 'Warning',
  why: 'Why',
  example: 'Example',
  case: 'Case',
  experience: 'From experience',
};

export const callout: BlockNode<CalloutBody> = {
  label: 'Note, tip or warning',
  nodes: ['callout'],
  to: ({ tone, paragraphs }) => ofParagraphs('callout', paragraphs, { tone }),
  from: (node) => ({
    tone: CALLOUT_TONES.find((tone) => tone === node.attrs?.tone) ?? 'note',
    paragraphs: paragraphsOf(node),
  }),
  extensions: (words) => [
    Node.create({
      name: 'callout',
      group: 'block',
      content: 'paragraph+',
      defining: true,
      addAttributes: () => ({
        tone: {
          default: 'note',
          parseHTML: (element) => element.getAttribute('data-tone'),
          renderHTML: ({ tone }) => ({ 'data-tone': tone as string }),
        },
      }),
      parseHTML: () => [{ tag: 'aside[data-tone]', contentElement: wordsWithin }],
      renderHTML: ({ node, HTMLAttributes }) => {
        const tone = node.attrs.tone as CalloutTone;
        const attributes = mergeAttributes(HTMLAttributes, { class: `up-callout up-${tone}` });
        return ['aside', attributes, labelOver(words.callout[tone]), ['div', 0]];
      },
    }),
  ],
  add: CALLOUT_TONES.map((tone) => ({ label: TONES[tone], body: () => ({ tone, paragraphs: [[]] }) })),
};
