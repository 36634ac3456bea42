import type { SourceKind } from '../source/source';

/** Kinds of files; an interview is none. */
export type FileKind = Exclude<SourceKind, 'interview'>;
import { fail } from '../document/problem';
import { isStamped } from './timed';

const ZIP_KINDS: Record<string, FileKind> = {
  docx: 'docx',
  pptx: 'pptx',
  epub: 'epub',
  odt: 'odt',
  odp: 'odp',
  ods: 'ods',
  xlsx: 'xlsx',
};
const TEXT_KINDS: Record<string, FileKind> = {
  html: 'html',
  htm: 'html',
  xhtml: 'html',
  md: 'markdown',
  markdown: 'markdown',
  txt: 'text',
  text: 'text',
  vtt: 'vtt',
  srt: 'srt',
  csv: 'csv',
  tsv: 'csv',
  rtf: 'rtf',
};

/** First bytes of pictures, archives and programs. */
const BINARY = [
  '\u0089PNG',
  'GIF8',
  '\u00ff\u00d8\u00ff',
  'RIFF',
  '\u001f\u008b',
  '\u007fELF',
  'MZ\u0090',
  'Rar!',
  '7z\u00bc',
];

/** The last extension of a file name, lower case, without the dot. */
export function extensionOf(name: string): string {
  return /\.([a-z0-9]+)$/i.exec(name)?.[1].toLowerCase() ?? '';
}

/**
 * What a file is, told by its bytes and checked against its name: a name never makes a file what it is not.
 * Throws `empty`, `not-read-here`, `name-lies`.
 */
export function sniff(name: string, bytes: Uint8Array): FileKind {
  if (bytes.length === 0) fail('empty');
  const extension = extensionOf(name);
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 1024));
  const found = magic(head);
  if (extension === 'pdf') {
    if (found !== 'pdf') fail('name-lies', { extension });
    return 'pdf';
  }
  if (extension in ZIP_KINDS) {
    if (found === 'office-locked') fail('password');
    if (found !== 'zip') fail('name-lies', { extension });
    return ZIP_KINDS[extension];
  }
  if (extension in TEXT_KINDS) {
    if (found !== undefined) fail('name-lies', { extension });
    if ((extension === 'rtf') !== /^[\s\u00ef\u00bb\u00bf]*\{\\rtf/.test(head)) fail('name-lies', { extension });
    if (
      (extension === 'txt' || extension === 'text') &&
      (head.replace(/^\u00ef\u00bb\u00bf/, '').startsWith('WEBVTT') ||
        isStamped(bytes.length > head.length ? head.slice(0, head.lastIndexOf('\n')) : head))
    )
      return 'vtt';
    return TEXT_KINDS[extension];
  }
  return fail('not-read-here', { extension: extension || '-' });
}

function magic(head: string): string | undefined {
  if (/^[\s\S]{0,200}%PDF-\d/.test(head)) return 'pdf';
  if (head.startsWith('PK\u0003\u0004') || head.startsWith('PK\u0005\u0006')) return 'zip';
  if (head.startsWith('\u00d0\u00cf\u0011\u00e0')) return 'office-locked';
  if (BINARY.some((start) => head.startsWith(start))) return 'binary';
  return undefined;
}
