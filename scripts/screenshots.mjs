// Takes the pictures of docs/screenshots from the demo course with the system's Chromium.
import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';

const page = resolve('out/demo/course.html');
const html = readFileSync(page, 'utf8');
const lesson = /id="(l-[a-z0-9]+)"><h3>Storing/.exec(html)[1];
const after = html.indexOf(lesson, html.indexOf('<article'));
const passage = /href="#(s-[a-z0-9]+)">Packs must be stored/.exec(html.slice(after))?.[1] ?? /href="#(s-[a-z0-9]+)"/.exec(html.slice(after))[1];
mkdirSync('docs/screenshots', { recursive: true });
const shot = (name, address) => execFileSync('chromium', ['--headless', '--no-sandbox', '--disable-gpu', '--hide-scrollbars', '--window-size=1280,800', '--virtual-time-budget=2000', `--screenshot=docs/screenshots/${name}.png`, address], { stdio: 'ignore' });
shot('course-page', `file://${page}`);
// A copy of the page with all but one lesson hidden: headless pictures are taken from the page's top.
const copy = resolve('out/demo/.shot.html');
writeFileSync(copy, html.replace('</style>', `header,.outline,article:not(#${lesson}),section:not(:has(#${lesson})){display:none}</style>`));
shot('course-evidence', `file://${copy}#${passage}`);
rmSync(copy);
