import { parseHTML } from 'linkedom';
import { describe, expect, it } from 'vitest';
import { createSSRApp, h } from 'vue';
import { renderToString } from 'vue/server-renderer';
import { blockTexts, checkIn, plainText, type Block } from '../../core/blocks/forms';
import type { PageView } from '../../core/blocks/page';
import { blockHtml } from '../../core/blocks/pages';
import { TURNABLE, turnBlock } from '../../core/blocks/turn';
import { blockWords } from '../../core/brief/sizing';
import { textOf } from '../../core/document/rich-text';
import { escape } from '../../core/document/html';
import { wordsFor } from '../../core/words';
import { BlockView } from '../../player/blocks';
import { A_BLOCK_OF_EVERY_KIND } from '../blocks';
import { anId } from '../builders';

const { words } = wordsFor('en');
const view: PageView = {
  rich: (text) => escape(textOf(text)),
  cited: (html) => html,
  check: () => '',
  media: ({ hash }) => `m/${hash}`,
  words,
};
const SHOWN = A_BLOCK_OF_EVERY_KIND.filter((block) => checkIn(block) === undefined);

/** What a piece of HTML says, and the classes of its elements. */
function seen(html: string): { words: string; classes: string[] } {
  const { document } = parseHTML(`<!doctype html><html><body>${html}</body></html>`);
  const classes = [...document.querySelectorAll('[class]')].flatMap((each) => each.className.split(' '));
  return {
    words: (document.body.textContent ?? '').replace(/\s+/g, ' ').trim(),
    classes: [...new Set(classes)].sort(),
  };
}
const asLearnersSee = (block: Block) => renderToString(createSSRApp({ render: () => h(BlockView, { block, view }) }));

describe.each(SHOWN.map((block) => [block.kind, block] as const))('a block of the kind %s', (_, block) => {
  it('says the same on a page without a script as to learners, with the same styles', async () => {
    const page = seen(blockHtml(block, view));
    expect(page).toEqual(seen(await asLearnersSee(block)));
    for (const text of blockTexts(block)) expect(page.words).toContain(textOf(text));
  });

  it('has words to find it by, and takes time', () => {
    for (const text of blockTexts(block)) expect(plainText(block)).toContain(textOf(text));
    expect(plainText(block)).not.toBe('');
    if (block.kind !== 'code') expect(blockWords(block)).toBeGreaterThan(0);
  });

  it('is turned into what can hold its words, and loses none', () => {
    let serial = 0;
    const all = blockTexts(block).filter((text) => text.length > 0);
    for (const kind of TURNABLE) {
      const turned = turnBlock(block, kind, () => anId(`turned ${serial++}`));
      expect(turned.flatMap(blockTexts).filter((text) => text.length > 0)).toEqual(all);
      expect(turned[0].id).toBe(block.id);
    }
  });
});
