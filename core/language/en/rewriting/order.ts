import type { Change } from '../../change';
import type { WordList } from '../lexicon';

const MUST = /\byou (must not|must never|must|need to|have to|are to) (\p{Ll}+)\b/u;

/**
 * What "you must" do as an order: "You must check it." -> "Check it.", "If it is late, you must ring." -> "If it is
 * late, ring." Only where the words stand right at the beginning, or right behind the case they hold in; what one
 * should do stays what one should do.
 */
export function orders(sentence: string, words: WordList): Change[] {
  const small = sentence.charAt(0).toLowerCase() + sentence.slice(1);
  const match = MUST.exec(small);
  if (!match || !words.isVerb(match[2]) || match[2] === 'be' || match[2] === 'have') return [];
  const before = sentence.slice(0, match.index);
  if (!/^$|^(?:If|When|Before|After|Once|Whenever) [^,;:]+, $/.test(before)) return [];
  // A second "you" is told what happens to them, and needs the first.
  const rest = sentence.slice(match.index + match[0].length);
  if (/\b(?:you|and (?:must|may|can|should|need|have))\b/i.test(rest) || /\bonly\b/i.test(before)) return [];
  const said = { 'must not': 'do not ', 'must never': 'never ' }[match[1]] ?? '';
  const now = `${said}${match[2]}`;
  return [
    {
      from: match.index,
      to: match.index + match[0].length,
      with: match.index === 0 ? now.charAt(0).toUpperCase() + now.slice(1) : now,
      kind: 'order',
    },
  ];
}
