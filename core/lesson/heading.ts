import type { Knowledge, Sentence } from '../knowledge';
import { isGenericTitle } from '../language/boilerplate';
import type { ScopeSection } from '../outline/scope';
import type { Passage } from '../source/source';

/** The heading that is shown over a passage, as far as the passage may lean on it. */
export interface Heading {
  title: string;
  /** Whether the passage is the first thing under it. */
  first: boolean;
  /** It is a question that the author was asked; what stands under it, the answer. */
  asked: boolean;
}

/**
 * The heading that a passage may lean on: its question, or that of the part of a document which it opens. Undefined
 * when there is none.
 */
export function headingOver(
  passage: Passage,
  { title }: ScopeSection,
  first: boolean,
  knowledge: Knowledge,
): Heading | undefined {
  if (passage.locator.question !== undefined) return { title, first, asked: true };
  // Parts cut out of a section, and titles of our own, say nothing of what the document put over a passage.
  const opens =
    first && knowledge.opening.has(passage.id) && passage.locator.path.at(-1) === title && !isGenericTitle(title);
  return opens ? { title, first, asked: false } : undefined;
}

/**
 * Whether a sentence begins with what its heading says: "No, never." under a question, "This field …" under its name,
 * "They …" under somebody.
 */
export function leansOnHeading(
  { facts, text }: Sentence,
  { title, first, asked }: Heading,
  { pack }: Knowledge,
): boolean {
  if (!facts?.leaning) return false;
  if (first && /[?？]$/.test(title))
    return asked || /^(?:points-back|joins-on|too-short|not-a-sentence)$/.test(facts.leaning);
  if (!asked) return facts.leaning === 'points-back' && (pack.pointsAtHeading?.(text) ?? false);
  return (pack.pointsAtPersons?.(text) ?? false) && (pack.aboutPerson?.(title) ?? false);
}
