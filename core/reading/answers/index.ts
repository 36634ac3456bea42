import type { Answer } from '../../course/course';
import { assemble } from '../../source/assemble';
import type { ReadBlock, ReadPassage } from '../../source/blocks';
import type { Source } from '../../source/source';
import { detectLanguage } from '../language';
import { readMarkdown } from '../markdown';
import { isStamped, readTimed } from '../timed';

/** Question marks and lead words in the middle of what people paste: who is asked, who answers. */
const TURN = /^\s*(?:[QAIRPF]|Interviewer|Question|Answer|Frage|Antwort|Réponse|Pregunta|Respuesta)\s*:\s+/i;

/**
 * What an author answered, as a source: each topic a section, each passage with the question it answers. An answer is read as
 * notes (paragraphs, lists), or as a transcript where its lines begin with times. Undefined when nothing was answered.
 */
export function readAnswers(answers: readonly Answer[], about: { id: string; title: string; language: string }): Source | undefined {
  const blocks: ReadBlock[] = [];
  let topic = '';
  // Answers of one topic stand together, whatever the order they were given in.
  const topics = [...new Set(answers.map((answer) => answer.topic))];
  for (const answer of topics.flatMap((each) => answers.filter((answer) => answer.topic === each))) {
    if (answer.text.trim() === '') continue;
    if (answer.topic !== topic) blocks.push({ kind: 'heading', level: 1, text: answer.topic });
    topic = answer.topic;
    blocks.push(...blocksOf(answer));
  }
  if (!blocks.some((block) => block.kind !== 'heading')) return undefined;
  const found = detectLanguage(blocks);
  const language = found === 'und' ? about.language : found;
  return assemble({ blocks, media: new Map(), notices: [], language, title: about.title }, { id: about.id, kind: 'interview', title: about.title, language });
}

function blocksOf({ id, question, text }: Answer): ReadBlock[] {
  const bytes = new TextEncoder().encode(text);
  const timed = /^WEBVTT|-->/m.test(text) || isStamped(text);
  const { blocks } = timed ? readTimed(bytes) : readMarkdown(new TextEncoder().encode(asParagraphs(text)));
  return blocks.flatMap((block): ReadBlock[] => {
    if (block.kind === 'picture') return [];
    // A heading within an answer heads a part of it.
    if (block.kind === 'heading') return [{ ...block, level: block.level + 1 }];
    const passage: ReadPassage = { ...block, question };
    if (passage.list) passage.list = { ...passage.list, key: `${id}/${passage.list.key}` };
    if (passage.table) passage.table = { ...passage.table, key: `${id}/${passage.table.key}` };
    return [passage];
  });
}

/** Typed text: every line that ends like a sentence is a paragraph, for few people leave a line empty between them. */
function asParagraphs(text: string): string {
  return text.split('\n').map((line) => line.replace(TURN, '')).join('\n').replace(/([.!?…:;])[ \t]*\n(?!\n|[ \t]*(?:[-*+]|\d+[.)])\s)/g, '$1\n\n');
}
