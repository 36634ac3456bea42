import { describe, expect, it } from 'vitest';
import { readSource } from '../../../core/reading';
import type { Source } from '../../../core/source/source';
import { allSections } from '../../../core/source/source';
import { anId, bytes, file } from '../../builders';
import { aDeck, aDocx, anEpub, wordParagraph } from './zips';

async function read(name: string, content: Uint8Array | string): Promise<Source> {
  const result = await readSource({ name, bytes: typeof content === 'string' ? bytes(content) : content }, anId('s'));
  if (!result.ok) throw new Error(result.problem.code);
  return result.source;
}

/** A source in short: headings with #, passages with the first letter of their kind. */
function outline(source: Source): string[] {
  const byId = new Map(source.passages.map((passage) => [passage.id, passage]));
  return allSections(source.root).flatMap((section) => [
    ...(section.level > 0 ? [`${'#'.repeat(section.level)} ${section.title}`] : []),
    ...section.passages.map((id) => {
      const { kind, text, list } = byId.get(id)!;
      return `${kind}${list ? `${list.depth}${list.ordered ? '.' : ''}${list.continued ? '+' : ''}` : ''}: ${text}`;
    }),
  ]);
}

describe('HTML', () => {
  it('joins inline text in loose containers, whatever splits it', async () => {
    const source = await read(
      'a.html',
      '<body><div>The <b>red</b> tag\n<span>must</span> <i>stay</i> on.<br><br>Next.<div>Inner.</div>Last <a href="https://e.org">words</a>.</div></body>',
    );
    expect(outline(source)).toEqual([
      'paragraph: The red tag must stay on.',
      'paragraph: Next.',
      'paragraph: Inner.',
      'paragraph: Last words.',
    ]);
    expect(source.passages[3].marks).toEqual([{ from: 5, to: 10, kind: 'link', href: 'https://e.org' }]);
  });

  it('keeps lists, their depth and further paragraphs, tables with headers, definitions and code', async () => {
    const source = await read(
      'a.html',
      `<h1>T</h1><h2>S</h2><ol><li><p>One</p><p>More</p><ul><li>Deep</li></ul></li><li>Two</li></ol>
      <table><tr><th>K</th><th>V</th></tr><tr><td>a</td><td>1</td></tr></table><dl><dt>Pack</dt><dd>Some cells.</dd></dl><pre>  x\n   y</pre><blockquote>Said.</blockquote><p>Then a longer paragraph of prose.</p>`,
    );
    expect(outline(source)).toEqual([
      '# S',
      'item0.: One',
      'item0.+: More',
      'item1: Deep',
      'item0.: Two',
      'row: a | 1',
      'definition: Some cells.',
      'code:   x\n   y',
      'quote: Said.',
      'paragraph: Then a longer paragraph of prose.',
    ]);
    expect(source.passages.find((passage) => passage.kind === 'row')!.table).toMatchObject({
      header: ['K', 'V'],
      cells: ['a', '1'],
    });
  });

  it("leaves out page furniture, hidden parts, scripts and table layouts' frames", async () => {
    const source = await read(
      'a.html',
      '<body><nav>Menu</nav><div class="docnav">Next</div><script>x()</script><p hidden>No</p><p style="display:none">No</p><div class="toc"><a>1</a></div><table><tr><td><p>Kept.</p></td></tr></table><footer role="contentinfo">Foot</footer></body>',
    );
    expect(outline(source)).toEqual(['paragraph: Kept.']);
  });

  it('takes boxes for callouts and drops footnote marks', async () => {
    const source = await read(
      'a.html',
      '<div class="warning"><p class="title">Warning</p><p>Hot<sup class="footnote">[1]</sup>.</p></div><aside role="doc-footnote"><p>Very.</p></aside>',
    );
    expect(source.passages.map(({ kind, text, callout }) => [kind, text, callout])).toEqual([
      ['paragraph', 'Hot.', 'warning'],
      ['footnote', 'Very.', undefined],
    ]);
  });

  it('drops addresses that could run', async () => {
    const source = await read(
      'a.html',
      '<p><a href="javascript:alert(1)">Click</a> or <a href="data:text/html,x">this</a>.</p>',
    );
    expect(source.passages[0].marks).toBeUndefined();
  });

  it('reads a folder in the order of its contents page, as deep as it says', async () => {
    const page = (name: string, body: string) => ({ name, bytes: bytes(`<html><body>${body}</body></html>`) });
    const result = await readSource(
      {
        name: 'guide',
        pages: [
          page('b.html', '<h1>Beta</h1><p>Second.</p>'),
          page('a.html', '<h1>Alpha</h1><p>First.</p>'),
          page('sub.html', '<h1>Below</h1><p>Deeper.</p>'),
          page('z.html', '<h1>Loose</h1><p>Unlinked.</p>'),
          page(
            'index.html',
            '<h1>Guide</h1><ul><li><a href="a.html">A</a><ul><li><a href="sub.html#x">S</a></li></ul></li><li><a href="./b.html">B</a></li><li><a href="https://e.org/c.html">C</a></li></ul>',
          ),
        ],
      },
      anId('s'),
    );
    if (!result.ok) throw new Error(result.problem.code);
    expect(result.source.title).toBe('Guide');
    expect(outline(result.source).filter((line) => !line.startsWith('item'))).toEqual([
      '# Alpha',
      'paragraph: First.',
      '## Below',
      'paragraph: Deeper.',
      '# Beta',
      'paragraph: Second.',
      '# Loose',
      'paragraph: Unlinked.',
    ]);
  });
});

describe('Markdown', () => {
  it('reads headings, lists, tables, code, marks and front matter; raw HTML only for its text', async () => {
    const source = await read(
      'a.md',
      '---\ntitle: "Guide"\nlang: en\n---\n# One\n\nA **bold** `code` [link](https://e.org) <script>x</script>word.\n\n1. First\n   - Inner\n2. Second\n\n| K | V |\n|---|---|\n| a | 1 |\n\n```\n  keep\n```\n\n<div onclick="x()">Raw.</div>\n',
    );
    expect(source.title).toBe('Guide');
    expect(outline(source)).toEqual([
      '# One',
      'paragraph: A bold code link xword.',
      'item0.: First',
      'item1: Inner',
      'item0.: Second',
      'row: a | 1',
      'code:   keep',
      'paragraph: Raw.',
    ]);
    expect(source.passages[0].marks?.map((mark) => mark.kind)).toEqual(['strong', 'code', 'link']);
  });
});

describe('plain text', () => {
  it('finds numbered, underlined and capital headings, joins wrapped lines, reads lists and code', async () => {
    const source = await read(
      'a.txt',
      'The Guide\n\n1. Start\n\nA line that\nwraps and goes on\nfor a while.\n\n1.1. Below\n\nItems:\n\n  * first thing\n    that wraps\n  * second\n\nUnderlined\n----------\n\nText.\n\nIN CAPITALS\n\nEnd.\n\n        $ run --all\n',
    );
    expect(source.title).toBe('The Guide');
    expect(outline(source)).toEqual([
      '# Start',
      'paragraph: A line that wraps and goes on for a while.',
      '## Below',
      'paragraph: Items:',
      'item0: first thing that wraps',
      'item0: second',
      '## Underlined',
      'paragraph: Text.',
      '## IN CAPITALS',
      'paragraph: End.',
      'code: $ run --all',
    ]);
  });

  it('drops the contents, also the small ones of chapters', async () => {
    const source = await read(
      'a.txt',
      'Manual\n\nTable of Contents\n\n1. Start\n    1.1. Why\n2. End\n\nChapter 1. Start\n\nTable of Contents\n\n1.1. Why\n\n1.1. Why\n\nBecause.\n\nChapter 2. End\n\nOver.\n',
    );
    expect(outline(source)).toEqual(['# Start', '## Why', 'paragraph: Because.', '# End', 'paragraph: Over.']);
  });

  it("joins a word broken at a line's end only when the text knows it whole", async () => {
    const source = await read('a.txt', 'The borrower signs. A bor-\nrower who has a long-\nterm loan.\n');
    expect(source.passages[0].text).toBe('The borrower signs. A borrower who has a long-term loan.');
  });

  it('reads other encodings with a notice, and UTF-16 by its mark', async () => {
    expect(
      (
        await read(
          'a.txt',
          new Uint8Array([0x47, 0x72, 0xfc, 0xdf, 0x65, 0x20, 0x61, 0x6e, 0x20, 0x61, 0x6c, 0x6c, 0x65, 0x2e]),
        )
      ).passages[0].text,
    ).toBe('Grüße an alle.');
    expect((await read('a.txt', new Uint8Array([0xff, 0xfe, 0x48, 0, 0x69, 0, 0x2e, 0]))).passages[0].text).toBe('Hi.');
  });

  it('cuts a line that no person wrote', async () => {
    const source = await read('a.txt', `${'word '.repeat(30_000)}.`);
    expect(source.passages.length).toBeGreaterThan(5);
    expect(Math.max(...source.passages.map((passage) => passage.text.length))).toBeLessThanOrEqual(20_000);
  });
});

describe('transcripts', () => {
  it('joins cues to paragraphs by pauses and speakers, without settings, styles, notes and markup', async () => {
    const source = await read(
      'a.vtt',
      '\ufeffWEBVTT - The talk\n\nSTYLE\n::cue { color: red }\n\nNOTE a note\n\nid\n00:01.000 --> 00:03.000 align:start\n<v Ann>Hello <i>there</i>, &amp; welcome\n\n00:03.200 --> 00:05.000\n<v Ann>to the desk.\n\n00:09.500 --> 00:11.000\n<v Ann>Next point.\n\n00:11.100 --> 00:12.000\n<v Bo>Yes.\n',
    );
    expect(source.title).toBe('The talk');
    expect(source.passages.map(({ text, speaker, locator }) => [text, speaker, locator.seconds])).toEqual([
      ['Hello there, & welcome to the desk.', 'Ann', 1],
      ['Next point.', 'Ann', 9.5],
      ['Yes.', 'Bo', 11.1],
    ]);
  });

  it('knows the pauses that part the paragraphs of this talk', async () => {
    const sentence = (at: number) => `Point ${at} is said in a sentence of a dozen words, so that it lasts.`;
    const cue = (from: number, text: string) =>
      `00:${String(Math.floor(from / 60)).padStart(2, '0')}:${(from % 60).toFixed(3).padStart(6, '0')} --> 00:${String(Math.floor((from + 4) / 60)).padStart(2, '0')}:${((from + 4) % 60).toFixed(3).padStart(6, '0')}\n${text}`;
    // Five cues a paragraph, with the hint of a gap between them and nearly a second between paragraphs.
    const cues = Array.from({ length: 30 }, (_, at) => cue(at * 4.05 + Math.floor(at / 5) * 0.9, sentence(at)));
    const source = await read('p.vtt', `WEBVTT\n\n${cues.join('\n\n')}\n`);
    expect(source.passages.map(({ text }) => Number(/\d+/.exec(text)))).toEqual([0, 5, 10, 15, 20, 25]);
  });

  it('reads SRT with commas, carriage returns and names', async () => {
    const source = await read(
      'a.srt',
      '1\r\n00:00:01,000 --> 00:00:02,000\r\nANN: One.\r\n\r\n2\r\n00:00:02,100 --> 00:00:03,000\r\n- Two.\r\n',
    );
    expect(source.passages[0]).toMatchObject({ text: 'One. Two.', speaker: 'ANN', kind: 'utterance' });
  });

  it('sorts times that run backwards and says so', async () => {
    const source = await read(
      'a.vtt',
      'WEBVTT\n\n00:20.000 --> 00:21.000\nLater.\n\n00:01.000 --> 00:02.000\nFirst.\n',
    );
    expect(source.passages.map((passage) => passage.text)).toEqual(['First.', 'Later.']);
    expect(source.notices).toEqual([{ code: 'times-out-of-order' }]);
  });
});

describe('DOCX', () => {
  it('reads title, headings, lists and code', async () => {
    const source = await read(
      'a.docx',
      aDocx(
        [
          wordParagraph('The policy', 'T'),
          wordParagraph('Fees', 'H1'),
          wordParagraph('Pay at once.'),
          wordParagraph('a', 'C'),
          wordParagraph('b', 'C'),
        ].join(''),
      ),
    );
    expect(source.title).toBe('The policy');
    expect(outline(source)).toEqual(['# Fees', 'paragraph: Pay at once.', 'code: a\nb']);
  });

  it('takes preformatted paragraphs for code, unless the whole document is set so', async () => {
    const command = wordParagraph('desk --start', 'P') + wordParagraph('desk --stop', 'P');
    expect(
      outline(
        await read(
          'a.docx',
          aDocx(wordParagraph('The desk is started with a command and stopped with another:') + command),
        ),
      ),
    ).toEqual([
      'paragraph: The desk is started with a command and stopped with another:',
      'code: desk --start\ndesk --stop',
    ]);
    expect(
      outline(
        await read(
          'b.docx',
          aDocx(
            wordParagraph('Desk') +
              wordParagraph('Every saw is wiped with oil before it is hung up.', 'P') +
              wordParagraph('Every drill is counted.', 'P'),
          ),
        ),
      ),
    ).toEqual([
      'paragraph: Desk',
      'paragraph: Every saw is wiped with oil before it is hung up.',
      'paragraph: Every drill is counted.',
    ]);
  });

  it('takes inserted text and leaves deleted text of tracked changes', async () => {
    const source = await read(
      'a.docx',
      aDocx(
        '<w:p><w:r><w:t xml:space="preserve">Pay </w:t></w:r><w:del><w:r><w:delText>never</w:delText></w:r></w:del><w:ins><w:r><w:t>today.</w:t></w:r></w:ins></w:p>',
      ),
    );
    expect(source.passages[0].text).toBe('Pay today.');
  });
});

describe('PPTX', () => {
  it('reads slides in showing order with levels and notes, without hidden ones and footers', async () => {
    const source = await read(
      'a.pptx',
      aDeck([
        { title: 'The deck' },
        { title: 'First', body: ['One', '\tInner', 'Two'], notes: 'Say it slowly.', footer: 'p. 2' },
        { title: 'Hidden', body: ['No'], hidden: true },
        { title: 'Last', body: ['Alone'] },
      ]),
    );
    expect(source.title).toBe('The deck');
    expect(outline(source)).toEqual([
      '# First',
      'point0: One',
      'point1: Inner',
      'point0: Two',
      'note: Say it slowly.',
      '# Last',
      'point: Alone',
    ]);
    expect(source.passages.map((passage) => passage.locator.slide)).toEqual([2, 2, 2, 2, 4]);
  });

  it('takes typed numbers and bullets off points once, and leaves what only looks like one', async () => {
    const source = await read(
      'a.pptx',
      aDeck([
        { title: 'The deck' },
        { title: 'Reset', body: ['1. Hold the button', '2. Let it go', '3. Wait for 2. beep'] },
        { title: 'Look', body: ['• Cord', '• Plug'] },
        { title: 'When', body: ['1. May is a holiday', 'Other days are not'] },
      ]),
    );
    expect(outline(source)).toEqual([
      '# Reset',
      'point0.: Hold the button',
      'point0.: Let it go',
      'point0.: Wait for 2. beep',
      '# Look',
      'point0: Cord',
      'point0: Plug',
      '# When',
      'point0: 1. May is a holiday',
      'point0: Other days are not',
    ]);
  });

  it('calls a slide without a title by its largest line, or by its first', async () => {
    const source = await read(
      'a.pptx',
      aDeck([
        { title: 'The deck' },
        {
          boxes: [
            ['drawn by the trainees', 1200],
            ['Masks and gloves', 4400],
          ],
          body: ['Change them', 'After each guest'],
        },
        { boxes: [['Water lines', 0]], body: ['Run them', 'Each morning'] },
        { body: ['No title here', 'only two points'] },
      ]),
    );
    expect(outline(source)).toEqual([
      '# Masks and gloves',
      'point: drawn by the trainees',
      'point0: Change them',
      'point0: After each guest',
      '# Water lines',
      'point0: Run them',
      'point0: Each morning',
      'point0: No title here',
      'point0: only two points',
    ]);
  });
});

describe('EPUB', () => {
  it('reads chapters in the order of the spine, without contents and index', async () => {
    const links = `<h1>Contents</h1>${'<p><a href="x.xhtml">A link to a chapter</a></p>'.repeat(9)}`;
    const source = await read(
      'a.epub',
      anEpub(
        {
          two: '<h1>Two<a id="x"/></h1><p>Second<br/>line.</p>',
          one: '<h1>One</h1><p>First.</p>',
          toc: links,
          nav: links,
        },
        ['one', 'toc', 'nav', 'two'],
      ),
    );
    expect(source.title).toBe('A book');
    expect(outline(source)).toEqual(['# One', 'paragraph: First.', '# Two', 'paragraph: Second line.']);
  });
});

describe("the demo's files", () => {
  it.each([
    ['lending-policy.docx', 'docx', 'Lending Policy', 5, /two opening days/],
    ['battery-guide.pdf', 'pdf', 'Battery and Charger Guide', 6, /gap of at least 10 cm/],
    ['front-desk-shift.pptx', 'pptx', 'A shift at the front desk', 9, /Come 20 minutes before opening/],
    ['twelve-years-at-the-desk.vtt', 'vtt', 'Twelve years at the desk', 0, /Never let the queue set the speed/],
    ['questions.html', 'html', 'Questions people ask at the desk', 4, /three opening days/],
    ['coordinators-notes.md', 'markdown', "Coordinator's notes for the desk course", 5, /look-over takes 40 seconds/],
  ])('%s is read whole', async (name, kind, title, sections, words) => {
    const source = await read(name, file(`demo/files/${name}`));
    expect(source).toMatchObject({ kind, title, language: 'en', notices: [] });
    expect(source.root.sections.length === sections || source.root.sections[0]?.sections.length === sections).toBe(
      true,
    );
    expect(source.passages.some((passage) => words.test(passage.text))).toBe(true);
  });

  it('the PDF gives back every paragraph, list and table of its text', async () => {
    const [pdf, text] = [
      await read('battery-guide.pdf', file('demo/files/battery-guide.pdf')),
      await read('battery-guide.md', file('demo/sources/battery-guide.md')),
    ];
    const words = (source: Source) => source.passages.map((passage) => passage.text.replace(/[“”"]/g, '"'));
    expect(words(pdf)).toEqual(words(text));
    expect(outline(pdf).filter((line) => line.startsWith('#'))).toEqual(
      outline(text).filter((line) => line.startsWith('#')),
    );
  });
});
