import { describe, expect, it } from 'vitest';
import { unwrapped, wordsOf } from '../../../core/reading/text/lines';

const joined = (text: string) => unwrapped(text.split('\n'), wordsOf(text));

describe('the end of a line', () => {
  it.each([
    ['Packages stand there. Take the pack-\nages to the shelf.', 'Packages stand there. Take the packages to the shelf.'],
    ['The counter is self-\nservice, and service is free.', 'The counter is self-service, and service is free.'],
    ['A twelve-volt pack. The twelve-\nvolt pack is blue.', 'A twelve-volt pack. The twelve-volt pack is blue.'],
    ['Look at https://desk.example/guide/\nchapter-two.html today.', 'Look at https://desk.example/guide/chapter-two.html today.'],
    ['Look at https://desk.example/guide\nbefore you begin.', 'Look at https://desk.example/guide before you begin.'],
    ['Hand tools are\nfree of charge.', 'Hand tools are free of charge.'],
  ])('%j', (text, whole) => expect(joined(text)).toBe(whole));
});
