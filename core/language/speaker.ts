/** What is said within quotation marks: somebody else's words. */
const QUOTED = /[“„"«][^”“"»]*[”“"»]/g;

/** Whether a sentence speaks of its own speaker, by the language's words for "I", outside quotations. */
export const isFirstPerson = (sentence: string, words: RegExp): boolean => words.test(sentence.replace(QUOTED, ''));
