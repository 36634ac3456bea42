import type { Brief } from '../course/course';
import type { Knowledge, Term } from '../knowledge';
import type { Unit } from '../unit/unit';
import { byMoment } from './moments';
import type { OutlineProposal } from './proposal';
import { isGlossary } from './titles';
import { passagesOf, type Dropped } from './scope';
import { joinScopes, joinSmall, type ScopeGroup } from './scopes';

/** A module has at least this much matter, in words of the source, when there is more than one. */
const SMALL_MODULE = 330;
/** From this share of small top parts on a document has no parts of its own. */
const FLAT = 0.6;
/** With less matter, in words of the source, a lesson would hold too little to be one. */
const TINY_LESSON = 25;
/** More lessons than this and neighbours are joined while they are small. */
const MANY_LESSONS = 12;
/** Neighbours are not joined to one of more words of the source. */
const LARGE_LESSON = 1700;

const words = (group: Pick<ScopeGroup, 'scopes'>) => group.scopes.reduce((sum, scope) => sum + scope.words, 0);
const weight = (group: ScopeGroup) => group.scopes.reduce((sum, scope) => sum + scope.weight + scope.words / 100, 0);

/** What defines words comes before what uses them: a glossary at the end moves to the front. */
export function glossaryFirst(groups: readonly ScopeGroup[]): ScopeGroup[] {
  const at = groups.findIndex((group, index) => index > groups.length * 0.4 && isGlossary(group.title));
  return at < 0 ? [...groups] : [groups[at], ...groups.slice(0, at), ...groups.slice(at + 1)];
}

/**
 * Modules of a readable size. A document of short parts without anything over them is grouped by the moments of the
 * work; of any other, parts too small to be a module stand with a neighbour, under the name of the larger.
 */
export function groupSmall(
  groups: readonly ScopeGroup[],
  courseTitle: string,
  knowledge: Knowledge,
  terms: readonly Term[],
  unitOf: (passageId: string) => Unit,
): ScopeGroup[] {
  const small = groups.filter((group) => group.scopes.length === 1 || words(group) < SMALL_MODULE);
  // A few long parts among many short ones are parts of their own all the same.
  const isFlat =
    small.length >= groups.length * FLAT &&
    small.reduce((sum, group) => sum + words(group), 0) >= groups.reduce((sum, group) => sum + words(group), 0) * FLAT;
  if (groups.length > 3 && isFlat)
    return byMoment(
      withoutTiny({ title: courseTitle, scopes: groups.flatMap((group) => group.scopes) }, knowledge).scopes,
      courseTitle,
      knowledge,
      terms,
      unitOf,
    );
  const joined = [...groups];
  for (;;) {
    const at = joined.reduce(
      (least, group, index) =>
        words(group) < SMALL_MODULE && (least < 0 || words(group) < words(joined[least])) ? index : least,
      -1,
    );
    if (at < 0 || joined.length === 1) break;
    const other =
      at === 0 ? 0 : at === joined.length - 1 || words(joined[at - 1]) <= words(joined[at + 1]) ? at - 1 : at;
    joined.splice(other, 2, joinGroups(joined[other], joined[other + 1]));
  }
  if (joined.length === 1 && groups.length > 1) joined[0] = { ...joined[0], title: courseTitle };
  return joined.map((group) =>
    fewerLessons(
      withoutTiny(group, knowledge),
      Math.max(MANY_LESSONS, Math.ceil(words(group) / 1600)),
      knowledge,
      LARGE_LESSON,
    ),
  );
}

/**
 * As many modules, and lessons in each, as the brief asks: neighbours are joined; where far too many, the lightest go.
 */
export function fitCounts(
  groups: readonly ScopeGroup[],
  size: Brief['size'],
  knowledge: Knowledge,
  dropped: Dropped[],
  notices: OutlineProposal['notices'],
): ScopeGroup[] {
  let fitted = [...groups];
  const { modules, lessonsPerModule } = size;
  if (modules !== undefined) {
    const drop = (group: ScopeGroup) => dropped.push({ passages: group.scopes.flatMap(passagesOf), reason: 'size' });
    while (fitted.length > modules * 2) {
      const lightest = fitted.reduce((least, group) => (weight(group) < weight(least) ? group : least));
      drop(lightest);
      fitted = fitted.filter((group) => group !== lightest);
    }
    while (fitted.length > modules) {
      let at = 0;
      for (let index = 1; index < fitted.length - 1; index++)
        if (words(fitted[index]) + words(fitted[index + 1]) < words(fitted[at]) + words(fitted[at + 1])) at = index;
      fitted.splice(at, 2, joinGroups(fitted[at], fitted[at + 1]));
    }
    // Too few: the module with most lessons is cut in two, while there are lessons to cut at.
    while (fitted.length < modules) {
      const largest = fitted.reduce((most, group) => (group.scopes.length > most.scopes.length ? group : most));
      if (largest.scopes.length < 2) break;
      const half = Math.ceil(largest.scopes.length / 2);
      const at = fitted.indexOf(largest);
      fitted.splice(
        at,
        1,
        { title: largest.title, scopes: largest.scopes.slice(0, half) },
        { title: largest.scopes[half].title, scopes: largest.scopes.slice(half) },
      );
    }
    if (fitted.length < modules)
      notices.push({ code: 'fewer-modules', parameters: { asked: modules, got: fitted.length } });
  }
  if (lessonsPerModule !== undefined) {
    fitted = fitted.map((group) => fewerLessons(group, lessonsPerModule, knowledge, Infinity));
    const fewest = Math.min(...fitted.map((group) => group.scopes.length));
    if (fewest < lessonsPerModule)
      notices.push({ code: 'fewer-lessons', parameters: { asked: lessonsPerModule, got: fewest } });
  }
  return fitted;
}

/** Lessons too short to be one, joined to a neighbour of their module. */
function withoutTiny(group: ScopeGroup, knowledge: Knowledge): ScopeGroup {
  return {
    ...group,
    scopes: joinSmall(group.scopes, { most: Infinity, least: TINY_LESSON }, (a, b) =>
      joinScopes(a, b, undefined, knowledge),
    ),
  };
}

function joinGroups(a: ScopeGroup, b: ScopeGroup): ScopeGroup {
  return { title: (words(a) >= words(b) ? a : b).title, scopes: [...a.scopes, ...b.scopes] };
}

function fewerLessons(group: ScopeGroup, most: number, knowledge: Knowledge, largest: number): ScopeGroup {
  const scopes = [...group.scopes];
  while (scopes.length > most) {
    let at = -1;
    for (let index = 0; index < scopes.length - 1; index++) {
      const sum = scopes[index].words + scopes[index + 1].words;
      if (sum <= largest && (at < 0 || sum < scopes[at].words + scopes[at + 1].words)) at = index;
    }
    if (at < 0) break;
    scopes.splice(at, 2, joinScopes(scopes[at], scopes[at + 1], undefined, knowledge));
  }
  return { ...group, scopes };
}
