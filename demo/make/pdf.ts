import PDFDocument from 'pdfkit';
import type { RootContent } from 'mdast';
import { plain, runsOf, type demoText } from './markdown';

const SIZES = [18, 13.5, 11.5];
const BODY = 10;
const MARGIN = 64;

/** A demo text as a PDF of several pages: running foot, outline, lists, tables. */
export function makePdf({ title, tree }: ReturnType<typeof demoText>): Promise<Uint8Array> {
  const pdf = new PDFDocument({
    size: 'A4',
    margins: { top: MARGIN, left: MARGIN, right: MARGIN, bottom: MARGIN + 12 },
    bufferPages: true,
    lang: 'en',
    info: {
      Title: title,
      Author: 'Fernhollow Tool Library',
      CreationDate: new Date(2026, 2, 1),
      ModDate: new Date(2026, 2, 1),
    },
  });
  const chunks: Buffer[] = [];
  pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
  const done = new Promise<Uint8Array>((resolve) =>
    pdf.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks)))),
  );
  const width = pdf.page.width - 2 * MARGIN;
  pdf.font('Helvetica-Bold').fontSize(24).text(title).moveDown(1);
  let chapter: PDFKit.PDFOutline | undefined;
  for (const node of tree.children) block(node);
  const { start, count } = pdf.bufferedPageRange();
  for (let page = start; page < start + count; page++) {
    pdf.switchToPage(page);
    pdf.page.margins.bottom = 0;
    pdf
      .font('Helvetica')
      .fontSize(8)
      .text(`Fernhollow Tool Library - Battery and Charger Guide - ${page + 1}`, MARGIN, pdf.page.height - 44, {
        width,
        align: 'center',
        lineBreak: false,
      });
  }
  pdf.end();
  return done;

  function block(node: RootContent): void {
    if (pdf.y > pdf.page.height - 130) pdf.addPage();
    if (node.type === 'heading') {
      const text = plain(node);
      pdf
        .moveDown(node.depth === 2 ? 0.9 : 0.5)
        .font('Helvetica-Bold')
        .fontSize(SIZES[node.depth - 2] ?? 11.5)
        .text(text)
        .moveDown(0.35);
      if (node.depth === 2) chapter = pdf.outline.addItem(text);
      else (chapter ?? pdf.outline).addItem(text);
    } else if (node.type === 'paragraph') {
      words(node, MARGIN, width);
      pdf.moveDown(0.6);
    } else if (node.type === 'list') {
      node.children.forEach((item, index) => {
        const { y } = pdf;
        pdf
          .font('Helvetica')
          .fontSize(BODY)
          .text(node.ordered ? `${index + 1}.` : '•', MARGIN + 6, y, { lineBreak: false });
        pdf.y = y;
        words(item.children[0], MARGIN + 24, width - 24);
        pdf.moveDown(0.25);
      });
      pdf.x = MARGIN;
      pdf.moveDown(0.4);
    } else if (node.type === 'table') {
      const columns = node.children[0].children.length;
      const wide = width / columns;
      node.children.forEach((row, index) => {
        const { y } = pdf;
        let bottom = y;
        row.children.forEach((cell, column) => {
          pdf
            .font(index === 0 ? 'Helvetica-Bold' : 'Helvetica')
            .fontSize(BODY)
            .text(plain(cell), MARGIN + column * wide, y, { width: wide - 14 });
          bottom = Math.max(bottom, pdf.y);
        });
        pdf.y = bottom + 5;
      });
      pdf.x = MARGIN;
      pdf.moveDown(0.6);
    }
  }

  function words(node: Parameters<typeof runsOf>[0], x: number, wide: number): void {
    const runs = runsOf(node);
    runs.forEach((run, index) => {
      pdf.font(run.bold ? 'Helvetica-Bold' : 'Helvetica').fontSize(BODY);
      const options = { width: wide, continued: index < runs.length - 1, lineGap: 1.5 };
      if (index === 0) pdf.text(run.text, x, pdf.y, options);
      else pdf.text(run.text, options);
    });
  }
}
