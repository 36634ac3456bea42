import { isGenericTitle } from '../language/boilerplate';
import type { LanguagePack } from '../language/pack';
import { anyOf } from '../language/phrases';

const LONGEST = 78;

/**
 * A heading as a lesson's title: without stray marks and repeated subject, cut where it is too long, a generic one
 * with its parent ("The root filesystem: rationale").
 */
export function cleanTitle(heading: string, path: readonly string[], courseTitle: string): string {
  let title = heading
    .replace(/\s+/g, ' ')
    .replace(/\s+:\s+/g, ': ')
    .replace(/[\s.:;,–—-]+$/, '')
    .trim();
  title = title.replace(/^["“«](.*)["”»]$/, '$1');
  if (title === title.toUpperCase() && /\p{Lu}{4}/u.test(title)) title = sentenceCase(title);
  title = title.replace(/ in this (?:policy|document|manual|guide|handbook|booklet)$/i, '');
  title = withoutSubject(title, courseTitle);
  if (isGenericTitle(title)) {
    const parent = [...path].reverse().find((each) => !isGenericTitle(each) && each !== heading);
    if (parent)
      title = `${shortened(cleanTitle(parent, [], courseTitle), LONGEST - title.length)}: ${title.toLowerCase()}`;
  }
  return upperFirst(shortened(title, LONGEST));
}

/** Titles that read badly after "and": questions, clauses, and those joined already. */
const NOT_JOINED =
  /[:?,;]|^(?:what|how|why|when|who|where|which|before|after|during|in|at|on|while|if|for|to|was|wie|warum|wann|wer|qu|comment|pourquoi|quand|cómo|qué|por qué|cuándo)\b/i;

/** Whether two titles can be joined with "and" into one that reads well. */
export function canJoin(a: string, b: string, most: number, pack: LanguagePack): boolean {
  const gerund = (title: string) => /^\p{L}+ing\b/u.test(title);
  return (
    a.length + b.length <= most &&
    gerund(a) === gerund(b) &&
    ![a, b].some((title) => NOT_JOINED.test(title) || title.includes(` ${pack.labels.and} `))
  );
}

/** Two titles as one. */
export function joinTitles(a: string, b: string, pack: LanguagePack): string {
  return `${a} ${pack.labels.and} ${lowerFirst(b)}`;
}

/** The first letter in lower case, unless the first word is a name, an abbreviation or the like. */
export function lowerFirst(text: string): string {
  const word = /^\S+/.exec(text)?.[0] ?? '';
  if (!/^\p{Lu}\p{Ll}*['’]?\p{Ll}*[,.:;]?$/u.test(word)) return text;
  // Another capital right behind it: a name of several words, or a title in capitals.
  if (/^\S+\s+\p{Lu}\p{Ll}+/u.test(text)) return text;
  return text.charAt(0).toLowerCase() + text.slice(1);
}

const GLOSSARY_TITLES = anyOf`
  glossary | definitions | terminology | terms(?: and definitions)? | abbreviations
  (?:key )?(?:words|terms)(?: (?:used|we use|to know|you need)\b.*)? | glossar | begriffe | glossaire | glosario
`;

const GLOSSARY = new RegExp(`^${GLOSSARY_TITLES}$`, 'i');

/** Whether a title heads a list of words and their meanings. */
export const isGlossary = (title: string): boolean => GLOSSARY.test(title);

export function upperFirst(text: string): string {
  return /^\p{Ll}[\p{Ll}-]*(?:\s|$|[,:'’])/u.test(text) ? text.charAt(0).toUpperCase() + text.slice(1) : text;
}

function sentenceCase(text: string): string {
  return text.charAt(0) + text.slice(1).toLowerCase();
}

function withoutSubject(title: string, courseTitle: string): string {
  const at = title.toLowerCase().indexOf(courseTitle.toLowerCase());
  if (courseTitle.length < 4 || at !== 0) return title;
  const rest = title.slice(courseTitle.length).replace(/^\s*[:–—-]\s*/, '');
  return rest.length > 3 && rest !== title.slice(courseTitle.length) ? rest : title;
}

const CLAUSE_OPENERS = anyOf`
  while | when | whenever | if | with | without | after | before | in | on | at | for | to | as | since | although
  because | during | unless | once | until | from | wenn | falls | während | nach | vor | bei | mit | quand | si
  lorsque | pendant | après | avant | avec | cuando | mientras | tras | antes | después | con
`;
/** Begins a clause or a phrase that says nothing alone ("While formatting a page"). */
const OPENS_CLAUSE = new RegExp(String.raw`^${CLAUSE_OPENERS}\b`, 'i');

/** Cuts a long title at a joint of its own; never in the middle of a phrase. */
function shortened(title: string, most: number): string {
  if (title.length <= most) return title;
  const bracket = title.replace(/\s*\([^()]*\)\s*$/, '');
  if (bracket !== title && bracket.length >= 12) return shortened(bracket, most);
  // A question stays whole: "Is there some simpler?" asks for something else than "… simpler, easier to read version?".
  for (const joint of /[?？]$/.test(title) ? [/[?!]\s/] : [/\s[–—-]\s/, /:\s/, /;\s/, /[?!]\s/, /,\s/]) {
    const found = joint.exec(title);
    const open = found ? title.slice(0, found.index).lastIndexOf('(') : -1;
    if (open >= 12 && !title.slice(open, found!.index).includes(')')) return title.slice(0, open).trim();
    if (found?.[0].startsWith(',') && OPENS_CLAUSE.test(title)) continue;
    if (found && found.index >= 12 && found.index <= most)
      return title.slice(0, found.index + (/[?!]/.test(found[0]) ? 1 : 0)).trim();
  }
  return title;
}
