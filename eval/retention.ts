// Counts what of workplace documents must be taught and stands in the draft, what must not and does, and what is taught
// twice.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { courseMinutes } from '../core/brief/sizing';
import { briefFrom } from '../core/brief/given';
import { draftCourse } from '../core/draft';
import { understand } from '../core/knowledge';
import { packFor } from '../server/language/packs';
import { readInChild, sourceIds } from '../server/reading';

/** A document or a set of them, with the lists of what must be taught of each and of all. */
interface Listed {
  name: string;
  sources: string[];
  lists: string[];
}

/** Shares of the minutes that everything would take, at which a draft is counted; 1: none asked. */
const SHARES = [1, 0.6];

/**
 * Every document that has a list beside it, and every folder of several as a set. Prints a line each; gives how many
 * fall short.
 */
export async function countRetention(shared: string): Promise<number> {
  const tool = join(shared, 'tools', 'retention.mjs');
  const sets = readdirSync(join(shared, 'corpus', 'workplace'), { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map((entry) => join(shared, 'corpus', 'workplace', entry.name))
    .sort((a, b) => (a < b ? -1 : 1));
  const listed = [...sets, 'eval/fresh'].flatMap((folder) => inFolder(folder, folder !== 'eval/fresh'));
  console.log(
    '\n| what | minutes | kept | taught that should not be, facts twice, lessons |\n| --- | --- | --- | --- |',
  );
  let short = 0;
  for (const each of listed) {
    for (const share of SHARES) {
      const { minutes, line, code } = await counted(each, share, tool);
      if (share === 1 && code !== 0) short++;
      const [kept, ...rest] = line.split(', ');
      console.log(`| ${each.name} | ${minutes} | ${kept} | ${rest.join(', ')} |`);
    }
  }
  return short;
}

function inFolder(folder: string, together: boolean): Listed[] {
  const files = readdirSync(folder).sort((a, b) => (a < b ? -1 : 1));
  const list = (file: string) => `${file.replace(/\.\w+$/, '')}.must.json`;
  const single = files.filter((file) => !file.endsWith('.json') && files.includes(list(file)));
  const alone = single.map((file) => ({
    name: file,
    sources: [join(folder, file)],
    lists: [join(folder, list(file))],
  }));
  if (!together || single.length < 2) return alone;
  return [
    ...alone,
    {
      name: `${folder.split('/').at(-1)} (${single.length} sources)`,
      sources: single.map((file) => join(folder, file)),
      lists: files.filter((file) => file.endsWith('.json')).map((file) => join(folder, file)),
    },
  ];
}

async function counted(
  { name, sources, lists }: Listed,
  share: number,
  tool: string,
): Promise<{ minutes: string; line: string; code: number | null }> {
  const ids = sourceIds(sources);
  const read = await Promise.all(sources.map((path, at) => readInChild(path, ids[at])));
  const knowledge = read.flatMap((result) =>
    result.ok ? [understand(result.source, packFor(result.source.language))] : [],
  );
  const title = knowledge[0].source.title;
  let { course } = draftCourse(briefFrom({ sourcesOnly: true }, 'en'), knowledge, title);
  const full = courseMinutes(course);
  if (share < 1)
    ({ course } = draftCourse(
      briefFrom({ sourcesOnly: true, minutes: Math.round(full * share) }, 'en'),
      knowledge,
      title,
    ));
  mkdirSync('.eval', { recursive: true });
  const path = join('.eval', `${name.replace(/[^a-z0-9.-]/gi, '_')}.course.json`);
  writeFileSync(path, JSON.stringify(course));
  const run = existsSync(tool) ? spawnSync(process.execPath, [tool, path, ...lists], { encoding: 'utf8' }) : undefined;
  return {
    minutes: share < 1 ? `${courseMinutes(course)} of ${Math.round(full * share)} asked` : `${full}`,
    line: run?.stdout.trim().split('\n').at(-1) ?? 'the counter is not there',
    code: run?.status ?? null,
  };
}
