/** The exit code that drafting from each hostile file shall give: 3 not read (with the reason), 0 a course, however little it holds. */
export const HOSTILE: Record<string, 0 | 3> = {
  'csv-formula.csv': 0, 'docx-truncated.docx': 3, 'docx-xxe.docx': 3, 'empty.docx': 3, 'empty.pdf': 3, 'html-named.png': 3, 'html-scripts.html': 0, 'markdown-scripts.md': 0,
  'not-utf8-latin1.txt': 0, 'nul-and-control.txt': 0, 'one-line-20MB.txt.gz': 3, 'pdf-encrypted-userpw.pdf': 3, 'pdf-openaction-js-no-xref.pdf': 0, 'pdf-owner-restricted.pdf': 0, 'pdf-page-loop.pdf': 3,
  'pdf-scanned-image-only.pdf': 3, 'pdf-truncated.pdf': 3, 'png-60000x60000.png': 3, 'polyglot-gif-html.gif': 3, 'polyglot-pdf-zip.pdf': 0, 'prompt-injection.md': 0, 'qti-xxe.xml': 3,
  'scorm-hostile-manifest.zip': 3, 'svg-script.svg': 3, 'vtt-script.vtt': 0, 'xml-billion-laughs.xml': 3, 'xml-xxe.xml': 3, 'zip-slip.zip': 3, 'zipbomb-flat.docx': 3, 'zipbomb-nested.zip': 3,
};
