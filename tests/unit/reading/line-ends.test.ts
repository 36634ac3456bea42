import { describe, expect, it } from 'vitest';
import { unwrapped, wordsOf } from '../../../core/reading/text/lines';

const joined = (text: string) => unwrapped(text.split('\n'), { inText: wordsOf(text) });

describe('the end of a line', () => {
  it.each([
    [
      'Packages stand there. Take the pack-\nages to the shelf.',
      'Packages stand there. Take the packages to the shelf.',
    ],
    ['The counter is self-\nservice, and service is free.', 'The counter is self-service, and service is free.'],
    ['A twelve-volt pack. The twelve-\nvolt pack is blue.', 'A twelve-volt pack. The twelve-volt pack is blue.'],
    [
      'Look at https://desk.example/guide/\nchapter-two.html today.',
      'Look at https://desk.example/guide/chapter-two.html today.',
    ],
    ['Look at https://desk.example/guide\nbefore you begin.', 'Look at https://desk.example/guide before you begin.'],
    ['Hand tools are\nfree of charge.', 'Hand tools are free of charge.'],
    ['Sterile and non-\nsterile packs.', 'Sterile and non-sterile packs.'],
    ['Send it by e-\nmail today.', 'Send it by e-mail today.'],
  ])('%j', (text, whole) => expect(joined(text)).toBe(whole));
});

describe('the end of a line, with a word list', () => {
  const LIST = new Set([
    'packages',
    'pack',
    'ages',
    'long',
    'term',
    'main',
    'self',
    'service',
    're',
    'cover',
    'recover',
  ]);
  const listed = (text: string) =>
    unwrapped(text.split('\n'), { inText: wordsOf(text), isWord: (word) => LIST.has(word) });
  it.each([
    ['Take the pack-\nages to the shelf.', 'Take the packages to the shelf.'],
    ['Ask the main-\ntainer first.', 'Ask the maintainer first.'],
    ['It is a long-\nterm loan.', 'It is a long-term loan.'],
    [
      'You re-cover chairs. To re-\ncover a chair takes an hour.',
      'You re-cover chairs. To re-cover a chair takes an hour.',
    ],
  ])('%j', (text, whole) => expect(listed(text)).toBe(whole));
});
