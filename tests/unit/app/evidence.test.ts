import { getSchema, Node } from '@tiptap/core';
import { EditorState, NodeSelection, TextSelection } from '@tiptap/pm/state';
import { describe, expect, it } from 'vitest';
import { fromNode, toNode } from '../../../app/blocks';
import { attach, detach, sentenceAt } from '../../../app/editor/evidence';
import { lessonExtensions } from '../../../app/editor/schema';
import { blockTexts, type Block } from '../../../core/blocks/forms';
import { evidencedSentences, plainRun, sentenceHash, type EvidenceMark } from '../../../core/document/rich-text';
import { wordsFor } from '../../../core/words';
import { A_BLOCK_OF_EVERY_KIND } from '../../blocks';
import { anId } from '../../builders';

const checkPlace = Node.create({ name: 'checkPlace', group: 'block', atom: true });
const schema = getSchema(lessonExtensions(checkPlace, wordsFor('en').words));
const range = (name: string) => ({ id: anId(name), from: 0, to: 9 });
const drafted: EvidenceMark = {
  type: 'evidence',
  attrs: { id: anId('e'), passages: [range('p1')], was: sentenceHash('Lock up.') },
};
const text = (id: string, runs: ReturnType<typeof plainRun>): Block => ({
  id: anId(id),
  kind: 'text',
  body: { text: runs },
});
const stateOf = (blocks: Block[], from: number, to = from) => {
  const doc = schema.nodeFromJSON({ type: 'doc', content: blocks.map(toNode) });
  return EditorState.create({ doc, selection: TextSelection.create(doc, from, to) });
};
let serial = 0;
const fresh = () => anId(`fresh ${serial++}`);
const standing = (transaction: ReturnType<typeof attach>) => {
  const blocks: Block[] = [];
  transaction!.doc.forEach((node) => blocks.push(fromNode(node.toJSON() as Parameters<typeof fromNode>[0])!));
  return blocks.flatMap(blockTexts).flatMap(evidencedSentences);
};

describe('evidence by hand', () => {
  it('goes behind the sentence at the cursor, noted as by hand with the words as they stand', () => {
    const state = stateOf([text('a', plainRun('Close the gate. Lock it twice. Go home.'))], 20);
    const [found, ...more] = standing(attach(state, range('p2'), 'en', fresh));
    expect(more).toEqual([]);
    expect(found.text).toBe('Lock it twice.');
    expect(found.mark.attrs).toMatchObject({
      passages: [range('p2')],
      hand: true,
      was: sentenceHash('Lock it twice.'),
    });
  });

  it('goes behind what is selected, in each paragraph apart', () => {
    const state = stateOf([text('a', plainRun('Close it.')), text('b', plainRun('Go home.'))], 1, 19);
    const found = standing(attach(state, range('p2'), 'en', fresh));
    expect(found.map((each) => each.text)).toEqual(['Close it.', 'Go home']);
    expect(new Set(found.map(({ mark }) => mark.attrs.id)).size).toBe(2);
  });

  it('is said there, too, of words that stand on a passage; their own passage stays theirs', () => {
    const state = stateOf([text('a', [...plainRun('Lock up.', [drafted]), ...plainRun(' Go.')])], 3);
    const [found] = standing(attach(state, range('p2'), 'en', fresh));
    expect(found.mark.attrs).toEqual({ ...drafted.attrs, also: [range('p2')] });
    expect(attach(state, range('p1'), 'en', fresh)).toBeUndefined();
  });

  it('is taken away again: one of several, the words own, the last', () => {
    const both = { ...drafted, attrs: { ...drafted.attrs, also: [range('p2')] } };
    const state = stateOf([text('a', plainRun('Lock up.', [both]))], 3);
    expect(standing(detach(state, anId('e'), anId('p2')))[0].mark.attrs).toEqual(drafted.attrs);
    expect(standing(detach(state, anId('e'), anId('p1')))[0].mark.attrs).toEqual({
      id: anId('e'),
      passages: [range('p2')],
      was: sentenceHash('Lock up.'),
      hand: true,
    });
    const alone = stateOf([text('a', plainRun('Lock up.', [drafted]))], 3);
    expect(standing(detach(alone, anId('e'), anId('p1')))).toEqual([]);
    expect(detach(alone, anId('none'), anId('p1'))).toBeUndefined();
  });

  it('belongs to a picture as a whole', () => {
    const picture = A_BLOCK_OF_EVERY_KIND.find(({ kind }) => kind === 'picture')!;
    const doc = schema.nodeFromJSON({ type: 'doc', content: [toNode(picture)] });
    const state = EditorState.create({ doc, selection: NodeSelection.create(doc, 0) });
    const made = attach(state, range('p2'), 'en', fresh)!;
    expect(made.doc.child(0).attrs.evidence).toEqual([...picture.evidence!, range('p2')]);
    const next = EditorState.create({ doc: made.doc, selection: NodeSelection.create(made.doc, 0) });
    expect(detach(next, 'block', anId('p2'))!.doc.child(0).attrs.evidence).toEqual(picture.evidence);
  });

  it('knows where a sentence ends', () => {
    const words = 'One is here. Two is there.';
    expect(words.slice(...Object.values(sentenceAt(words, 2, 'en')))).toBe('One is here.');
    expect(words.slice(...Object.values(sentenceAt(words, words.length, 'und')))).toBe('Two is there.');
    expect(sentenceAt('', 0, 'en')).toEqual({ from: 0, to: 0 });
  });
});
