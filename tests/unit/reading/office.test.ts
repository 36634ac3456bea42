import { describe, expect, it } from 'vitest';
import { readSource } from '../../../core/reading';
import { numberFormat, shownNumber } from '../../../core/reading/xlsx/format';
import { allSections, type Source } from '../../../core/source/source';
import { anId, bytes } from '../../builders';
import { aZip } from './zips';

async function read(name: string, content: Uint8Array | string): Promise<Source> {
  const result = await readSource({ name, bytes: typeof content === 'string' ? bytes(content) : content }, anId('s'));
  if (!result.ok) throw new Error(result.problem.code);
  return result.source;
}
const sections = (source: Source) =>
  allSections(source.root)
    .filter((section) => section.level > 0)
    .map((section) => `${section.level} ${section.title}`);
const told = (source: Source) =>
  source.passages.map(
    ({ kind, text, list }) =>
      `${kind}${list ? `${list.depth}${list.ordered ? '.' : ''}${list.continued ? '+' : ''}` : ''}: ${text}`,
  );
const rows = (source: Source) =>
  source.passages.map((passage) => [passage.table?.header ?? [], passage.table?.cells ?? passage.text]);

const NAMES = ['office', 'text', 'table', 'style', 'draw', 'presentation', 'svg', 'fo', 'xlink', 'dc', 'meta']
  .map((name) => `xmlns:${name}="urn:${name}"`)
  .join(' ');
const odf = (body: string, styles = '', more: Record<string, string | Uint8Array> = {}) =>
  aZip({
    'content.xml': `<?xml version="1.0"?><office:document-content ${NAMES}><office:automatic-styles>${styles}</office:automatic-styles><office:body>${body}</office:body></office:document-content>`,
    'meta.xml': `<office:document-meta ${NAMES}><office:meta><dc:language>en</dc:language></office:meta></office:document-meta>`,
    ...more,
  });
const text = (body: string, styles = '') => odf(`<office:text>${body}</office:text>`, styles);

describe('OpenDocument text', () => {
  it('gives headings, title, marks, quotes and final text of tracked changes', async () => {
    const source = await read(
      'a.odt',
      text(
        `<text:tracked-changes><text:p>deleted</text:p></text:tracked-changes><text:p text:style-name="Title">Lending</text:p>
      <text:h text:outline-level="1">At the desk</text:h><text:p text:style-name="P1">Return <text:span text:style-name="T1">every saw</text:span><text:s/>clean,<text:line-break/>see <text:a xlink:href="https://e.org">the list</text:a>.</text:p>
      <text:p text:style-name="Quotations">Said.</text:p><text:p text:style-name="P2">A heading by style</text:p><text:table-of-content><text:p>Contents</text:p></text:table-of-content><text:p>Under it.</text:p><text:h text:outline-level="1">Elsewhere</text:h><text:p>More.</text:p>`,
        '<style:style style:name="T1"><style:text-properties fo:font-weight="bold"/></style:style><style:style style:name="P2" style:parent-style-name="Heading_20_2"/>',
      ),
    );
    expect(source.title).toBe('Lending');
    expect(source.language).toBe('en');
    expect(sections(source)).toEqual(['1 At the desk', '2 A heading by style', '1 Elsewhere']);
    expect(told(source)).toEqual([
      'paragraph: Return every saw clean, see the list.',
      'quote: Said.',
      'paragraph: Under it.',
      'paragraph: More.',
    ]);
    expect(source.passages[0].marks).toEqual([
      { from: 7, to: 16, kind: 'strong' },
      { from: 28, to: 36, kind: 'link', href: 'https://e.org' },
    ]);
  });

  it('keeps lists with depth and numbers, tables with their header, and notes behind their paragraph', async () => {
    const source = await read(
      'a.odt',
      text(
        `<text:list text:style-name="L1"><text:list-item><text:p>One</text:p><text:p>More of one</text:p><text:list><text:list-item><text:p>Deep</text:p></text:list-item></text:list></text:list-item><text:list-item><text:p>Two</text:p></text:list-item></text:list>
      <text:p>Text<text:note><text:note-citation>1</text:note-citation><text:note-body><text:p>A note.</text:p></text:note-body></text:note>.</text:p>
      <table:table><table:table-header-rows><table:table-row><table:table-cell><text:p>Tool</text:p></table:table-cell><table:table-cell><text:p>Days</text:p></table:table-cell></table:table-row></table:table-header-rows><table:table-row><table:table-cell><text:p>Saw</text:p></table:table-cell><table:table-cell table:number-columns-repeated="99999"/></table:table-row></table:table>`,
        '<text:list-style style:name="L1"><text:list-level-style-number text:level="1" style:num-format="1"/><text:list-level-style-bullet text:level="2"/></text:list-style>',
      ),
    );
    expect(told(source)).toEqual([
      'item0.: One',
      'item0.+: More of one',
      'item1: Deep',
      'item0.: Two',
      'paragraph: Text.',
      'footnote: A note.',
      'row: Saw',
    ]);
    expect(source.passages.at(-1)!.table).toMatchObject({ header: ['Tool', 'Days'], cells: ['Saw', ''] });
  });
});

describe('OpenDocument presentations', () => {
  const frame = (kind: string, lines: string) =>
    `<draw:frame presentation:class="${kind}"><draw:text-box>${lines}</draw:text-box></draw:frame>`;
  it('give slides with titles, points with depth, and what the speaker notes', async () => {
    const source = await read(
      'a.odp',
      odf(`<office:presentation><draw:page>${frame('title', '<text:p>Welcome</text:p>')}${frame('subtitle', '<text:p>For volunteers</text:p>')}</draw:page>
      <draw:page>${frame('title', '<text:p>Returns</text:p>')}${frame('outline', '<text:list><text:list-item><text:p>Look it over</text:p><text:list><text:list-item><text:p>Cable first</text:p></text:list-item></text:list></text:list-item></text:list>')}${frame('footer', '<text:p>Fernhollow</text:p>')}<presentation:notes>${frame('page', '<text:p>2</text:p>')}${frame('notes', '<text:p>Show a bad cable.</text:p>')}</presentation:notes></draw:page></office:presentation>`),
    );
    expect(source.title).toBe('Welcome');
    expect(sections(source)).toEqual(['1 Returns']);
    expect(told(source)).toEqual([
      'point: For volunteers',
      'point0: Look it over',
      'point1: Cable first',
      'note: Show a bad cable.',
    ]);
    expect(source.passages[1].locator.slide).toBe(2);
  });
});

const workbook = (cells: string, more: { state?: string; styles?: string; strings?: string; pr?: string } = {}) =>
  aZip({
    'xl/workbook.xml': `<workbook xmlns:r="http://r">${more.pr ?? ''}<sheets><sheet name="Loans" sheetId="1" r:id="r1"/><sheet name="Hidden" sheetId="2" state="${more.state ?? 'hidden'}" r:id="r2"/></sheets></workbook>`,
    'xl/_rels/workbook.xml.rels':
      '<Relationships><Relationship Id="r1" Type="x/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="r2" Type="x/worksheet" Target="worksheets/sheet2.xml"/></Relationships>',
    'xl/worksheets/sheet1.xml': `<worksheet><sheetData>${cells}</sheetData></worksheet>`,
    'xl/worksheets/sheet2.xml':
      '<worksheet><sheetData><row r="1"><c r="A1" t="inlineStr"><is><t>Secret</t></is></c></row></sheetData></worksheet>',
    ...(more.styles && { 'xl/styles.xml': more.styles }),
    ...(more.strings && { 'xl/sharedStrings.xml': more.strings }),
  });
const word = (at: string, said: string) => `<c r="${at}" t="inlineStr"><is><t>${said}</t></is></c>`;

describe('workbooks', () => {
  it('give a section per sheet and a passage per row with its headers; hidden sheets stay out', async () => {
    const source = await read(
      'a.xlsx',
      workbook(
        `<row r="1">${word('B1', 'Loan periods')}</row><row r="3">${word('B3', 'Tool')}${word('C3', 'Deposit')}</row><row r="4"><c r="B4" t="s"><v>0</v></c><c r="C4"><v>25</v></c></row><row r="5">${word('B5', 'Saw')}<c r="C5" t="b"><v>1</v></c></row><row r="8">${word('B8', 'Ask the desk for anything else.')}</row>`,
        { strings: '<sst><si><r><t>Battery </t></r><r><t>tool</t></r><rPh><t>x</t></rPh></si></sst>' },
      ),
    );
    expect(sections(source)).toEqual(['1 Loan periods']);
    expect(rows(source)).toEqual([
      [
        ['Tool', 'Deposit'],
        ['Battery tool', '25'],
      ],
      [
        ['Tool', 'Deposit'],
        ['Saw', 'yes'],
      ],
      [[], 'Ask the desk for anything else.'],
    ]);
  });

  it('show dates, shares and money as a person reads them', async () => {
    const styles =
      '<styleSheet><numFmts><numFmt numFmtId="164" formatCode="&quot;£&quot;#,##0.00"/><numFmt numFmtId="165" formatCode="dd\\ mmm\\ yyyy"/></numFmts><cellXfs><xf numFmtId="0"/><xf numFmtId="14"/><xf numFmtId="10"/><xf numFmtId="164"/><xf numFmtId="165"/></cellXfs></styleSheet>';
    const cells = `<row r="1">${word('A1', 'Day')}${word('B1', 'Share')}${word('C1', 'Fee')}${word('D1', 'Again')}</row><row r="2"><c r="A2" s="1"><v>46082</v></c><c r="B2" s="2"><v>0.125</v></c><c r="C2" s="3"><v>4.5</v></c><c r="D2" s="4"><v>46082.5</v></c></row>`;
    expect(rows(await read('a.xlsx', workbook(cells, { styles })))).toEqual([
      [
        ['Day', 'Share', 'Fee', 'Again'],
        ['2026-03-01', '12.5%', '£4.5', '2026-03-01 12:00'],
      ],
    ]);
    expect(rows(await read('a.xlsx', workbook(cells, { styles, pr: '<workbookPr date1904="1"/>' })))[0][1]).toContain(
      '2030-03-02',
    );
  });

  it.each([
    [0, undefined, '0.1', '0.1'],
    [9, undefined, '0.5', '50%'],
    [20, undefined, '0.75', '18:00'],
    [22, undefined, '1', '1899-12-31'],
    [164, '[$€-407] #,##0', '3', '€3'],
    [164, 'yyyy', '60', '1900-02-28'],
    [0, undefined, 'words', 'words'],
  ])('format %s %s makes %s %s', (id, code, raw, shown) =>
    expect(shownNumber(raw, numberFormat(id, code))).toBe(shown),
  );
});

describe('separated values', () => {
  it.each([[','], [';'], ['\t'], ['|']])('are read with %j between them, quotes and all', async (between) => {
    const source = await read(
      'a.csv',
      ['Tool', 'Days', 'Note'].join(between) +
        '\n' +
        ['Saw', '3', `"say ""no""${between === ',' ? ', then go' : ''}"`].join(between) +
        '\n',
    );
    expect(rows(source)).toEqual([
      [
        ['Tool', 'Days', 'Note'],
        ['Saw', '3', `say "no"${between === ',' ? ', then go' : ''}`],
      ],
    ]);
  });
  it('keep what looks like a formula as words, and a list of lines as paragraphs', async () => {
    expect(rows(await read('a.csv', 'name,answer\n=1+1,2\n@SUM(1),3\n'))).toEqual([
      [
        ['name', 'answer'],
        ['=1+1', '2'],
      ],
      [
        ['name', 'answer'],
        ['@SUM(1)', '3'],
      ],
    ]);
    expect(told(await read('a.csv', 'Return the saw.\nWipe it with oil.\n'))).toEqual([
      'paragraph: Return the saw.',
      'paragraph: Wipe it with oil.',
    ]);
  });
  it('say when rows are left out', async () => {
    const source = await read(
      'a.csv',
      `tool,days\n${Array.from({ length: 20_050 }, (_, at) => `saw ${at},3`).join('\n')}`,
    );
    expect(source.passages).toHaveLength(19_999);
    expect(source.notices).toContainEqual({ code: 'rows-left-out', parameters: { limit: 20_000 } });
  });
});

describe('rich text', () => {
  const rtf = (body: string) => `{\\rtf1\\ansi\\ansicpg1252{\\fonttbl{\\f0 Arial;}}${body}}`;
  it('is read with its marks, and a letter written twice is read once', async () => {
    const source = await read(
      'a.rtf',
      rtf(
        "\\pard Bring it {\\b back} by noon or pay \\u163\\'a320, that is \\u8364?23.\\par A second \\'e9clair.\\par",
      ),
    );
    expect(told(source)).toEqual([
      'paragraph: Bring it back by noon or pay £20, that is €23.',
      'paragraph: A second éclair.',
    ]);
    expect(source.passages[0].marks).toEqual([{ from: 9, to: 13, kind: 'strong' }]);
  });
  it.each([
    ['a.rtf', 'not rich text', 'name-lies'],
    ['a.txt', rtf('x'), 'name-lies'],
    ['a.rtf', '{\\rtf1', 'no-text'],
    ['a.odt', aZip({ 'x.txt': 'x' }), 'not-this-format'],
    ['a.xlsx', aZip({ 'x.txt': 'x' }), 'not-this-format'],
    ['a.xlsx', workbook('<row r="1"><c'), 'broken'],
    ['a.csv', '\n\n', 'no-text'],
    ['a.xlsx', 'PK nothing', 'name-lies'],
  ])('%s that is none is told: %#', async (name, content, code) => {
    const result = await readSource({ name, bytes: typeof content === 'string' ? bytes(content) : content }, anId('s'));
    expect(result).toMatchObject({ ok: false, problem: { code } });
  });
});
