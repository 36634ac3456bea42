import type { FlawCode } from '~~/core/checks/lints';

/** What is said to a flaw of a question, and how it is mended; `mend` where that is done by one press. */
export const FLAW_WORDS: Record<FlawCode, { says: string; mend?: string }> = {
  longest: { says: 'The right answer is much the longest. Shorten it, or make the others as full.' },
  'all-of-these': { says: 'An answer that stands for all or none is found by leaving out.', mend: 'take it out' },
  alike: { says: 'Two answers say the same.', mend: 'take one out' },
  negative: { says: 'It is asked the wrong way round. Ask for what is so.' },
  'twice-negative': { says: 'Question and answer both say “not”. Say one of them without.' },
  'given-away': {
    says: 'The right answer takes up words of the question. Use other words, or use them in a wrong one.',
  },
  article: { says: 'It ends with an article, which tells what fits. Put the article into the answers.' },
  few: { says: 'With two answers half of those who guess are right. Add a wrong one that tempts.' },
  many: { says: 'So many answers take longer to read than to know. Keep the wrong ones that tempt.' },
  silent: { says: 'Nothing is said to a wrong answer. Say why it is wrong, or when it would be right.' },
  unfinished: { says: 'Words of a new question stand here still. Write over them.' },
  'no-evidence': { says: 'No passage of your sources stands behind it.' },
  absolute: { says: 'Only wrong answers say “always” or “never”. Take the words out, or use them in the right one.' },
  'two-in-one': { says: 'Two statements in one: half of it could be true. Make two of it.' },
  'all-right': { says: 'All answers are right. Add wrong ones that tempt.' },
  'one-right': { says: 'Only one answer is right. Mark another, or ask for one.' },
  numbered: { says: 'The steps carry their order. Take the numbers or words off.', mend: 'take the numbers off' },
  'empty-group': { says: 'A group has nothing in it.', mend: 'take it out' },
  'no-unit': { says: 'It asks for a measure without its unit. Name the unit beside the field.' },
  'too-long': { says: 'Nobody types that as it stands. Accept a few words, or make it an open answer.' },
  'no-model': { says: 'There is nothing to compare an answer with. Write a good answer, or what it names.' },
  'no-picture': { says: 'There is no picture to answer in. Choose one, then put its areas where they belong.' },
  'same-question': { says: 'The same is asked in another check of the course.' },
  vague: { says: 'Wrong answers without a measure are found by that. Give them figures.' },
  'not-taught': { says: 'What it stands on comes later, or on no page. Move it, or put its passage before it.' },
  harder: { says: 'It reads much harder than your pages. Say it in shorter sentences and plainer words.' },
  pattern: { says: 'Nearly all questions of this kind have the same answer. Turn some round.' },
};
