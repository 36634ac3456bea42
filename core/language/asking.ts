import { anyOf } from './phrases';

/** Somebody who tells what goes wrong: "When I run it, it says ...". */
const TELLS = new RegExp(
  String.raw`(?<![\p{L}])${anyOf`i | my | we | our | ich | mein\p{L}* | je | mon | ma | mes | yo | mi | mis`}(?![\p{L}])`,
  'iu',
);

/** Whether a heading asks something, or tells a trouble, as on a page of questions. */
export const isAsking = (title: string): boolean => /[?？]$/.test(title) || TELLS.test(title);
