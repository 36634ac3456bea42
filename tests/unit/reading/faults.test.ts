import { describe, expect, it } from 'vitest';
import { readSource, type Given } from '../../../core/reading';
import type { Source } from '../../../core/source/source';
import { wordsIn } from '../../../server/language/lexicon';
import { anId } from '../../builders';

/** Documents as ugly as they come: for each fault of reading one that has it. */
const bytes = (text: string) => new TextEncoder().encode(text);
async function reading(given: Given) {
  const result = await readSource(given, anId(given.name), { wordsIn });
  if (!result.ok) throw new Error(result.problem.code);
  return result;
}
const read = async (name: string, text: string): Promise<Source> =>
  (await reading({ name, bytes: bytes(text) })).source;
const texts = ({ passages }: Source) => passages.map(({ text }) => text);
const kinds = ({ passages }: Source) => passages.map(({ kind }) => kind);
/** A picture large enough to be one. */
const PNG = Uint8Array.from(
  { length: 900 },
  (_, at) => [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a][at] ?? at % 251,
);
const INLINE = `data:image/png;base64,${Buffer.from(PNG).toString('base64')}`;

describe("words broken at a line's end", () => {
  it('are whole again, and hyphens that belong stay, though the text has the word nowhere else', async () => {
    expect(
      texts(
        await read(
          'a.txt',
          'Each of the pack-\nages is weighed before it goes to the long-\nterm store, as the main-\ntainer says. The rest of this text is here so that its language can be told.',
        ),
      )[0],
    ).toContain('Each of the packages is weighed before it goes to the long-term store, as the maintainer says.');
  });
});

describe('running heads and feet of a text', () => {
  it('go, between pages and where they stand alone, and a sentence that they cut is whole', async () => {
    const page = (at: number, body: string) => `THE STORE MANUAL\n\n${body}\n\n                    ${at}\n`;
    const paged = texts(
      await read(
        'b.txt',
        [
          page(1, 'Packs come on Monday, and they'),
          page(2, 'are weighed at the gate.'),
          page(3, 'Damp packs are dried for a day.'),
          page(4, 'Torn packs go back.'),
        ].join('\f'),
      ),
    );
    expect(paged).toEqual([
      'Packs come on Monday, and they are weighed at the gate.',
      'Damp packs are dried for a day.',
      'Torn packs go back.',
    ]);
    const loose = texts(
      await read(
        'c.txt',
        [
          'Packs come on Monday.',
          'Store manual              Page 1',
          'Damp packs are dried for a day.',
          'Store manual              Page 2',
          'Torn packs go back.',
          'Store manual              Page 3',
          'Step 1',
          'Step 2',
          'Step 3',
        ].join('\n\n'),
      ),
    );
    expect(loose.join(' ')).not.toContain('Store manual');
  });
  it('are no figures of the text, though they end a page', async () => {
    const source = await read(
      'b2.txt',
      [
        'Packs come on Monday.\n\nIn an emergency dial\n\n112',
        'Damp packs are dried for a day.',
        'Torn packs go back.',
        'Wet packs are burnt.',
      ].join('\f'),
    );
    expect(JSON.stringify(source)).toContain('112');
  });
  it('are none where steps are only counted', async () => {
    const source = await read(
      'd.txt',
      ['Step 1', 'Open the box.', 'Step 2', 'Take the pump out.', 'Step 3', 'Close the box.'].join('\n\n'),
    );
    expect(JSON.stringify(source)).toContain('Step 2');
  });
});

describe('marks of notes', () => {
  it('go from words and from the notes, while powers keep their height', async () => {
    const source = await read(
      'e.html',
      '<h1>Saws</h1><h2>Blades</h2><p>The blade is changed<sup>1</sup> after ten hours of work<sup><a href="#n3">*</a></sup>. An area of 5 m<sup>2</sup> is kept free, on the 1<sup>st</sup> floor too.</p><p class="footnote">1 By the foreman only.</p><h2>Guards<sup>2</sup></h2><p>Guards stay on.</p>',
    );
    expect(texts(source)).toEqual([
      'The blade is changed after ten hours of work. An area of 5 m² is kept free, on the 1st floor too.',
      'By the foreman only.',
      'Guards stay on.',
    ]);
    expect(source.root.sections[1].title).toBe('Guards');
  });
  it('are not the figures of a text: powers of any unit, and what a note begins with', async () => {
    const source = await read(
      'e2.html',
      '<h1>Saws</h1><p>Keep 50 ft<sup>2</sup> free, or 10<sup>3</sup> cm<sup>2</sup>.</p><p class="footnote">30 minutes at most.</p><p class="footnote">1 By the foreman only.</p><p class="footnote">2 Or a deputy.</p><p class="footnote">24 Hours of rest are the rule.</p>',
    );
    expect(texts(source)).toEqual([
      'Keep 50 ft² free, or 10³ cm².',
      '30 minutes at most.',
      'By the foreman only.',
      'Or a deputy.',
      '24 Hours of rest are the rule.',
    ]);
  });
});

describe('prose set like program text', () => {
  const PROSE =
    'The blade must never be cleaned with water. Use a dry brush and\nwear gloves while you do it. When the blade is bent, throw it away.';
  it('is prose, in a page, between indents of Markdown and of a text', async () => {
    const whole = PROSE.replace('\n', ' ');
    for (const source of [
      await read('f.html', `<h1>A</h1><pre>${PROSE}</pre>`),
      await read('g.md', `# A\n\n${PROSE.replace(/^/gm, '    ')}\n`),
      await read('h.txt', `Blades stand in the rack.\n\n${PROSE.replace(/^/gm, '    ')}\n\nThey are counted daily.`),
    ])
      expect(texts(source)).toContain(whole);
  });
  it('stays code where it is, or where its author set it between fences', async () => {
    expect(kinds(await read('i.md', `# A\n\n\`\`\`\n${PROSE}\n\`\`\`\n`))).toEqual(['code']);
    expect(
      kinds(
        await read(
          'j.html',
          '<h1>A</h1><pre>copy blade.conf /etc/saw.conf\nThe-saw --start --speed=3 | tee log.txt</pre><pre>Name      Hours\nOak       8\nPine      12</pre>',
        ),
      ),
    ).toEqual(['code', 'code']);
  });
});

describe('labels that open a paragraph or an item', () => {
  it('stay with it', async () => {
    expect(
      texts(
        await read(
          'k.md',
          '# A\n\n**Depends:** the pump needs a filled tank.\n\n**Visit to customer.** Trips up to 20 km cost nothing.\n\n- **Small leak:** tighten the nut.\n- **Large leak.** Close valve 3.\n',
        ),
      ),
    ).toEqual([
      'Depends: the pump needs a filled tank.',
      'Visit to customer. Trips up to 20 km cost nothing.',
      'Small leak: tighten the nut.',
      'Large leak. Close valve 3.',
    ]);
  });
});

describe('definitions of a plain text format', () => {
  it('are definitions: a line, and lines with a colon below it', async () => {
    const { passages } = await read(
      'o.md',
      '# Lamps\n\nAmber, *steady*\n: Low paper. Finish the **queue** first.\n\nRed\n: No link.\n: Water inside.\n\nNot one\nof them: it goes on.\n',
    );
    expect(passages.map(({ kind, term, text }) => [kind, term, text])).toEqual([
      ['definition', 'Amber, steady', 'Low paper. Finish the queue first.'],
      ['definition', 'Red', 'No link.'],
      ['definition', 'Red', 'Water inside.'],
      ['paragraph', undefined, 'Not one of them: it goes on.'],
    ]);
    expect(passages[0].marks).toEqual([{ from: 22, to: 27, kind: 'strong' }]);
  });
});

describe('what a plain text says by its indents', () => {
  const WIDE =
    'The store is open on every day of the week except the first Monday of a month,\nwhen the shelves are counted and nobody is let in before the count is over.';
  const shown = async (text: string) =>
    (await read('in.txt', text)).passages.map(({ kind, term, text: said }) => [kind, term, said]);
  it('terms over their meaning are definitions, two and more of them', async () => {
    expect(
      await shown(
        `${WIDE}\n\n  open-shelf\n      A shelf that everybody may take from, day or night,\n      without asking anybody in the store.\n\n  locked-shelf\n      A shelf of the keeper.\n\n${WIDE}`,
      ),
    ).toEqual([
      ['paragraph', undefined, expect.stringContaining('The store')],
      [
        'definition',
        'open-shelf',
        'A shelf that everybody may take from, day or night, without asking anybody in the store.',
      ],
      ['definition', 'locked-shelf', 'A shelf of the keeper.'],
      ['paragraph', undefined, expect.stringContaining('The store')],
    ]);
    expect(
      (
        await shown(`${WIDE}\n\n  open-shelf\n      A shelf that everybody may take from, day or night.\n\n${WIDE}`)
      )[1][0],
    ).toBe('paragraph');
  });
  it('lines that their author ended stay lines, a wrapped quotation does not', async () => {
    expect(
      (await shown(`${WIDE} So:\n\n    shelf open all\n    shelf count\n    shelf close\n\n${WIDE}`)).slice(1, 4),
    ).toEqual([
      ['item', undefined, 'shelf open all'],
      ['item', undefined, 'shelf count'],
      ['item', undefined, 'shelf close'],
    ]);
    expect(
      (
        await shown(
          `${WIDE}\n\n    The keys hang in the red box that stands beside\n    the gate and nowhere else\n\n${WIDE}`,
        )
      )[1],
    ).toEqual(['paragraph', undefined, 'The keys hang in the red box that stands beside the gate and nowhere else']);
    expect(
      (
        await shown(
          `${WIDE}\n\n    Whoever counts the shelves counts them twice, from the door to the window and\n    back again.\n\n${WIDE}`,
        )
      )[1],
    ).toEqual([
      'paragraph',
      undefined,
      'Whoever counts the shelves counts them twice, from the door to the window and back again.',
    ]);
  });
  it('every entry of a page of questions is one, though it does not ask', async () => {
    const entry = (at: number, question: string) => ` ${at}. ${question}\n\n    ${WIDE.replaceAll('\n', '\n    ')}`;
    const source = await read(
      'faq.txt',
      [
        '        Questions about the store',
        entry(1, 'When is the store open?'),
        entry(2, 'Who counts the shelves, and who looks at what they\n    have counted?'),
        entry(3, 'The door returns a key.'),
        entry(4, 'Where does the key lie?'),
        entry(5, 'May I come in?'),
      ].join('\n\n\n'),
    );
    expect(source.root.sections.map(({ title }) => title)).toEqual([
      'When is the store open?',
      'Who counts the shelves, and who looks at what they have counted?',
      'The door returns a key.',
      'Where does the key lie?',
      'May I come in?',
    ]);
    const steps = await read('steps.txt', [1, 2, 3, 4].map((at) => entry(at, 'Open the door.')).join('\n\n'));
    expect(steps.root.sections).toEqual([]);
  });
  it('marked lines at the margin head the text below them, where each stands alone', async () => {
    const entry = (problem: string) => `* ${problem}\n\n${WIDE}\n\n----------------------`;
    const source = await read(
      'problems.txt',
      [
        'Trouble at the store',
        '=====================',
        '',
        entry('The door squeaks.'),
        entry('The lamp over the shelves stays dark when the gate is\n  opened. Why?'),
        entry('The key breaks.'),
        entry('The gate sticks.'),
      ].join('\n\n'),
    );
    expect(JSON.stringify(source.root)).toContain('The lamp over the shelves stays dark when the gate is opened. Why?');
    expect(source.passages.every(({ kind }) => kind === 'paragraph')).toBe(true);
    const rules = await read(
      'rules.txt',
      [
        'Never climb the crane alone, and never at night.',
        'Ring the office within 10 minutes.',
        'Keep the gate shut.',
        'Wear the red helmet.',
      ]
        .map((rule) => `* ${rule}\n\n${WIDE}`)
        .join('\n\n'),
    );
    expect(texts(rules)).toContain('Never climb the crane alone, and never at night.');
    expect(rules.root.sections).toEqual([]);
    const list = await read(
      'list.txt',
      `${WIDE}\n\n${['* Open the door.', '* Count the shelves.', '* Close the door.', '* Hang the key up.'].join('\n\n')}\n\n${WIDE}`,
    );
    expect(list.passages.filter(({ kind }) => kind === 'item')).toHaveLength(4);
  });
  it('columns of blanks keep their lines, also behind a sentence', async () => {
    const source = await read(
      'columns.txt',
      `${WIDE} Here is when:\n         weekdays        weekend\nspring   eight           ten\nsummer   seven           nine\nand autumn nine          closed\n\n${WIDE}`,
    );
    expect(kinds(source)).toEqual(['paragraph', 'code', 'paragraph']);
    expect(source.passages[1].text.split('\n')).toHaveLength(4);
  });
  it('program text at the margin is none of the prose around it', async () => {
    const source = await read(
      'code.txt',
      `${WIDE} Put this into the file:\n\nif [ $door = open ]; then\n  count >> /var/log/$day\nfi; [ -x /bin/close ]\n\n${WIDE}`,
    );
    expect(kinds(source)).toEqual(['paragraph', 'code', 'paragraph']);
  });
  it('a sentence before all headings is no title, and a sign to link by belongs to none', async () => {
    const source = await read(
      'the-store-policy.txt',
      `The printed version of the policy of the store can be found in the hall behind the gate\n\n1. Copying¶\n\n${WIDE}\n\n2. Counting¶\n\n${WIDE}`,
    );
    expect(source.title).not.toMatch(/can be found/);
    expect(source.root.sections.map(({ title }) => title)).toEqual(['Copying', 'Counting']);
  });
});

describe('lists in lists', () => {
  it('keep what introduces them and their depth', async () => {
    const { passages } = await read(
      'l.md',
      '# A\n\nOpen the cover:\n\n1. Loosen screw A:\n   - a quarter turn\n     - never more\n   - to the left\n2. Lift the cover\n',
    );
    expect(passages.map(({ list }) => list?.depth)).toEqual([undefined, 0, 1, 2, 1, 0]);
    expect(passages.map(({ leadIn }) => passages.find(({ id }) => id === leadIn)?.text)).toEqual([
      undefined,
      'Open the cover:',
      'Loosen screw A:',
      'a quarter turn',
      'Loosen screw A:',
      'Open the cover:',
    ]);
  });
});

describe('captions and pictures', () => {
  it('stand together and in their place, and a table keeps its own caption', async () => {
    const { source, media } = await reading({
      name: 'm.html',
      bytes: bytes(
        `<h1>Pumps</h1><p>The pump has a guard.</p><figure><img src="${INLINE}" alt="A pump"><figcaption>The guard, taken off</figcaption></figure><p>Table 2: Pressure by season</p><table><tr><th>Season</th><th>Bar</th></tr><tr><td>Summer</td><td>3</td></tr></table><p>Figure 3. The gauge</p><img src="${INLINE}" alt="A gauge">`,
      ),
    });
    const said = (id?: string) => source.passages.find((passage) => passage.id === id)?.text;
    expect(source.pictures.map(({ alt, near, caption }) => [alt, said(near), said(caption)])).toEqual([
      ['A pump', 'The pump has a guard.', 'The guard, taken off'],
      ['A gauge', 'Figure 3. The gauge', 'Figure 3. The gauge'],
    ]);
    expect(kinds(source)).toEqual(['paragraph', 'caption', 'caption', 'row', 'caption']);
    expect([...media.keys()]).toEqual([source.pictures[0].hash]);
  });
  it('have no description where a program put the name of their file', async () => {
    const names = ['pump.png', 'fig: pump photo.JPG', 'A pump in winter', 'The file pump.png, opened'];
    const images = names.map((alt) => `<p>The pump has a guard.</p><img src="${INLINE}" alt="${alt}">`);
    const source = await read('m3.html', `<h1>Pumps</h1>${images.join('')}`);
    expect(source.pictures.map(({ alt }) => alt)).toEqual(['', '', 'A pump in winter', 'The file pump.png, opened']);
  });
  it('are no steps, which have a word and a number, too', async () => {
    const source = await read(
      'm2.html',
      `<h1>Pumps</h1><p>Step 3: Turn the tap off.</p><img src="${INLINE}" alt="The tap"><p>Abb. 4 – Der Hahn</p><img src="${INLINE}" alt="Hahn">`,
    );
    expect(kinds(source)).toEqual(['paragraph', 'caption']);
  });
  it('come with a folder of pages and with Markdown that holds them, and from nowhere else', async () => {
    const folder = await reading({
      name: 'site',
      pages: [
        { name: 'index.html', bytes: bytes('<h1>Pumps</h1><a href="deep/a.html">A</a>') },
        {
          name: 'deep/a.html',
          bytes: bytes(
            '<h1>Guards</h1><p>Guards stay on the pump.</p><img src="../pics/guard%201.png?x=1" alt="The guard"><img src="https://elsewhere.example/x.png">',
          ),
        },
        { name: 'pics/guard 1.png', bytes: PNG },
      ],
    });
    expect(folder.source.pictures.map(({ alt, type }) => [alt, type])).toEqual([['The guard', 'image/png']]);
    expect(texts(folder.source)).toContain('Guards stay on the pump.');
    const { source } = await reading({
      name: 'n.md',
      bytes: bytes(`# Pumps\n\nThe pump is red.\n\n![The pump](${INLINE})\n\n![Not here](pump.png)\n`),
    });
    expect(source.pictures.map(({ alt }) => alt)).toEqual(['The pump']);
  });
});

describe('paragraphs that no person wrote', () => {
  const LONG = Array.from({ length: 1200 }, (_, at) => `Tool ${at} goes back to its **shelf** before noon.`).join(' ');
  it('are cut at ends of sentences in every format, with their marks on the same words', async () => {
    for (const [name, text] of [
      ['p.md', `# A\n\n${LONG}\n`],
      ['p.html', `<h1>A</h1><p>${LONG.replace(/\*\*(.*?)\*\*/g, '<b>$1</b>')}</p>`],
    ]) {
      const { passages } = await read(name, text);
      expect(passages.length).toBeGreaterThan(3);
      expect(Math.max(...passages.map((passage) => passage.text.length))).toBeLessThanOrEqual(5_000);
      expect(passages.map((passage) => passage.text).join(' ')).toBe(LONG.replaceAll('**', ''));
      expect(
        passages.every(
          (passage) =>
            passage.text.endsWith('noon.') &&
            passage.marks!.every((mark) => passage.text.slice(mark.from, mark.to) === 'shelf'),
        ),
      ).toBe(true);
    }
  });
});
