import { anyOf } from './phrases';

const WHY = new RegExp(
  String.raw`^["“«]?${anyOf`why | warum | weshalb | wieso | pourquoi | ¿?por qué`}(?![\p{L}\p{N}]).*[?？]`,
  'iu',
);

/** Whether a sentence asks for the reason of something, in the languages we read. */
export const asksWhy = (sentence: string): boolean => WHY.test(sentence);
