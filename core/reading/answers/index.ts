import type { Answer } from '../../course/course';
import { assemble } from '../../source/assemble';
import type { ReadBlock, ReadPassage } from '../../source/blocks';
import type { Source } from '../../source/source';
import { detectLanguage } from '../language';
import { readMarkdown } from '../markdown';
import { isStamped, readTimed } from '../timed';
import { typedText } from './typed';

/**
 * How the answer to a question is to be read: what stands over it, when not its topic alone, and what it is, whatever
 * its words.
 */
export interface AskedFor {
  over?: string;
  reads?: 'tip' | 'warning' | 'experience' | 'steps' | 'terms';
}

/**
 * What an author answered, as a source: each topic a section, in it one for each question, so that an answer stands
 * under what it may lean on ("They …"); each passage keeps its question. An answer is read as notes (paragraphs,
 * lists), or as a transcript where its lines begin with times. `asked` knows the questions. Undefined when nothing was
 * answered.
 */
export function readAnswers(
  answers: readonly Answer[],
  about: { id: string; title: string; language: string },
  asked: (question: string) => AskedFor,
): Source | undefined {
  const blocks: ReadBlock[] = [];
  let topic = '';
  // Answers of one topic stand together, whatever the order they were given in.
  const topics = [...new Set(answers.map((answer) => answer.topic))];
  for (const answer of topics.flatMap((each) => answers.filter((answer) => answer.topic === each))) {
    if (answer.text.trim() === '') continue;
    const { over, reads } = asked(answer.question);
    // A question that is its own topic heads both, with its question mark.
    const own = over !== undefined && over.replace(/[?？.:!]+$/, '') === answer.topic;
    if (answer.topic !== topic) blocks.push({ kind: 'heading', level: 1, text: own ? over : answer.topic });
    topic = answer.topic;
    if (over && !own) blocks.push({ kind: 'heading', level: 2, text: over });
    blocks.push(...blocksOf(answer, reads));
  }
  if (!blocks.some((block) => block.kind !== 'heading')) return undefined;
  const found = detectLanguage(blocks);
  const language = found === 'und' ? about.language : found;
  return assemble(
    { blocks, media: new Map(), notices: [], language, title: about.title },
    { id: about.id, kind: 'interview', title: about.title, language },
  );
}

function blocksOf({ id, question, text }: Answer, reads: AskedFor['reads']): ReadBlock[] {
  const bytes = new TextEncoder().encode(text);
  const timed = /^WEBVTT|-->/m.test(text) || isStamped(text);
  const { blocks } = timed
    ? readTimed(bytes)
    : readMarkdown(new TextEncoder().encode(typedText(text, reads === 'steps')));
  return blocks.flatMap((block): ReadBlock[] => {
    if (block.kind === 'picture') return [];
    // A heading within an answer heads a part of it.
    if (block.kind === 'heading') return [{ ...block, level: block.level + 2 }];
    const passage: ReadPassage = {
      ...(reads === 'terms' ? asTerm(block) : block),
      question,
      ...(reads && reads !== 'steps' && reads !== 'terms' && block.kind === 'paragraph' && { callout: reads }),
    };
    if (passage.list) passage.list = { ...passage.list, key: `${id}/${passage.list.key}` };
    if (passage.table) passage.table = { ...passage.table, key: `${id}/${passage.table.key}` };
    return [passage];
  });
}

/** "Proof: the last rise before the oven" as an entry of a glossary. */
function asTerm(block: ReadPassage): ReadPassage {
  const [, term, meaning] = /^([^:–]{1,60}?)\s*(?::|\s–)\s+(.+)$/s.exec(block.text) ?? [];
  if (!meaning) return block;
  const entry: ReadPassage = { ...block, kind: 'definition', term, text: meaning };
  delete entry.list;
  return entry;
}
