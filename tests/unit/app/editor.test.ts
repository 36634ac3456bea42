import { getSchema, Node } from '@tiptap/core';
import { DOMParser, DOMSerializer } from '@tiptap/pm/model';
import { parseHTML } from 'linkedom';
import { describe, expect, it } from 'vitest';
import { lessonExtensions } from '../../../app/editor/schema';
import { wordsFor } from '../../../core/words';
import { addable, fromNode, toNode } from '../../../app/blocks';
import { checkIn, formOf, type Block } from '../../../core/blocks/forms';
import type { Problem } from '../../../core/document/problem';
import { A_BLOCK_OF_EVERY_KIND } from '../../blocks';
import { readArchive } from '../../../core/exchange/archive';
import { allLessons } from '../../../core/course/course';
import { anId, file } from '../../builders';

const checkPlace = Node.create({
  name: 'checkPlace',
  group: 'block',
  atom: true,
  addAttributes: () => ({ checkId: { default: null } }),
});
const schema = getSchema(lessonExtensions(checkPlace, wordsFor('en').words));
const through = (block: Block) => {
  const node = schema.nodeFromJSON(toNode(block));
  node.check();
  return fromNode(node.toJSON() as Parameters<typeof fromNode>[0]);
};

describe('the editor', () => {
  it('gives every block of the demo back as it took it', () => {
    const { document } = readArchive(file('demo/course/lending-tools-safely.uplift.zip'));
    const blocks = allLessons(document.course).flatMap((lesson) => lesson.blocks);
    expect(new Set(blocks.map((block) => block.kind)).size).toBeGreaterThan(6);
    for (const block of blocks) expect(through(block)).toEqual(block);
  });

  it.each(A_BLOCK_OF_EVERY_KIND.map((block) => [block.kind, block] as const))('gives a %s back', (_, block) =>
    expect(through(block)).toEqual(block),
  );
  it('offers new ones that a course can hold, each its own', () => {
    let serial = 0;
    for (const { label, make } of addable(() => anId(`new ${serial++}`))) {
      const problems: Problem[] = [];
      const block = make();
      formOf(block).body.check(block.body, label, problems);
      expect(problems).toEqual([]);
      expect(through(block)).toEqual(block);
    }
    expect(serial).toBeGreaterThan(20);
  });

  it.each(['panels', 'callout'] as const)('takes no %s of a sort that the clipboard made up', (type) => {
    const paragraph = { type: 'paragraph', content: [{ type: 'text', text: 'Lift.' }] };
    const panel = { type: 'panel', content: [{ type: 'panelTitle' }, paragraph] };
    const attrs = { id: anId('b'), show: 'none such', tone: 'none such' };
    const block = fromNode({ type, attrs, content: [type === 'panels' ? panel : paragraph] })!;
    const problems: Problem[] = [];
    formOf(block).body.check(block.body, type, problems);
    expect(problems).toEqual([]);
  });

  const text = [{ type: 'text' as const, text: 'Lift.' }];
  it.each<Block>([
    {
      id: anId('b'),
      kind: 'list',
      body: {
        ordered: true,
        items: [
          { depth: 0, text },
          { depth: 1, text },
          { depth: 2, text },
          { depth: 0, text },
        ],
      },
    },
    { id: anId('b'), kind: 'steps', body: { steps: [{ text, detail: [text, text] }, { text }] } },
    { id: anId('b'), kind: 'terms', body: { terms: [{ term: 'Slip', text }] } },
    { id: anId('b'), kind: 'table', body: { header: [text, text], rows: [[text, []]] } },
    { id: anId('b'), kind: 'table', body: { header: [], rows: [[text, text]] } },
    { id: anId('b'), kind: 'callout', body: { tone: 'warning', paragraphs: [text, text] } },
    { id: anId('b'), kind: 'code', body: { code: 'a  b\nc' }, evidence: [{ id: anId('p'), from: 0, to: 6 }] },
    {
      id: anId('b'),
      kind: 'text',
      body: {
        text: [
          {
            type: 'text',
            text: 'x',
            marks: [
              { type: 'link', attrs: { href: 'https://example.org/' } },
              { type: 'strong' },
              { type: 'emphasis' },
              { type: 'code' },
            ],
          },
        ],
      },
    },
    { id: anId('b'), kind: 'heading', body: { level: 3, text } },
    { id: anId('b'), kind: 'summary', body: { points: [text] } },
  ])('takes and gives back: $kind', (block) => expect(through(block)).toEqual(block));

  it.each(
    A_BLOCK_OF_EVERY_KIND.filter((block) => checkIn(block) === undefined).map((block) => [block.kind, block] as const),
  )('copies and pastes a %s as it is, without the line over it', (_, block) => {
    const { document } = parseHTML('<!doctype html><html><body></body></html>');
    const doc = schema.nodeFromJSON({ type: 'doc', content: [toNode(block)] });
    const copied = DOMSerializer.fromSchema(schema).serializeFragment(doc.content, { document });
    const pasted = document.createElement('div');
    pasted.append(copied);
    const found = DOMParser.fromSchema(schema).parse(pasted).toJSON() as { content: Parameters<typeof fromNode>[0][] };
    const parts = found.content.map((node) => fromNode({ ...node, attrs: { ...node.attrs, id: block.id } }));
    const { id, kind, body, paired } = block;
    expect(parts).toEqual([{ id, kind, body, ...(paired && { paired }) }]);
  });

  it('drops links that could run something', () => {
    const block: Block = { id: anId('b'), kind: 'text', body: { text: [{ type: 'text', text: 'x' }] } };
    const node = toNode(block);
    node.content![0].marks = [{ type: 'link', attrs: { href: 'javascript:alert(1)' } }];
    expect(fromNode(node)).toEqual(block);
  });
});
