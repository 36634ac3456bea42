import type { Brief } from '../course/course';
import type { Knowledge } from '../knowledge';
import type { OutlineProposal } from './proposal';
import { canJoin, joinTitles } from './titles';
import type { Dropped } from './unit';
import { joinSmall, joinUnits, type UnitGroup } from './units';

/** A module has at least this much matter, in words of the source, when there is more than one. */
const SMALL_MODULE = 330;
/** A document of short top sections only is one module up to this many words, with so many lessons: modules of what has nothing over it would carry the title of one of their lessons. */
const FLAT_COURSE = 5000;
const FLAT_LESSONS = 20;
/** With less matter, in words of the source, a lesson would hold too little to be one. */
const TINY_LESSON = 60;
/** More lessons than this and neighbours are joined while they are small. */
const MANY_LESSONS = 9;
/** Neighbours are not joined to one of more words of the source. */
const LARGE_LESSON = 1700;

const words = (group: UnitGroup) => group.units.reduce((sum, unit) => sum + unit.words, 0);
const weight = (group: UnitGroup) => group.units.reduce((sum, unit) => sum + unit.weight + unit.words / 100, 0);

/** What defines words comes before what uses them: a glossary at the end moves to the front. */
export function glossaryFirst(groups: readonly UnitGroup[]): UnitGroup[] {
  const at = groups.findIndex((group, index) => index > groups.length * 0.4 && /^(glossary|definitions|terminology|terms( and definitions)?|(?:key )?(?:words|terms)(?: (?:used|we use)\b.*)?|abbreviations|glossar|begriffe|glossaire|glosario)$/i.test(group.title));
  return at < 0 ? [...groups] : [groups[at], ...groups.slice(0, at), ...groups.slice(at + 1)];
}

/** Joins small modules to a neighbour, and neighbouring lessons in modules that have too many. */
export function groupSmall(groups: readonly UnitGroup[], courseTitle: string, knowledge: Knowledge): UnitGroup[] {
  const single = groups.filter((group) => group.units.length === 1 || words(group) < SMALL_MODULE).length;
  if (groups.length > 3 && single >= groups.length * 0.75 && groups.reduce((sum, group) => sum + words(group), 0) < FLAT_COURSE) {
    return [fewerLessons(withoutTiny({ title: courseTitle, units: groups.flatMap((group) => group.units) }, knowledge), FLAT_LESSONS, knowledge, LARGE_LESSON)];
  }
  const joined = [...groups];
  for (;;) {
    const at = joined.reduce((least, group, index) => (words(group) < SMALL_MODULE && (least < 0 || words(group) < words(joined[least])) ? index : least), -1);
    if (at < 0 || joined.length === 1) break;
    const other = at === 0 ? 0 : at === joined.length - 1 || words(joined[at - 1]) <= words(joined[at + 1]) ? at - 1 : at;
    joined.splice(other, 2, joinGroups(joined[other], joined[other + 1], knowledge));
  }
  return joined.map((group) => fewerLessons(withoutTiny(group, knowledge), Math.max(MANY_LESSONS, Math.ceil(words(group) / 1600)), knowledge, LARGE_LESSON));
}

/** As many modules, and lessons in each, as the brief asks: neighbours are joined; where far too many, the lightest go. */
export function fitCounts(groups: readonly UnitGroup[], size: Brief['size'], knowledge: Knowledge, dropped: Dropped[], notices: OutlineProposal['notices']): UnitGroup[] {
  let fitted = [...groups];
  const { modules, lessonsPerModule } = size;
  if (modules !== undefined) {
    const drop = (group: UnitGroup) => dropped.push({ title: group.title, reason: 'size', words: words(group), sourceId: group.units[0].sourceId });
    while (fitted.length > modules * 2) {
      const lightest = fitted.reduce((least, group) => (weight(group) < weight(least) ? group : least));
      drop(lightest);
      fitted = fitted.filter((group) => group !== lightest);
    }
    while (fitted.length > modules) {
      let at = 0;
      for (let index = 1; index < fitted.length - 1; index++) if (words(fitted[index]) + words(fitted[index + 1]) < words(fitted[at]) + words(fitted[at + 1])) at = index;
      fitted.splice(at, 2, joinGroups(fitted[at], fitted[at + 1], knowledge));
    }
    // Too few: the module with most lessons is cut in two, while there are lessons to cut at.
    while (fitted.length < modules) {
      const largest = fitted.reduce((most, group) => (group.units.length > most.units.length ? group : most));
      if (largest.units.length < 2) break;
      const half = Math.ceil(largest.units.length / 2);
      const at = fitted.indexOf(largest);
      fitted.splice(at, 1, { title: largest.title, units: largest.units.slice(0, half) }, { title: largest.units[half].title, units: largest.units.slice(half) });
    }
    if (fitted.length < modules) notices.push({ code: 'fewer-modules', parameters: { asked: modules, got: fitted.length } });
  }
  if (lessonsPerModule !== undefined) {
    fitted = fitted.map((group) => fewerLessons(group, lessonsPerModule, knowledge, Infinity));
    const fewest = Math.min(...fitted.map((group) => group.units.length));
    if (fewest < lessonsPerModule) notices.push({ code: 'fewer-lessons', parameters: { asked: lessonsPerModule, got: fewest } });
  }
  return fitted;
}

/** Lessons too short to be one, joined to a neighbour of their module. */
function withoutTiny(group: UnitGroup, knowledge: Knowledge): UnitGroup {
  return { ...group, units: joinSmall(group.units, { most: Infinity, least: TINY_LESSON }, (a, b) => joinUnits(a, b, undefined, knowledge)) };
}

function joinGroups(a: UnitGroup, b: UnitGroup, knowledge: Knowledge): UnitGroup {
  const short = canJoin(a.title, b.title, 60, knowledge.pack);
  const title = short ? joinTitles(a.title, b.title, knowledge.pack) : (words(a) >= words(b) ? a : b).title;
  return { title, units: [...a.units, ...b.units] };
}

function fewerLessons(group: UnitGroup, most: number, knowledge: Knowledge, largest: number): UnitGroup {
  const units = [...group.units];
  while (units.length > most) {
    let at = -1;
    for (let index = 0; index < units.length - 1; index++) {
      const sum = units[index].words + units[index + 1].words;
      if (sum <= largest && (at < 0 || sum < units[at].words + units[at + 1].words)) at = index;
    }
    if (at < 0) break;
    units.splice(at, 2, joinUnits(units[at], units[at + 1], undefined, knowledge));
  }
  return { ...group, units };
}
