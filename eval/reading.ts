// What can be counted of reading: headings against documents' own outlines, time and memory by format, and sheets to
// read claims by.
import { execFile } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { shortHash } from '../core/document/id';
import { understand, type Claim } from '../core/knowledge';
import { parsePage } from '../core/reading/html/parse';
import { pdfOutline, readPdf } from '../core/reading/pdf';
import { all, xmlOf } from '../core/reading/xml';
import { unpack } from '../core/reading/zip';
import { assemble } from '../core/source/assemble';
import { headingNumber } from '../core/source/headings';
import { allSections, type Source } from '../core/source/source';
import { packFor } from '../server/language/packs';
import { readInChild } from '../server/reading';
import { documents, option, sharedFolder, type Document } from './corpus';

const PER_KIND = Number(option('items') ?? 40);
const letters = (text: string) =>
  text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '');
const bare = (title: string) => letters(headingNumber(title.trim())?.title ?? title);

/**
 * The outline a document carries itself: of a PDF, the contents of a book, the contents page of a site, the contents of
 * a text.
 */
async function ownOutline(path: string): Promise<string[]> {
  if (path.endsWith('.pdf')) return (await pdfOutline(new Uint8Array(readFileSync(path)))).map((entry) => entry.title);
  if (path.endsWith('.epub')) {
    const entries = unpack(new Uint8Array(readFileSync(path)));
    const contents = [...entries.keys()].find((name) => name.endsWith('.ncx'));
    return contents
      ? all(xmlOf(entries, contents)!, 'navPoint').map((point) => all(point, 'text')[0]?.textContent ?? '')
      : [];
  }
  if (statSync(path).isDirectory())
    return [...parsePage(readFileSync(join(path, 'index.html'), 'utf8')).querySelectorAll('.toc a, dl a')].map(
      (link) => link.textContent ?? '',
    );
  if (!path.endsWith('.txt')) return [];
  const lines = readFileSync(path, 'utf8').split('\n');
  const start = lines.findIndex((line) => /^\s*(?:Table des matières|Table of Contents)\s*$/i.test(line));
  const found: string[] = [];
  for (const line of start < 0 ? [] : lines.slice(start + 1)) {
    const text = line.trim();
    // The contents end where the first chapter comes again.
    if (
      /^[-─]{10,}$/.test(text) ||
      /^(?:Chapitre|Chapter)\s1\b/.test(text) ||
      (found.length > 3 && text.startsWith(`${found[0].split(' ')[0]} `))
    )
      break;
    if (/^(?:\d+(?:\.\d+)*\.|[A-Z]\.)\s/.test(text)) found.push(text);
    else if (text && found.length > 0) found[found.length - 1] += ` ${text}`;
  }
  return found;
}

/** Headings found against those of the document's own outline. */
function against(source: Source, outline: readonly string[]): string {
  const wanted = outline.map(bare).filter(Boolean);
  const found = allSections(source.root)
    .slice(1)
    .map((section) => letters(section.title));
  const share = (list: readonly string[], among: ReadonlySet<string>) =>
    list.length === 0 ? '-' : (list.filter((each) => among.has(each)).length / list.length).toFixed(2);
  return `${wanted.length} | ${found.length} | ${share(wanted, new Set(found))} | ${share(found, new Set(wanted))}`;
}

/** Reads in a process of its own and watches the most memory it held. */
async function timed(document: Pick<Document, 'path' | 'name'>): Promise<{ milliseconds: number; peak: number }> {
  const start = performance.now();
  return new Promise((done) => {
    const child = execFile(
      process.execPath,
      [
        '--max-old-space-size=800',
        'dist/reader.mjs',
        JSON.stringify({ what: 'read', id: 'sabcdefghij', path: document.path, name: document.name }),
      ],
      { maxBuffer: 1 << 30, encoding: 'buffer' },
      () => {
        clearInterval(watch);
        done({ milliseconds: performance.now() - start, peak });
      },
    );
    let peak = 0;
    const watch = setInterval(() => {
      try {
        peak = Math.max(
          peak,
          Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))?.[1] ?? 0),
        );
      } catch {
        // It ended between two looks.
      }
    }, 15);
  });
}

const sizeOf = (path: string): number =>
  statSync(path).isDirectory()
    ? readdirSync(path).reduce((sum, name) => sum + sizeOf(join(path, name)), 0)
    : statSync(path).size;

const shared = documents(sharedFolder()).filter(
  (document) => !option('only') || document.name.includes(option('only')!),
);
console.log('| headings of | own outline | found | recall | precision |\n| --- | --- | --- | --- | --- |');
for (const document of shared) {
  const outline = await ownOutline(document.path);
  if (outline.length < 5) continue;
  const result = await readInChild(document.path, 'sabcdefghij');
  if (!result.ok) continue;
  console.log(`| ${document.name} (${document.split}) | ${against(result.source, outline)} |`);
  if (!document.path.endsWith('.pdf')) continue;
  const byLooks = assemble(await readPdf(new Uint8Array(readFileSync(document.path)), { byLooks: true }), {
    id: 'sabcdefghij',
    kind: 'pdf',
    title: document.name,
    language: 'en',
  });
  console.log(`| the same, its outline not looked at | ${against(byLooks, outline)} |`);
}

console.log('\n| reading | MB | words | seconds | s/MB | peak MB |\n| --- | --- | --- | --- | --- | --- |');
const empty = join(mkdtempSync(join(tmpdir(), 'uplift-eval-')), 'empty.txt');
writeFileSync(empty, 'One sentence.');
const nothing = await timed({ path: empty, name: 'empty.txt' });
rmSync(empty);
for (const document of shared) {
  const size = sizeOf(document.path) / 1048576;
  const result = await readInChild(document.path, 'sabcdefghij');
  if (size < 0.05 || !result.ok) continue;
  const { milliseconds, peak } = await timed(document);
  const seconds = Math.max(0, milliseconds - nothing.milliseconds) / 1000;
  console.log(
    `| ${document.name} | ${size.toFixed(2)} | ${result.source.words} | ${seconds.toFixed(2)} | ${(seconds / size).toFixed(2)} | ${Math.round(peak / 1024)} |`,
  );
}
console.log(
  `| starting a reader | 0 | 2 | ${(nothing.milliseconds / 1000).toFixed(2)} | - | ${Math.round(nothing.peak / 1024)} |`,
);

/** Claims to be read, so many a kind, drawn by the letters of their own words over all documents of one language. */
const READ = (
  option('claims') ??
  'policy.en.epub,postfix-sasl.en.converted.docx,sudo-troubleshooting.en.md,travel-policy.md,sample-courier.md,allergen-guide.md,lone-working.txt'
).split(',');
const byKind = new Map<Claim['kind'], { claim: Claim; name: string }[]>();
for (const document of shared.filter((each) => READ.includes(each.name))) {
  const result = await readInChild(document.path, 'sabcdefghij');
  if (!result.ok) continue;
  for (const claim of understand(result.source, packFor(result.source.language)).claims)
    byKind.set(claim.kind, [...(byKind.get(claim.kind) ?? []), { claim, name: document.name }]);
}
mkdirSync('.eval', { recursive: true });
const drawn = ({ claim }: { claim: Claim }) =>
  shortHash(`claims|${option('draw') ?? ''}|${claim.kind}|${claim.text}`, 12);
const said = ({ rule, term, quantity, leaning }: Claim) =>
  [
    rule
      ? `${rule.strength}${rule.negative ? ' not' : ''}: ${rule.subject ?? '(reader)'} → ${rule.action}${rule.condition ? ` / ${rule.condition.text}` : ''}`
      : '',
    term ?? '',
    quantity?.text ?? '',
    leaning ? `(${leaning})` : '',
  ]
    .filter(Boolean)
    .join('; ');
const sheet = [...byKind].map(([kind, claims]) => {
  // The same share of each document, as far as it reaches.
  const names = [...new Set(claims.map((each) => each.name))];
  const taken = names
    .flatMap((name) =>
      claims
        .filter((each) => each.name === name)
        .sort((a, b) => (drawn(a) < drawn(b) ? -1 : 1))
        .slice(0, Math.ceil(PER_KIND / names.length) + 4),
    )
    .sort((a, b) => (drawn(a) < drawn(b) ? -1 : 1))
    .slice(0, PER_KIND);
  return `## ${kind}: ${taken.length} of ${claims.length}\n\n${taken.map(({ claim, name }, at) => `${at + 1}. [${name.split('.')[0]}] ${claim.text}\n   = ${said(claim)}`).join('\n')}\n`;
});
writeFileSync('.eval/claims.md', `${sheet.join('\n')}`);
console.log(
  `\nClaims: ${[...byKind].map(([kind, claims]) => `${kind} ${claims.length}`).join(', ')}. To be read: .eval/claims.md`,
);
