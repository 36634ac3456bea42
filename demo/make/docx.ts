import { Document, HeadingLevel, LevelFormat, Packer, Paragraph, Table, TableCell, TableRow, TextRun } from 'docx';
import type { RootContent } from 'mdast';
import { plain, runsOf, type demoText } from './markdown';

const HEADINGS = [HeadingLevel.HEADING_1, HeadingLevel.HEADING_2, HeadingLevel.HEADING_3];

/** A demo text as a Word document with real styles, lists and tables. */
export async function makeDocx({ title, tree }: ReturnType<typeof demoText>): Promise<Uint8Array> {
  let lists = 0;
  const document = new Document({
    title,
    creator: 'Fernhollow Tool Library',
    numbering: {
      config: Array.from({ length: 12 }, (_, index) => ({
        reference: `steps-${index}`,
        levels: [
          {
            level: 0,
            format: LevelFormat.DECIMAL,
            text: '%1.',
            style: { paragraph: { indent: { left: 500, hanging: 300 } } },
          },
        ],
      })),
    },
    sections: [
      { children: [new Paragraph({ text: title, heading: HeadingLevel.TITLE }), ...tree.children.flatMap(block)] },
    ],
  });
  return new Uint8Array(await Packer.toBuffer(document));

  function block(node: RootContent): (Paragraph | Table)[] {
    if (node.type === 'heading') return [new Paragraph({ text: plain(node), heading: HEADINGS[node.depth - 2] })];
    if (node.type === 'paragraph') return [new Paragraph({ children: runs(node) })];
    if (node.type === 'list') {
      const reference = `steps-${lists}`;
      if (node.ordered) lists++;
      return node.children.map(
        (item) =>
          new Paragraph({
            children: item.children.flatMap(runs),
            ...(node.ordered ? { numbering: { reference, level: 0 } } : { bullet: { level: 0 } }),
          }),
      );
    }
    if (node.type === 'table') {
      const rows = node.children.map(
        (row, index) =>
          new TableRow({
            tableHeader: index === 0,
            children: row.children.map(
              (cell) => new TableCell({ children: [new Paragraph({ children: runs(cell) })] }),
            ),
          }),
      );
      return [new Table({ rows })];
    }
    return [];
  }

  function runs(node: Parameters<typeof runsOf>[0]): TextRun[] {
    return runsOf(node).map((run) => new TextRun({ text: run.text, bold: run.bold }));
  }
}
