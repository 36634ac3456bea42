import { strToU8, zipSync } from 'fflate';

/** A zip of text files. */
export const aZip = (files: Record<string, string | Uint8Array>): Uint8Array =>
  zipSync(
    Object.fromEntries(
      Object.entries(files).map(([name, content]) => [name, typeof content === 'string' ? strToU8(content) : content]),
    ),
    { mtime: new Date(1990, 0, 1) },
  );

const W = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"';

/** A Word document with the given body. */
export const aDocx = (body: string, before = ''): Uint8Array =>
  aZip({
    '[Content_Types].xml':
      '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>',
    '_rels/.rels':
      '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/></Relationships>',
    'word/document.xml': `<?xml version="1.0"?>${before}<w:document ${W}><w:body>${body}</w:body></w:document>`,
    'word/styles.xml': `<?xml version="1.0"?><w:styles ${W}><w:style w:type="paragraph" w:styleId="H1"><w:name w:val="heading 1"/></w:style><w:style w:type="paragraph" w:styleId="T"><w:name w:val="Title"/></w:style><w:style w:type="paragraph" w:styleId="C"><w:name w:val="Source Code"/></w:style><w:style w:type="paragraph" w:styleId="P"><w:name w:val="Preformatted Text"/></w:style></w:styles>`,
    'word/_rels/document.xml.rels':
      '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="s" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/styles" Target="styles.xml"/></Relationships>',
  });

export const wordParagraph = (text: string, style?: string): string =>
  `<w:p>${style ? `<w:pPr><w:pStyle w:val="${style}"/></w:pPr>` : ''}<w:r><w:t>${text}</w:t></w:r></w:p>`;

const NS = 'xmlns:a="http://a" xmlns:p="http://p" xmlns:r="http://r"';
const shape = (type: string, lines: string[], size?: number) =>
  `<p:sp><p:nvSpPr><p:nvPr>${type === 'box' ? '' : `<p:ph type="${type}"/>`}</p:nvPr></p:nvSpPr><p:txBody>${lines
    .map((line) => {
      const [, tabs, text] = /^(\t*)(.*)$/.exec(line)!;
      return `<a:p><a:pPr lvl="${tabs.length}"/><a:r>${size ? `<a:rPr sz="${size}"/>` : ''}<a:t>${text}</a:t></a:r></a:p>`;
    })
    .join('')}</p:txBody></p:sp>`;

/**
 * A deck: slides in the given showing order, the files named in another; `boxes`: lone lines of text and the size of
 * their letters.
 */
export function aDeck(
  slides: {
    title?: string;
    boxes?: [text: string, size: number][];
    body?: string[];
    notes?: string;
    hidden?: boolean;
    footer?: string;
  }[],
): Uint8Array {
  const files: Record<string, string> = {};
  const number = (index: number) => slides.length - index;
  files['ppt/presentation.xml'] =
    `<p:presentation ${NS}><p:sldIdLst>${slides.map((_, index) => `<p:sldId id="${256 + index}" r:id="r${index}"/>`).join('')}</p:sldIdLst></p:presentation>`;
  files['ppt/_rels/presentation.xml.rels'] =
    `<Relationships>${slides.map((_, index) => `<Relationship Id="r${index}" Type="x/slide" Target="slides/slide${number(index)}.xml"/>`).join('')}</Relationships>`;
  slides.forEach((slide, index) => {
    const name = `slide${number(index)}.xml`;
    files[`ppt/slides/${name}`] =
      `<p:sld ${NS}${slide.hidden ? ' show="0"' : ''}><p:cSld><p:spTree>${slide.title === undefined ? '' : shape('title', [slide.title])}${(slide.boxes ?? []).map(([text, size]) => shape('box', [text], size)).join('')}${slide.body ? shape('body', slide.body) : ''}${slide.footer ? shape('ftr', [slide.footer]) : ''}</p:spTree></p:cSld></p:sld>`;
    if (!slide.notes) return;
    files[`ppt/slides/_rels/${name}.rels`] =
      `<Relationships><Relationship Id="n" Type="x/notesSlide" Target="../notesSlides/n${index}.xml"/></Relationships>`;
    files[`ppt/notesSlides/n${index}.xml`] =
      `<p:notes ${NS}><p:cSld><p:spTree>${shape('sldImg', ['picture'])}${shape('body', [slide.notes])}</p:spTree></p:cSld></p:notes>`;
  });
  return aZip(files);
}

/** A book of the given chapters, in the given order of its spine. */
export function anEpub(chapters: Record<string, string>, spine: string[] = Object.keys(chapters)): Uint8Array {
  return aZip({
    mimetype: 'application/epub+zip',
    'META-INF/container.xml': '<container><rootfiles><rootfile full-path="OPS/book.opf"/></rootfiles></container>',
    'OPS/book.opf': `<package><metadata><dc:title>A book</dc:title><dc:language>en</dc:language></metadata><manifest>${Object.keys(
      chapters,
    )
      .map(
        (name) =>
          `<item id="${name}" href="${name}.xhtml" media-type="application/xhtml+xml"${name === 'nav' ? ' properties="nav"' : ''}/>`,
      )
      .join('')}</manifest><spine>${spine.map((name) => `<itemref idref="${name}"/>`).join('')}</spine></package>`,
    ...Object.fromEntries(
      Object.entries(chapters).map(([name, body]) => [
        `OPS/${name}.xhtml`,
        `<?xml version="1.0"?><html xmlns="http://www.w3.org/1999/xhtml"><head><title>${name}</title></head><body>${body}</body></html>`,
      ]),
    ),
  });
}
