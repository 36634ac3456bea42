import { SaxesParser } from 'saxes';
import { fail, ProblemError } from '../../document/problem';
import type { ReadBlock, ReadDocument } from '../../source/blocks';
import { folded } from '../../source/inline';
import { MOST_ROWS } from '../csv';
import { sheetBlocks } from '../grid';
import { above, all, childrenNamed, first, relations, xmlOf } from '../xml';
import { textOf, unpack, type Entries } from '../zip';
import { numberFormat, shownNumber, type NumberKind } from './format';

const BOOK = 'xl/workbook.xml';
/** Columns beyond this are left out: sheets that go so far are not read by people. */
const MOST_COLUMNS = 200;

type Format = { kind: NumberKind; sign: string };

/**
 * Reads a workbook: each sheet a section, each block of filled rows a table whose rows are passages with their headers.
 * Hidden sheets are left out.
 */
export function readXlsx(bytes: Uint8Array): ReadDocument {
  const { title, sheets } = readSheets(bytes);
  return {
    ...(title && { title }),
    blocks: sheets.flatMap(({ name, rows }, at): ReadBlock[] => {
      const found = sheetBlocks(rows, `s${at + 1}`);
      return found.length > 0 ? [{ kind: 'heading', level: 1, text: name }, ...found] : [];
    }),
    media: new Map(),
    notices: sheets.some(({ more }) => more) ? [{ code: 'rows-left-out', parameters: { limit: MOST_ROWS } }] : [],
  };
}

/** A sheet's rows as shown, blank ones among them. */
interface Sheet {
  name: string;
  rows: string[][];
  /** It has more rows than are read. */
  more: boolean;
}

/** The sheets of a workbook that are not hidden, as cells. */
export function readSheets(bytes: Uint8Array): { title?: string; sheets: Sheet[] } {
  const entries = unpack(bytes, (name) => /\.(xml|rels)$/i.test(name));
  const book = xmlOf(entries, BOOK);
  if (!book) fail('not-this-format', { format: 'XLSX' });
  const targets = relations(entries, BOOK);
  const from1904 = ['1', 'true'].includes(first(book, 'workbookPr')?.getAttribute('date1904') ?? '');
  const formats = formatsOf(xmlOf(entries, 'xl/styles.xml'));
  const strings = sharedStrings(entries);
  const sheets = all(book, 'sheet').flatMap((sheet): Sheet[] => {
    const part = targets.get(sheet.getAttribute('r:id') ?? '')?.target;
    const xml = part ? textOf(entries, part) : undefined;
    if (xml === undefined || (sheet.getAttribute('state') ?? 'visible') !== 'visible') return [];
    const shown = (raw: string, style: number) =>
      shownNumber(raw, formats[style] ?? { kind: 'plain', sign: '' }, from1904);
    return [{ name: folded(sheet.getAttribute('name') ?? ''), ...rowsOf(xml, strings, shown) }];
  });
  const title = first(xmlOf(entries, 'docProps/core.xml'), 'dc:title')?.textContent?.trim();
  return { ...(title && { title }), sheets };
}

/** The rows of a sheet as text, blank ones among them; streamed, for sheets are the largest parts there are. */
function rowsOf(
  xml: string,
  strings: readonly string[],
  shown: (raw: string, style: number) => string,
): { rows: string[][]; more: boolean } {
  const rows: string[][] = [];
  let more = false;
  let row: string[] = [];
  let cell = { column: 0, type: '', style: 0 };
  let text = '';
  let taking = false;
  const parser = new SaxesParser();
  parser.on('opentag', ({ name, attributes }) => {
    if (name === 'row') {
      const number = Number(attributes.r) || rows.length + 1;
      while (rows.length < Math.min(number - 1, rows.length + 2)) rows.push([]);
      row = [];
    } else if (name === 'c') {
      cell = {
        column: columnOf(String(attributes.r ?? '')) ?? row.length,
        type: String(attributes.t ?? ''),
        style: Number(attributes.s ?? 0),
      };
      text = '';
    } else if (name === 'v' || name === 't') taking = true;
    // How a word is to be spoken is no part of it.
    else if (name === 'rPh') taking = false;
  });
  parser.on('text', (piece) => {
    if (taking) text += piece;
  });
  parser.on('closetag', ({ name }) => {
    if (name === 'v' || name === 't') taking = false;
    else if (name === 'c' && cell.column < MOST_COLUMNS && text !== '') {
      while (row.length < cell.column) row.push('');
      row[cell.column] = valueOf(text, cell, strings, shown);
    } else if (name === 'row') {
      if (rows.length < MOST_ROWS) rows.push(row);
      else more = true;
    }
  });
  parser.on('error', () => {
    throw new ProblemError({ code: 'broken', parameters: { format: 'XLSX' } });
  });
  parser.write(xml).close();
  return { rows, more };
}

function valueOf(
  raw: string,
  cell: { type: string; style: number },
  strings: readonly string[],
  shown: (raw: string, style: number) => string,
): string {
  switch (cell.type) {
    case 's':
      return strings[Number(raw)] ?? '';
    case 'b':
      return raw === '1' ? 'yes' : 'no';
    case 'e':
      return '';
    case 'str':
    case 'inlineStr':
    case 'd':
      return folded(raw);
    default:
      return shown(raw, cell.style);
  }
}

/** "AB12" -> 27. */
function columnOf(reference: string): number | undefined {
  const letters = /^([A-Z]{1,3})\d+$/.exec(reference)?.[1];
  return letters ? [...letters].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0) - 1 : undefined;
}

function sharedStrings(entries: Entries): string[] {
  const root = xmlOf(entries, 'xl/sharedStrings.xml');
  return root
    ? childrenNamed(root, 'si').map((item) =>
        folded(
          all(item, 't')
            .filter((text) => !above(text, 'rPh'))
            .map((text) => text.textContent)
            .join(''),
        ),
      )
    : [];
}

/** Formats by the number that cells name. */
function formatsOf(styles: Element | undefined): Format[] {
  if (!styles) return [];
  const own = new Map(
    all(styles, 'numFmt').map((format) => [
      Number(format.getAttribute('numFmtId')),
      format.getAttribute('formatCode') ?? '',
    ]),
  );
  const list = first(styles, 'cellXfs');
  return (list ? childrenNamed(list, 'xf') : []).map((format) => {
    const id = Number(format.getAttribute('numFmtId') ?? 0);
    return numberFormat(id, own.get(id));
  });
}
