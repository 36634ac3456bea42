import type { RootContent } from 'mdast';
import { escape } from '../../core/document/html';
import { plain, type demoText } from './markdown';

/** A demo text as a page of the library's small site, furniture and all. */
export function makeHtml({ title, tree }: ReturnType<typeof demoText>): string {
  const block = (node: RootContent): string => {
    if (node.type === 'heading') return `<h${node.depth}>${escape(plain(node))}</h${node.depth}>`;
    return node.type === 'paragraph' ? `<p>${escape(plain(node))}</p>` : '';
  };
  return `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><title>${escape(title)} – Fernhollow Tool Library</title></head>
<body>
<header role="banner"><a href="/">Fernhollow Tool Library</a></header>
<nav><ul><li><a href="/tools">Tools</a></li><li><a href="/questions">Questions</a></li><li><a href="/join">Join</a></li></ul></nav>
<main>
<h1>${escape(title)}</h1>
${tree.children.map(block).join('\n')}
</main>
<footer role="contentinfo">Fernhollow Tool Library, Old Mill Lane. Open Wednesdays and Saturdays.</footer>
</body>
</html>
`;
}

const WORDS_PER_SECOND = 2.4;
const WORDS_PER_CUE = 11;

/** A demo text as the transcript of a talk: short cues, a pause between paragraphs. */
export function makeVtt({ title, tree, fields }: ReturnType<typeof demoText>): string {
  let at = 2;
  const cues: string[] = [];
  for (const node of tree.children) {
    const words = plain(node).split(/\s+/);
    for (let from = 0; from < words.length; from += WORDS_PER_CUE) {
      const part = words.slice(from, from + WORDS_PER_CUE);
      const end = at + part.length / WORDS_PER_SECOND;
      cues.push(
        `${time(at)} --> ${time(end)}\n<v ${fields.speaker}>${part.join(' ').replace(/&/g, '&amp;').replace(/</g, '&lt;')}`,
      );
      at = end + 0.2;
    }
    at += 4.5;
  }
  return `WEBVTT - ${title}\n\n${cues.join('\n\n')}\n`;
}

function time(seconds: number): string {
  const whole = Math.floor(seconds);
  const pad = (value: number, length = 2) => String(value).padStart(length, '0');
  return `${pad(Math.floor(whole / 3600))}:${pad(Math.floor(whole / 60) % 60)}:${pad(whole % 60)}.${pad(Math.round((seconds - whole) * 1000) % 1000, 3)}`;
}
