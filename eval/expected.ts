/** The exit code that drafting from each hostile file shall give: 3 not read (with the reason), 4 read but too little, 0 a course. */
export const HOSTILE: Record<string, 0 | 3 | 4> = {
  'csv-formula.csv': 4, 'docx-truncated.docx': 3, 'docx-xxe.docx': 3, 'empty.docx': 3, 'empty.pdf': 3, 'html-named.png': 3, 'html-scripts.html': 4, 'markdown-scripts.md': 4,
  'not-utf8-latin1.txt': 4, 'nul-and-control.txt': 4, 'one-line-20MB.txt.gz': 3, 'pdf-encrypted-userpw.pdf': 3, 'pdf-openaction-js-no-xref.pdf': 4, 'pdf-owner-restricted.pdf': 0, 'pdf-page-loop.pdf': 3,
  'pdf-scanned-image-only.pdf': 3, 'pdf-truncated.pdf': 3, 'png-60000x60000.png': 3, 'polyglot-gif-html.gif': 3, 'polyglot-pdf-zip.pdf': 4, 'prompt-injection.md': 4, 'qti-xxe.xml': 3,
  'scorm-hostile-manifest.zip': 3, 'svg-script.svg': 3, 'vtt-script.vtt': 4, 'xml-billion-laughs.xml': 3, 'xml-xxe.xml': 3, 'zip-slip.zip': 3, 'zipbomb-flat.docx': 3, 'zipbomb-nested.zip': 3,
};
