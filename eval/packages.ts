import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { unzipSync } from 'fflate';

type Check = (name: string, problems: string[]) => void;

/** What a run-time environment tells of a package it played. */
interface Played {
  ok: boolean;
  error?: string;
  scos?: {
    driveError?: string;
    apiErrors: unknown[];
    pageErrors: string[];
    missingFiles: string[];
    requestsOutside: string[];
    calls: { call: string; args: string[] }[];
    cmi: {
      core?: { lesson_status: string; score: { raw: string }; exit: string };
      completion_status?: string;
      success_status?: string;
      score?: { raw: string };
      exit?: string;
      suspend_data: string;
    };
  }[];
}

/** How a course ends by the way it was walked: SCORM 1.2 status, SCORM 2004 completion and success, and score. */
const ENDS = {
  right: ['passed', 'completed passed', 100],
  wrong: ['failed', 'completed failed', 0],
  half: ['incomplete', 'incomplete', undefined],
  rest: ['passed', 'completed passed', 100],
} as const;

/**
 * Makes packages of an archive and has them checked by others: manifests by the standards' schemas, the page by a
 * checker of HTML and one of accessibility, the whole by a run-time environment that starts it, answers, leaves,
 * resumes and finishes.
 */
export function acceptPackages(name: string, archive: string, shared: string, check: Check): void {
  const tools = join(shared, 'tools');
  const out = mkdtempSync(join(tmpdir(), 'accept-packages-'));
  const made = spawnSync(process.execPath, [resolve('dist/cli.mjs'), 'packages', archive, '--out', out], {
    encoding: 'utf8',
  });
  const file = (format: string) => {
    const found = spawnSync('ls', [out], { encoding: 'utf8' })
      .stdout.split('\n')
      .find((each) => each.endsWith(`.${format}.zip`));
    return join(out, found ?? 'none');
  };
  check(`${name}: packages`, made.status === 0 ? [] : [made.stderr]);
  if (made.status !== 0) return;
  const site = join(out, 'site');
  for (const [path, bytes] of Object.entries(unzipSync(new Uint8Array(readFileSync(file('html')))))) {
    mkdirSync(join(site, path, '..'), { recursive: true });
    writeFileSync(join(site, path), bytes);
  }
  check(`${name}: HTML`, said('bash', [join(tools, 'validate-html.sh'), site]));
  check(`${name}: accessibility`, said(process.execPath, [join(tools, 'axe.mjs'), join(site, 'index.html')]));
  const { checks, modules } = (
    JSON.parse(/id="uplift-data">(.*)<\/script>/.exec(readFileSync(join(site, 'index.html'), 'utf8'))![1]) as {
      course: { checks: unknown[]; modules: { lessons: unknown[] }[] };
    }
  ).course;
  // A course of one lesson has no half.
  const walks =
    modules.flatMap((module) => module.lessons).length > 1
      ? (['right', 'wrong', 'half', 'rest'] as const)
      : (['right', 'wrong'] as const);
  for (const edition of ['scorm12', 'scorm2004'] as const) {
    check(
      `${name}: ${edition} by the standard's schemas`,
      said('bash', [join(tools, 'validate-scorm.sh'), file(edition)]),
    );
    let left: string | undefined;
    for (const how of walks) {
      const played = play(tools, file(edition), how, how === 'rest' ? left : undefined);
      if (how === 'half') writeFileSync((left = join(out, `${edition}.json`)), JSON.stringify(played));
      check(`${name}: ${edition} walked: ${how}`, problemsOf(played, edition, how, checks.length));
    }
  }
  rmSync(out, { recursive: true });
}

function said(command: string, args: string[]): string[] {
  const run = spawnSync(command, args, { encoding: 'utf8' });
  return run.status === 0 ? [] : [`${run.stdout}${run.stderr}`.trim().split('\n').slice(0, 6).join(' | ')];
}

function play(tools: string, path: string, how: string, resume: string | undefined): Played {
  const run = spawnSync(
    process.execPath,
    [join(tools, 'run-scorm.mjs'), path, '--drive', resolve('eval/drive.mjs'), ...(resume ? ['--resume', resume] : [])],
    { encoding: 'utf8', env: { ...process.env, DRIVE: how }, maxBuffer: 1 << 28 },
  );
  try {
    return JSON.parse(run.stdout) as Played;
  } catch {
    return { ok: false, error: run.stderr.slice(0, 400) };
  }
}

function problemsOf(
  played: Played,
  edition: 'scorm12' | 'scorm2004',
  how: keyof typeof ENDS,
  checks: number,
): string[] {
  const [sco] = played.scos ?? [];
  if (!played.ok || !sco)
    return [
      played.error ??
        JSON.stringify(
          sco && {
            driveError: sco.driveError,
            api: sco.apiErrors.slice(0, 2),
            page: sco.pageErrors,
            missing: sco.missingFiles,
            outside: sco.requestsOutside,
          },
        ),
    ];
  const { cmi } = sco;
  const [status, both, score] = ENDS[how];
  const found = edition === 'scorm12' ? cmi.core!.lesson_status : `${cmi.completion_status} ${cmi.success_status}`;
  // A course without checks cannot be failed: it is completed.
  const wanted =
    edition === 'scorm12'
      ? checks === 0 && how !== 'half'
        ? 'completed'
        : status
      : checks === 0 && how !== 'half'
        ? 'completed'
        : both;
  const raw = edition === 'scorm12' ? cmi.core!.score.raw : cmi.score!.raw;
  return [
    ...(found.startsWith(wanted) ? [] : [`status ${found} instead of ${wanted}`]),
    ...(checks > 0 && score !== undefined && Number(raw) !== score ? [`score ${raw} instead of ${score}`] : []),
    ...(how === 'half' && (edition === 'scorm12' ? cmi.core!.exit : cmi.exit) !== 'suspend'
      ? ['not suspended when left']
      : []),
    ...(cmi.suspend_data.length > 4096 ? [`${cmi.suspend_data.length} characters of suspend data`] : []),
  ];
}
