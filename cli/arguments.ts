import { existsSync, readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { PLANS, type PlanKey } from '../core/brief/plans';
import { checkBriefInput, type BriefInput } from '../server/inputs/brief';
import { PACKAGE_FORMATS, type PackageFormat } from '../core/learning/packages';
import { QUESTION_FORMATS, type QuestionFormat } from '../core/questions/names';
import type { Rules } from '../core/learning/rules';
import { say } from '../server/words/problems';

/** Wrong use: said to the person, exit 2. */
export class UseError extends Error {}

export interface Arguments {
  command: 'draft' | 'outline' | 'read' | 'packages';
  sources: string[];
  out?: string;
  brief: BriefInput;
  /** A file with the author's own outline: held against the sources instead of drafting one. */
  outline?: string;
  /** A course plan by which the sources are ordered. */
  plan?: PlanKey;
  /** A file with an outline to lay beside the drafted one. */
  compare?: string;
  formats: ('archive' | PackageFormat | QuestionFormat)[];
  rules: Rules;
  keepGoing: boolean;
}

export const HELP = `uplift: sources in, a course out.

  uplift draft SOURCE... --out DIR   drafts a course
  uplift outline SOURCE...           drafts the outline only, as JSON
  uplift read SOURCE...              shows what is read: sections, passages, claims, as JSON
  uplift packages ARCHIVE --out DIR  makes packages of a course to be taken by learners

A SOURCE is a file (docx, odt, rtf, pdf, epub, pptx, odp, xlsx, ods, csv, html, md, txt,
vtt, srt), a zip of these, or a folder of HTML pages.

  --brief FILE       a brief as JSON; what else is said on the line goes before it
  --outline FILE     your own outline (txt, md, csv, xlsx, opml): what the sources say goes into its lessons
  --plan NAME        a course plan that orders the sources: ${Object.keys(PLANS).join(', ')}
  --compare FILE     for outline: an outline of yours beside the drafted one, row by row
  --title T          the course's title; otherwise the leading source's
  --audience A       for whom it is
  --known TERMS      what they know already, with commas between: left out or recalled in a line
  --minutes N        how long it shall be for the learner, or
  --modules N        how many modules, and
  --lessons N        how many lessons in each
  --questions N      questions in a lesson, at most (3)
  --language L       language of the course, such as en or de; otherwise the sources'
  --sources-only     no connecting text by the engine
  --formats F,F      archive, html (both): the archive, and the page to read a draft by;
                     for packages: archive, ${PACKAGE_FORMATS.join(', ')} (${PACKAGE_FORMATS.join(', ')});
                     for the questions alone: ${Object.keys(QUESTION_FORMATS).join(', ')}
  --done R           for packages, when a lesson is done: read, answered (answered), passed
  --pass N           for packages, percent of right answers that completes it (80); 0: none asked
  --order O          for packages: free (free), forced
  --tries N          for packages, tries at a check: 1 to 3 (2); 0: as many as one likes
  --keep-going       goes on when a source cannot be read
  --out DIR          where to write; for read and outline: instead of printing

Exit: 0 made, 1 our fault, 2 wrong use, 3 a source not read, 4 too little to make a course, 130 stopped.
`;

/** Reads the command line. Throws UseError. */
export function readArguments(argv: readonly string[]): Arguments | 'help' {
  const [command, ...rest] = argv;
  if (command === undefined || ['help', '--help', '-h'].includes(command) || rest.includes('--help')) return 'help';
  if (command !== 'draft' && command !== 'outline' && command !== 'read' && command !== 'packages')
    throw new UseError(`There is no command "${command}".`);
  const { values, positionals } = parsed(rest);
  if (positionals.length === 0)
    throw new UseError(command === 'packages' ? 'No archive was given.' : 'No source was given.');
  if (command === 'packages' && positionals.length > 1)
    throw new UseError('Packages are made of one archive at a time.');
  if ((command === 'draft' || command === 'packages') && !values.out)
    throw new UseError('Say where to write: --out DIR.');
  const known = FORMATS[command === 'packages' ? 'packages' : 'draft'];
  const formats = (values.formats ?? known.usual)
    .split(',')
    .map((format) => format.trim())
    .filter(Boolean);
  const unknown = formats.find((format) => !known.all.includes(format));
  if (unknown)
    throw new UseError(
      `There is no format "${unknown}"; there are ${known.all.slice(0, -1).join(', ')} and ${known.all.at(-1)}.`,
    );
  if (values.compare !== undefined && command !== 'outline')
    throw new UseError('--compare belongs to "uplift outline".');
  const checked = checkBriefInput({
    ...briefIn(values.brief),
    ...(values.title !== undefined && { title: values.title }),
    ...(values.audience !== undefined && { audience: values.audience }),
    ...(values.known !== undefined && {
      known: values.known
        .split(',')
        .map((term) => term.trim())
        .filter(Boolean),
    }),
    ...(values.language !== undefined && { language: values.language }),
    ...numbers(values, ['minutes', 'modules', 'lessons', 'questions']),
    ...(values['sources-only'] && { sourcesOnly: true }),
  });
  if (!checked.ok) throw new UseError(say({ ...checked.problem, place: `--${checked.problem.place}` }));
  return {
    command,
    sources: positionals,
    ...(values.out && { out: values.out }),
    brief: checked.input,
    ...(values.outline !== undefined && { outline: values.outline }),
    ...(values.plan !== undefined && { plan: planIn(values.plan) }),
    ...(values.compare !== undefined && { compare: values.compare }),
    formats: formats as Arguments['formats'],
    rules: rulesOf(values),
    keepGoing: values['keep-going'] ?? false,
  };
}

function planIn(name: string): PlanKey {
  const plans = Object.keys(PLANS) as PlanKey[];
  return plans.find((plan) => plan === name) ?? fail(`--plan is one of ${plans.join(', ')}, not "${name}".`);
}

/** A brief out of a file; its form is judged with what else was said. */
function briefIn(file: string | undefined): Record<string, unknown> {
  if (file === undefined) return {};
  if (!existsSync(file)) throw new UseError(`There is no file "${file}".`);
  try {
    const said: unknown = JSON.parse(readFileSync(file, 'utf8'));
    if (said !== null && typeof said === 'object' && !Array.isArray(said)) return said as Record<string, unknown>;
  } catch {
    // Said below: whatever is wrong with it, it is no brief.
  }
  throw new UseError(`"${file}" is no brief: it holds no JSON object.`);
}

const FORMATS = {
  draft: { all: ['archive', 'html'], usual: 'archive,html' },
  packages: { all: ['archive', ...PACKAGE_FORMATS, ...Object.keys(QUESTION_FORMATS)], usual: PACKAGE_FORMATS.join() },
};

/** How packages count, as said on the line. */
function rulesOf(values: Record<string, string | boolean | undefined>): Rules {
  const one = <Of extends string>(name: string, all: readonly Of[], usual: Of): Of => {
    const said = values[name] ?? usual;
    return all.find((each) => each === said) ?? fail(`--${name} is one of ${all.join(', ')}, not "${String(said)}".`);
  };
  const whole = (name: string, most: number, usual: number): number => {
    const { [name]: said = usual } = numbers(values, [name]);
    return Number.isInteger(said) && said <= most ? said : fail(`--${name} is a whole number up to ${most}.`);
  };
  const share = whole('pass', 100, 80) / 100;
  const done = one('done', ['read', 'answered', 'passed'], 'answered');
  return {
    lesson: done === 'passed' ? { kind: done, share: share || 1 } : { kind: done },
    course: share > 0 ? { kind: 'passed', share } : { kind: 'lessons' },
    order: one('order', ['free', 'forced'], 'free'),
    tries: whole('tries', 3, 2) || null,
  };
}

function fail(message: string): never {
  throw new UseError(message);
}

function parsed(argv: string[]) {
  const text = { type: 'string' } as const;
  const flag = { type: 'boolean' } as const;
  try {
    return parseArgs({
      args: argv,
      allowPositionals: true,
      options: {
        out: text,
        brief: text,
        outline: text,
        compare: text,
        plan: text,
        title: text,
        audience: text,
        known: text,
        minutes: text,
        modules: text,
        lessons: text,
        questions: text,
        language: text,
        formats: text,
        done: text,
        pass: text,
        order: text,
        tries: text,
        'sources-only': flag,
        'keep-going': flag,
      },
    });
  } catch (error) {
    throw new UseError((error as Error).message.split('. ')[0] + '.');
  }
}

function numbers(
  values: Record<string, string | boolean | undefined>,
  names: readonly string[],
): Record<string, number> {
  return Object.fromEntries(
    names.flatMap((name) => {
      const said = values[name];
      if (said === undefined) return [];
      if (typeof said !== 'string' || !/^\d+(\.\d+)?$/.test(said))
        throw new UseError(`--${name} needs a number, not "${String(said)}".`);
      return [[name, Number(said)]];
    }),
  );
}
