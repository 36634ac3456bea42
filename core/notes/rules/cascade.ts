import type { EarlierWords } from '../../course/course';
import { roots } from '../../document/letters';
import { swapped, swapsBetween, type Swap } from '../../document/swaps';
import type { Note, NoteMatter } from '../note';

/** A row of the outline with what it says it is for: a module's purpose, a lesson's objective. */
interface Below {
  id: string;
  title: string;
  says: string;
}

/**
 * What no longer fits since something above it was reworded: rows that still speak of what the promise, the audience or
 * their module's purpose said before, each with the words that were exchanged above put into it where that can be done;
 * and what is said above now and nowhere below. Nothing below changes by itself.
 */
export function cascadeNotes(matter: NoteMatter): Note[] {
  const found = new Map<string, Note>();
  const unserved: Note[] = [];
  for (const earlier of matter.course.earlier ?? []) {
    const now = wordsNow(earlier, matter);
    if (now === undefined) continue;
    const below = belowOf(earlier, matter);
    const gone = without(roots(earlier.was.join(' ')), roots(now));
    const swaps = earlier.was.flatMap((was) => swapsBetween(was, now));
    for (const row of below) {
      const word = wordOf(row, gone);
      // One note a row: the first that asks for other words.
      if (word !== undefined && !found.has(row.id)) found.set(row.id, fitsNot(earlier, row, word, now, swaps));
    }
    // Whom it is for need not be said again below.
    const proposed = [...found.values()].map(({ parameters }) => String(parameters.to)).join(' ');
    const fresh = earlier.field === 'who' ? [] : newWords(earlier, now, below, proposed);
    if (fresh.length > 0) unserved.push(unservedNote(earlier, fresh, now));
  }
  return [...found.values(), ...unserved];
}

/** What is said above now; undefined where it is gone. */
function wordsNow({ of, field }: EarlierWords, { course }: NoteMatter): string | undefined {
  if (field === 'promise') return course.brief.promise;
  if (field === 'who') return course.brief.audience.who;
  return course.modules.find(({ id }) => id === of)?.purpose;
}

/** The rows that stand under it. */
function belowOf({ of, field }: EarlierWords, { course, lessons, objective }: NoteMatter): Below[] {
  const inModule = field === 'purpose' ? lessons.filter(({ module }) => module.id === of) : lessons;
  return [
    ...(field === 'purpose' ? [] : course.modules.map(({ id, title, purpose }) => ({ id, title, says: purpose }))),
    ...inModule.map(({ lesson: { id, title, objectiveIds } }) => ({ id, title, says: objective(objectiveIds[0]) })),
  ];
}

/** The first of a row's words that was said above and is no more. */
function wordOf({ says, title }: Below, gone: ReadonlySet<string>): string | undefined {
  if (gone.size === 0) return undefined;
  return wordsOf(`${says} ${title}`).find((word) => has(gone, word));
}

const without = (all: ReadonlySet<string>, some: ReadonlySet<string>) =>
  new Set([...all].filter((root) => !some.has(root)));
const wordsOf = (text: string): string[] => text.match(/\p{L}{4,}/gu) ?? [];
const has = (some: ReadonlySet<string>, word: string) => [...roots(word)].some((root) => some.has(root));

function fitsNot({ field, was }: EarlierWords, row: Below, word: string, now: string, swaps: readonly Swap[]): Note {
  const says = swapped(row.says, swaps);
  const title = swapped(row.title, swaps);
  return {
    rule: 'fits-no-longer',
    about: row.id,
    weight: field === 'who' ? 'look' : 'decide',
    parameters: { above: field, word, to: [title, says].filter(Boolean).join(': ') },
    print: [field, was.at(-1), now, row.title, row.says].join('\n'),
    mend:
      says === undefined && title === undefined
        ? { kind: 'word', field: row.says === '' ? 'title' : 'objective' }
        : { kind: 'reword', row: row.id, ...(title && { title }), ...(says && { says }) },
  };
}

/** Words that came above and that nothing below has, nor is proposed to have; none as long as one of them is there. */
function newWords({ was }: EarlierWords, now: string, below: readonly Below[], proposed: string): string[] {
  if (below.length === 0) return [];
  const fresh = without(roots(now), roots(was.join(' ')));
  const said = roots([...below.map(({ title, says }) => `${title} ${says}`), proposed].join(' '));
  return without(fresh, said).size === fresh.size ? wordsOf(now).filter((word) => has(fresh, word)) : [];
}

const unservedNote = ({ of, field, was }: EarlierWords, words: string[], now: string): Note => ({
  rule: 'above-unserved',
  about: of,
  weight: 'look',
  parameters: { above: field, words: words.slice(0, 3).join('”, “') },
  print: [field, was.at(-1), now].join('\n'),
  mend: field === 'purpose' ? { kind: 'word', field: 'objective' } : { kind: 'open', room: 'brief' },
});
