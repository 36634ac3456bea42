// Builds the learner's player: one classic script and one stylesheet for packages, one script for where our server is
// behind; faces and notices beside them.
import vue from '@vitejs/plugin-vue';
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { build } from 'vite';

const OUT = 'dist/player';
const FACES = ['atkinson-hyperlegible-next', 'bricolage-grotesque', 'literata'];
const used = new Set();

/** Notes which packages went into the bundle: their licences go with it. */
const noting = {
  name: 'noting',
  generateBundle(_, bundle) {
    for (const chunk of Object.values(bundle))
      for (const id of chunk.moduleIds ?? []) {
        const name = /node_modules\/((?:@[^/]+\/)?[^/]+)/.exec(id)?.[1];
        if (name) used.add(name);
      }
  },
};

async function script(entry, name) {
  await build({
    configFile: false,
    logLevel: 'warn',
    publicDir: false,
    plugins: [vue(), noting],
    define: { 'process.env.NODE_ENV': '"production"', __VUE_OPTIONS_API__: 'false', __VUE_PROD_DEVTOOLS__: 'false' },
    build: {
      target: 'es2020',
      outDir: OUT,
      emptyOutDir: false,
      cssCodeSplit: false,
      minify: true,
      lib: {
        entry: `player/entries/${entry}.ts`,
        formats: ['iife'],
        name: 'upliftPlayer',
        fileName: () => `${name}.js`,
        cssFileName: 'style',
      },
    },
  });
}

/** A stylesheet with what it imports, in one. */
async function styles(entry) {
  const { output } = await build({
    configFile: false,
    logLevel: 'warn',
    publicDir: false,
    build: { write: false, minify: true, rollupOptions: { input: entry } },
  });
  return String(output.find(({ fileName }) => fileName.endsWith('.css')).source);
}

/** The licence texts of all that a package carries. */
function notices() {
  const text = (name) => {
    const folder = join('node_modules', name);
    const { version, license } = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'));
    const file = readdirSync(folder).find((each) => /^licen[cs]e/i.test(each));
    return `${name} ${version}, ${license}\n\n${file ? readFileSync(join(folder, file), 'utf8').trim() : 'The package carries no licence text of its own.'}`;
  };
  return `What this package is made of, and under which licences\n\nThe player: Uplift Path, MIT\n\n${[...used].sort().map(text).join('\n\n---\n\n')}\n\n---\n\n${FACES.map((face) => text(`@fontsource-variable/${face}`)).join('\n\n---\n\n')}\n`;
}

rmSync(OUT, { recursive: true, force: true });
mkdirSync(join(OUT, 'fonts'), { recursive: true });
await script('package', 'player');
await script('learn', 'learn');
// What the page of a lesson looks like, for pages without a script.
writeFileSync(join(OUT, 'page.css'), await styles('player/styles/page.css'));
writeFileSync(
  join(OUT, 'player.css'),
  `${readFileSync('player/styles/fonts.css', 'utf8')}${readFileSync(join(OUT, 'style.css'), 'utf8')}`,
);
rmSync(join(OUT, 'style.css'));
for (const face of FACES)
  for (const range of ['latin', 'latin-ext']) {
    const file = `${face}-${range}-wght-normal.woff2`;
    cpSync(join('node_modules/@fontsource-variable', face, 'files', file), join(OUT, 'fonts', file));
  }
writeFileSync(join(OUT, 'NOTICES.txt'), notices());
// The server hands these out as they are.
rmSync('public/player', { recursive: true, force: true });
mkdirSync(dirname('public/player'), { recursive: true });
cpSync(OUT, 'public/player', { recursive: true });
if (!existsSync(join(OUT, 'player.js'))) throw new Error('The player was not built.');
