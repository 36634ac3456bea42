import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

/** A document to draft from, and whether it was looked at while the engine was made. */
export interface Document {
  name: string;
  path: string;
  /** held: read once, at the end of an issue; fresh: workplace documents written before the engine was. */
  split: 'tuned' | 'held' | 'fresh';
  /** Words by the manifest; 0 where it does not say. */
  words: number;
}

/** Documents whose drafts were read only when the issue was finished. */
const HELD = new Set([
  'postfix-sasl.en.converted.docx',
  'sudo-troubleshooting.en.md',
  'debmake-doc.de.epub',
  'debian-faq.fr.txt',
  'apt-guide.ja',
]);

/** The shared corpus by its manifest, and our own fresh documents. Fails loudly when the folder is missing. */
export function documents(shared: string): Document[] {
  const corpus = join(shared, 'corpus');
  if (!existsSync(join(corpus, 'manifest.tsv'))) throw new Error(`There is no corpus in ${shared}: give --shared DIR.`);
  const listed = readFileSync(join(corpus, 'manifest.tsv'), 'utf8')
    .trim()
    .split('\n')
    .slice(1)
    .map((line): Document => {
      const [name, , , words] = line.split('\t');
      return { name, path: join(corpus, name), split: HELD.has(name) ? 'held' : 'tuned', words: Number(words) || 0 };
    });
  return [...listed, ...ownDocuments()].filter((document) => existsSync(document.path));
}

/** The fresh workplace documents that stand in the repository. */
export function ownDocuments(): Document[] {
  return readdirSync('eval/documents')
    .sort((a, b) => (a < b ? -1 : 1))
    .map((name) => ({ name, path: join('eval/documents', name), split: 'fresh', words: 0 }));
}

/** The demo's files. */
export function demoFiles(): string[] {
  return readdirSync('demo/files')
    .sort((a, b) => (a < b ? -1 : 1))
    .map((name) => join('demo/files', name));
}

/** The value behind an option of the command line. */
export function option(name: string): string | undefined {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? undefined : process.argv[at + 1];
}

/** The shared folder, given by --shared; fails loudly without it. */
export function sharedFolder(): string {
  const shared = option('shared');
  if (!shared || !existsSync(shared) || !statSync(shared).isDirectory()) {
    console.error('Say where the shared documents are: --shared DIR.');
    process.exit(2);
  }
  return shared;
}
