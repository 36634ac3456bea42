import { area } from './area/lint';
import { choice } from './choice/lint';
import { checkFormOf, rewordedFields, type Check, type CheckKind, type CheckKinds } from './forms';
import { freshWords } from './fresh';
import { lintTools, type CheckLint, type Flaw } from './lint';
import { lintWords } from './lint-words';
import { match } from './match/lint';
import { number } from './number/lint';
import { open } from './open/lint';
import { order } from './order/lint';
import { scenario } from './scenario/lint';
import { several } from './several/lint';
import { short } from './short/lint';
import { sort } from './sort/lint';
import { task } from './task/lint';
import { truth } from './truth/lint';

export { FLAWS, type Flaw, type FlawCode } from './lint';

const LINTS: { [Kind in CheckKind]: CheckLint<CheckKinds[Kind]> } = {
  choice,
  several,
  truth,
  order,
  match,
  sort,
  number,
  short,
  open,
  area,
  scenario,
  task,
};

/** What is wrong with a question by itself, in the language of its course. */
export function lintCheck(check: Check, language: string): Flaw[] {
  const words = lintWords(language);
  const tools = lintTools(words);
  const own = (LINTS[check.kind] as CheckLint<Check>)(check, tools);
  // A story is written for a while: what is still to be said is told beside words that are to be replaced.
  const kept = checkFormOf(check).standsAlone ? own : [];
  const flaws: Flaw[] = isUnfinished(check) ? [{ code: 'unfinished' }, ...kept] : own;
  const chosen = check.kind === 'choice' || check.kind === 'several';
  const isTurned = chosen && !own.some(({ code }) => code === 'twice-negative') && tools.negates(check.stem);
  const article = words && new RegExp(`\\s(?:${words.article})\\s*[:_\u2026.]*$`, 'iu');
  return [
    ...flaws,
    ...(isTurned ? [{ code: 'negative' as const }] : []),
    ...(article?.test(check.stem) ? [{ code: 'article' as const }] : []),
    ...(check.evidence.length === 0 ? [{ code: 'no-evidence' as const }] : []),
  ];
}

/** Words of a new question that nobody has replaced. */
function isUnfinished(check: Check): boolean {
  let found = false;
  const fresh = freshWords(check.kind);
  rewordedFields(check, (words) => {
    if (fresh.has(words.trim())) found = true;
    return words;
  });
  return found;
}
