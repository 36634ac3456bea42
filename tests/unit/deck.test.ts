import { describe, expect, it } from 'vitest';
import type { Block } from '../../core/blocks/forms';
import type { Course } from '../../core/course/course';
import { contentHash } from '../../core/document/id';
import { plainRun } from '../../core/document/rich-text';
import { writePptx } from '../../core/exchange/deck/pptx';
import { slidesOf } from '../../core/exchange/deck/slides';
import { writeScriptDocx } from '../../core/exchange/script/docx';
import { scriptOf, scriptText } from '../../core/exchange/script/spoken';
import { readSource } from '../../core/reading';
import { unzipSync } from 'fflate';
import { packFor } from '../../server/language/packs';
import { aCourse, anId } from '../builders';
import { aPng } from '../pictures';
import { A_BLOCK_OF_EVERY_KIND } from '../blocks';

const pack = packFor('en');
const text = (words: string) => plainRun(words);
const LONG =
  'Every tool leaves the library clean. It was cleaned by whoever took it in, who put a green tag on it, and it stays so until the next one comes for it and looks it over.';
const png = aPng(40, 30);
const blocks: Block[] = [
  { id: anId('h'), kind: 'heading', body: { level: 2, text: text('Handing over') } },
  { id: anId('t'), kind: 'text', body: { text: text(LONG) } },
  {
    id: anId('s'),
    kind: 'steps',
    body: { steps: ['Scan the card.', 'Look the tool over.'].map((words) => ({ text: text(words) })) },
  },
  { id: anId('w'), kind: 'callout', body: { tone: 'warning', paragraphs: [text('Never lend a red-tag tool alone.')] } },
  {
    id: anId('p'),
    kind: 'picture',
    body: {
      picture: { hash: contentHash(png), type: 'image/png', width: 40, height: 30 },
      alt: 'A bench with a vice',
      caption: text('The bench'),
    },
  },
  {
    id: anId('d'),
    kind: 'diagram',
    body: {
      form: 'strip',
      title: 'Check-out',
      parts: ['Scan', 'Look over', 'Sign'].map((label) => ({ id: anId(label), label })),
    },
  },
];
const withBlocks = (parts: Block[]): Course => {
  const course = aCourse();
  course.modules[0].lessons[0].blocks = [...parts, ...course.modules[0].lessons[0].blocks];
  return course;
};

describe('slides', () => {
  const slides = slidesOf(withBlocks(blocks), pack);
  const titled = (title: string) => slides.filter((slide) => slide.title === title);

  it('say on the slide what a room can read, and leave the rest to whoever speaks', () => {
    const [first] = titled('Handing over');
    expect(first.points).toEqual([
      { text: 'Every tool leaves the library clean.' },
      { text: 'Scan the card.', as: 'step' },
      { text: 'Look the tool over.', as: 'step' },
      { text: 'Never lend a red-tag tool alone.', as: 'warning' },
    ]);
    expect(first.notes).toContain(LONG);
    expect(titled('Handing over').map(({ picture, diagram }) => [picture?.alt, diagram?.title])).toContainEqual([
      'A bench with a vice',
      undefined,
    ]);
  });

  it('lose no word of a page: what is not shown is said', () => {
    const every = slidesOf(withBlocks(A_BLOCK_OF_EVERY_KIND), pack);
    const said = JSON.stringify(every);
    for (const words of [
      'Turn it by hand first.',
      'x = 1',
      'checklist.pdf',
      'The bench by the door',
      'More than 3 days',
    ])
      expect(said).toContain(words);
  });

  it('ask without giving the answer away; whoever asks has it', () => {
    const course = aCourse();
    const asked = slidesOf(course, pack).filter(({ kind }) => kind === 'question');
    expect(asked.length).toBeGreaterThan(0);
    for (const slide of asked) {
      expect(JSON.stringify(slide.points)).not.toMatch(/[\u2713\u2717]/);
      expect(slide.notes.join('\n')).toContain('\u2713');
    }
  });

  it('are read by others: titles, points, notes and the picture are in the file', async () => {
    const bytes = await writePptx(slides, 'A course', (hash) => (hash === contentHash(png) ? png : undefined));
    const read = await readSource({ name: 'deck.pptx', bytes }, anId('deck'), {});
    if (!read.ok) throw new Error(read.problem.code);
    const words = read.source.passages.map((passage) => passage.text);
    expect(words).toContain('Never lend a red-tag tool alone.');
    expect(words.join('\n')).toContain('who put a green tag on it');
    expect(Object.keys(unzipSync(bytes)).some((name) => /^ppt\/media\/.*\.png$/.test(name))).toBe(true);
    expect(new TextDecoder().decode(unzipSync(bytes)['ppt/slides/slide4.xml'])).toBeTruthy();
  });
});

describe('a script', () => {
  const lessons = scriptOf(withBlocks(blocks));

  it('says every sentence in order, and what is shown and asked meanwhile', () => {
    expect(lessons[0].lines.slice(0, 6)).toEqual([
      { kind: 'heading', text: 'Handing over' },
      { kind: 'say', text: LONG },
      { kind: 'say', text: 'Scan the card.' },
      { kind: 'say', text: 'Look the tool over.' },
      { kind: 'say', text: 'Never lend a red-tag tool alone.' },
      { kind: 'show', text: 'The bench / A bench with a vice' },
    ]);
    expect(scriptText('A course', lessons)).toContain('[Show: The bench / A bench with a vice]');
  });

  it('is a document that others read', async () => {
    const bytes = await writeScriptDocx('A course', lessons);
    const read = await readSource({ name: 'script.docx', bytes }, anId('script'), {});
    if (!read.ok) throw new Error(read.problem.code);
    const words = read.source.passages.map((passage) => passage.text).join('\n');
    expect(words).toContain(LONG);
    expect(words).toContain('Show: The bench / A bench with a vice');
  });
});
