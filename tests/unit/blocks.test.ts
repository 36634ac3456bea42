import { parseHTML } from 'linkedom';
import { describe, expect, it } from 'vitest';
import { createSSRApp, h } from 'vue';
import { renderToString } from 'vue/server-renderer';
import { blockTexts, checkIn, formOf, plainText, type Block } from '../../core/blocks/forms';
import type { PageView } from '../../core/blocks/page';
import { blockHtml } from '../../core/blocks/pages';
import { TURNABLE, turnBlocks } from '../../core/blocks/turn';
import { blockWords } from '../../core/brief/sizing';
import { evidencedSentences, plainRun, sentenceHash, textOf, type RichText } from '../../core/document/rich-text';
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
  credit: () => undefined,
  media: ({ hash }) => `m/${hash}`,
  words,
};
const DONE_BY_LEARNERS = ['survey', 'gallery', 'clip', 'files'];
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
const asLearnersSee = (block: Block) =>
  renderToString(
    createSSRApp({ render: () => h(BlockView, { block, view: { ...view, language: 'en', embeds: [] } }) }),
  );

describe.each(SHOWN.map((block) => [block.kind, block] as const))('a block of the kind %s', (_, block) => {
  it('says the same on a page without a script as to learners, with the same styles', async () => {
    const page = seen(blockHtml(block, view));
    const learners = seen(await asLearnersSee(block));
    // What learners fill in, play or leaf through is printed elsewhere; both say the same.
    const { plain } = formOf(block);
    if (DONE_BY_LEARNERS.includes(block.kind))
      for (const said of plain!({ ...block.body, thanks: undefined }))
        for (const { words } of [page, learners]) expect(words).toContain(said);
    else expect(page).toEqual(learners);
    for (const text of blockTexts(block)) expect(page.words).toContain(textOf(text));
  });

  it('has words to find it by, and takes time', () => {
    for (const text of blockTexts(block)) expect(plainText(block)).toContain(textOf(text));
    expect(plainText(block)).not.toBe('');
    if (block.kind !== 'code' && block.kind !== 'divider') expect(blockWords(block)).toBeGreaterThan(0);
  });

  it('is turned into what can hold its words, and back, and loses none', () => {
    let serial = 0;
    const id = () => anId(`turned ${serial++}`);
    for (const kind of TURNABLE) {
      const turned = turnBlocks([block], kind, id);
      expect(letters(turned), kind).toEqual(letters([block]));
      expect(turned[0].id).toBe(block.id);
      expect(letters(turnBlocks(turned, block.kind, id)), `${kind} and back`).toEqual(letters([block]));
    }
  });
});

/** Every word of some blocks, in the order of the alphabet, without what joins a title to what is under it. */
function letters(blocks: readonly Block[]): string {
  return blocks
    .flatMap((each) => [
      ...blockTexts(each).map(textOf),
      ...(each.kind === 'terms' ? (formOf(each).plain?.(each.body) ?? []) : []),
    ])
    .join(' ')
    .replaceAll(':', ' ')
    .split(/\s+/)
    .filter(Boolean)
    .sort()
    .join(' ');
}

describe('turning', () => {
  const at = (name: string, words: string): RichText => [
    {
      type: 'text',
      text: words,
      marks: [
        {
          type: 'evidence',
          attrs: { id: anId(name), passages: [{ id: anId('p'), from: 0, to: words.length }], was: sentenceHash(words) },
        },
      ],
    },
  ];
  const table: Block = {
    id: anId('t'),
    kind: 'table',
    body: {
      header: [plainRun('Severity'), plainRun('First reply'), plainRun('Update')],
      rows: [
        [at('a', 'S1'), at('b', '30 minutes'), at('c', '1 hour')],
        [at('d', 'S2'), at('e', '2 hours'), []],
      ],
    },
  };
  const id = () => anId('fresh');

  it.each(['cards', 'panels', 'list', 'steps', 'text'] as const)(
    'a table into %s and back gives the table, its header and the evidence of each cell',
    (kind) => {
      let serial = 0;
      const turned = turnBlocks([table], kind, () => anId(`further ${serial++}`));
      expect(turned.flatMap(blockTexts).flatMap(evidencedSentences)).toHaveLength(5);
      const back = turnBlocks(turned, 'table', id);
      expect(back.flatMap(blockTexts).flatMap(evidencedSentences)).toHaveLength(5);
      // Paragraphs do not say where a row ends.
      if (kind !== 'text') expect(back).toEqual([{ ...table, id: turned[0].id }]);
    },
  );

  it('two paragraphs become the two sides of one block, and paragraphs again', () => {
    const text = (name: string, words: string): Block => ({
      id: anId(name),
      kind: 'text',
      body: { text: at(name, words) },
    });
    const before = [text('x', 'Lift with the legs.'), text('y', 'Never lift with the back.')];
    const [both, ...rest] = turnBlocks(before, 'sides', id);
    expect(rest).toEqual([]);
    expect(both.body).toMatchObject({ left: { items: [at('x', 'Lift with the legs.')] } });
    expect(turnBlocks([both], 'text', () => before[1].id)).toEqual(before);
  });

  it('words that stand on a passage are no term, which is letters alone: such cards stay cards', () => {
    const cards: Block = {
      id: anId('c'),
      kind: 'cards',
      body: { cards: [{ front: at('f', 'Slip'), back: [at('g', 'A note.')] }] },
    };
    expect(turnBlocks([cards], 'terms', id)).toEqual([cards]);
  });

  it('tabs shut each other under one name, wherever they are shown', () => {
    const panels: Block = {
      id: anId('q'),
      kind: 'panels',
      body: { show: 'tabs', panels: ['By bus', 'By car'].map((title) => ({ title: plainRun(title), texts: [[]] })) },
    };
    const names = blockHtml(panels, view).match(/name="[^"]+"/g)!;
    expect(names).toHaveLength(2);
    expect(new Set(names).size).toBe(1);
  });
});
