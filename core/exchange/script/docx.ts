import { Document, HeadingLevel, Packer, Paragraph, TextRun } from 'docx';
import type { ScriptLesson, ScriptLine } from './spoken';

const COLOURS = { show: '1F5C4A', ask: 'A13D1E' };

/** A script as a document of Office Open XML (ECMA-376): a heading for each lesson, what is said in running text. */
export async function writeScriptDocx(title: string, lessons: readonly ScriptLesson[]): Promise<Uint8Array> {
  const document = new Document({
    title,
    sections: [
      {
        children: [
          new Paragraph({ text: title, heading: HeadingLevel.TITLE }),
          ...lessons.flatMap(({ module, title: name, lines }) => [
            new Paragraph({ text: `${module}: ${name}`, heading: HeadingLevel.HEADING_1 }),
            ...lines.flatMap(paragraphs),
          ]),
        ],
      },
    ],
  });
  return new Uint8Array(await Packer.toBuffer(document));
}

function paragraphs({ kind, text }: ScriptLine): Paragraph[] {
  if (kind === 'heading') return [new Paragraph({ text, heading: HeadingLevel.HEADING_2 })];
  if (kind === 'say') return [new Paragraph({ text, spacing: { after: 160 } })];
  const head = new TextRun({ text: kind === 'show' ? 'Show: ' : 'Ask: ', bold: true, color: COLOURS[kind] });
  const [first = '', ...rest] = text.split('\n');
  return [
    new Paragraph({ children: [head, new TextRun({ text: first })], spacing: { after: rest.length > 0 ? 60 : 160 } }),
    ...rest.map((line) => new Paragraph({ text: line, indent: { left: 400 }, spacing: { after: 60 } })),
  ];
}
