// Makes the demo's source files (demo/files) out of the texts in demo/sources. Run by `npm run demo:files`.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { strFromU8, strToU8 } from 'fflate';
import { repack, unpack } from '../core/reading/zip';
import { makeDocx } from './make/docx';
import { demoText } from './make/markdown';
import { makePdf } from './make/pdf';
import { makePptx } from './make/pptx';
import { makeHtml, makeVtt } from './make/web';

const root = join(dirname(fileURLToPath(import.meta.url)), '../demo');
const target = process.argv[2] ?? join(root, 'files');
const source = (name: string) => readFileSync(join(root, 'sources', name), 'utf8');

mkdirSync(target, { recursive: true });
write('lending-policy.docx', undated(await makeDocx(demoText(source('lending-policy.md')))));
write('battery-guide.pdf', await makePdf(demoText(source('battery-guide.md'))));
write(
  'front-desk-shift.pptx',
  undated(await makePptx(JSON.parse(source('slides.json')) as Parameters<typeof makePptx>[0])),
);
write('twelve-years-at-the-desk.vtt', makeVtt(demoText(source('talk.md'))));
write('questions.html', makeHtml(demoText(source('faq.md'))));
write('coordinators-notes.md', source('notes.md'));

function write(name: string, content: string | Uint8Array): void {
  writeFileSync(join(target, name), content);
}

/** The same office file without the time it was made at, so that it is the same each time. */
function undated(bytes: Uint8Array): Uint8Array {
  const entries = unpack(bytes);
  for (const [name, content] of entries) {
    if (/core\.xml$/.test(name))
      entries.set(name, strToU8(strFromU8(content).replace(/\d{4}-\d\d-\d\dT[\d:.]+Z/g, '2026-03-01T00:00:00Z')));
  }
  return repack(entries);
}
