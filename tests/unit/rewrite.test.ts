import { describe, expect, it } from 'vitest';
import type { Block } from '../../core/blocks/forms';
import { blockTexts } from '../../core/blocks/forms';
import {
  evidencedSentences,
  plainRun,
  replay,
  sentenceHash,
  textOf,
  type RichText,
} from '../../core/document/rich-text';
import { standingOf } from '../../core/course/standing';
import { AIMS, proposals, type Aim } from '../../core/rewrite';
import { refusalOf } from '../../core/rewrite/guard';
import { packFor } from '../../server/language/packs';
import { anId } from '../builders';

const pack = packFor('en');
const block = (text: RichText | string): Block => ({
  id: anId('b'),
  kind: 'text',
  body: { text: typeof text === 'string' ? plainRun(text) : text },
});
/** What a text becomes; itself where nothing safe can be done. */
function towards(aim: Aim, text: string): string {
  const [found] = proposals([block(text)], aim, pack)!;
  return found ? blockTexts(found.becomes).map(textOf).join() : text;
}

describe('rewriting towards an aim', () => {
  it.each<[Aim, string, string]>([
    ['shorter', 'Check the pack (see section 3.2) in order to be sure.', 'Check the pack to be sure.'],
    ['shorter', 'Prior to the shift, a number of tools are counted.', 'Before the shift, several tools are counted.'],
    ['shorter', 'Keep a minimum of 10 cm between them.', 'Keep at least 10 cm between them.'],
    ['simpler', 'Utilize the cart (e.g. for ladders).', 'Use the cart (for example for ladders).'],
    ['simpler', 'Members are required to sign the slip.', 'Members must sign the slip.'],
    [
      'simpler',
      'The desk is open on Saturdays from ten, and the volunteers must arrive twenty minutes before the first member comes.',
      'The desk is open on Saturdays from ten. The volunteers must arrive twenty minutes before the first member comes.',
    ],
    [
      'simpler',
      'The tool is counted as lost at the end of the month; the borrower must pay the price that stands in the list.',
      'The tool is counted as lost at the end of the month. The borrower must pay the price that stands in the list.',
    ],
    ['less-formal', 'It is late, and the tool does not start.', 'It’s late, and the tool doesn’t start.'],
    ['more-formal', "It's late, and the tool doesn't start.", 'It is late, and the tool does not start.'],
    ['more-formal', "Don't lend it. They're ours.", 'Do not lend it. They are ours.'],
    ['to-reader', 'You must check the cord.', 'Check the cord.'],
    ['to-reader', 'If a pack smells, you must carry it out.', 'If a pack smells, carry it out.'],
    ['to-reader', 'You must not lend it.', 'Do not lend it.'],
  ])('%s: %s', (aim, was, now) => expect(towards(aim, was)).toBe(now));

  it.each<[Aim, string]>([
    // What forbids keeps its "not" in full, and so does the end of a clause.
    ['less-formal', 'You must not lend it. Do not open the box.'],
    ['less-formal', 'Nobody knows how late it is.'],
    ['less-formal', 'Whoever is late with it is told so.'],
    ['simpler', 'The pathname is relative to the queue folder of the desk, so that it will work wherever the desk is.'],
    // "It has", "it is": never guessed.
    ['more-formal', "It's been late. He'd go."],
    // Advice is not made an order, nor what somebody else must do.
    ['to-reader', 'You should check the cord. The volunteer must check the cord.'],
    ['to-reader', 'Only if you must lend it, ask.'],
    // "An attempt to", "it is required": something else.
    ['simpler', 'It is required that an attempt to lift it is made.'],
    // One condition for both halves; a half without a verb of its own; words of somebody else.
    [
      'simpler',
      'If the pack is hot when it comes back from the member, put it outside, and the desk must call the lead at once.',
    ],
    ['simpler', 'The desk keeps the slips of all the tools, the cards of the members, and the keys of both the gates.'],
    ['shorter', 'She said “in order to lend it” and left.'],
  ])('%s leaves alone: %s', (aim, text) => expect(towards(aim, text)).toBe(text));

  it('keeps the evidence of a sentence, with the change recorded, so that it replays letter by letter', () => {
    const passage = 'Prior to the loan, check the cord. It is worn in order to be seen.';
    const sentence = (from: number, to: number, name: string): RichText => [
      {
        type: 'text',
        text: passage.slice(from, to),
        marks: [
          {
            type: 'evidence',
            attrs: {
              id: anId(name),
              passages: [{ id: anId('p'), from, to }],
              was: sentenceHash(passage.slice(from, to)),
            },
          },
        ],
      },
    ];
    const text = [...sentence(0, 34, 's'), ...plainRun(' '), ...sentence(35, passage.length, 't')];
    const [{ becomes, changes }] = proposals([block(text)], 'shorter', pack)!;
    expect(changes).toHaveLength(2);
    expect(standingOf(becomes)).toBe('source');
    // And again, on what came of it.
    const [again] = proposals([becomes], 'less-formal', pack)!;
    expect(textOf(blockTexts(again.becomes)[0])).toBe('Before the loan, check the cord. It’s worn to be seen.');
    for (const { mark, text: words } of evidencedSentences(blockTexts(again.becomes)[0]))
      expect(replay(mark.attrs.passages, () => passage)).toBe(words);
    expect(standingOf(again.becomes)).toBe('source');
  });

  it('leaves code, headings and pictures alone, and says nothing in a language it cannot change', () => {
    const code: Block = { id: anId('c'), kind: 'code', body: { code: 'in order to' } };
    const heading: Block = { id: anId('h'), kind: 'heading', body: { level: 2, text: plainRun('In order to lend') } };
    for (const aim of AIMS) expect(proposals([code, heading], aim, pack)).toEqual([]);
    expect(proposals([block('Um zu leihen.')], 'shorter', packFor('de'))).toBeUndefined();
  });
});

it('looks for nothing in what no person wrote', () => {
  const long = '“'.repeat(200_000);
  expect(proposals([block(long)], 'shorter', pack)).toEqual([]);
  expect(proposals([block(`in order to ${'s'.repeat(100_000)}`)], 'less-formal', pack)).toEqual([]);
});

describe('the guard', () => {
  const change = (before: string, was: string, now: string) => {
    const from = before.indexOf(was);
    return { from, to: from + was.length, with: now, kind: 'plain' as const };
  };
  it.each<[string, string, string, string | undefined]>([
    ['Keep 10 cm free.', '10', '12', 'figure'],
    ['Do not lend it.', 'Do not lend', 'Lend', 'denial'],
    ['You must sign.', 'must', 'should', 'strength'],
    ['You may lend all tools.', 'all', 'most', 'words'],
    ['Sign prior to the loan.', 'prior to', 'before', undefined],
  ])('%s with “%s” as “%s”: %s', (before, was, now, refusal) =>
    expect(refusalOf(before, before.replace(was, now), [change(before, was, now)], pack)).toBe(refusal),
  );
  it('refuses what comes or goes beside the change', () =>
    expect(
      refusalOf(
        'Sign prior to the loan.',
        'Sign before a fire.',
        [change('Sign prior to the loan.', 'prior to', 'before')],
        pack,
      ),
    ).toBe('words'));
});
