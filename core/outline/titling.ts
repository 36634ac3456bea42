import type { Knowledge } from '../knowledge';
import { cleanTitle } from './titles';
import type { Unit } from './unit';
import type { UnitGroup } from './units';

export interface TitledUnit extends Unit {
  otherTitles: string[];
}

/** Settles titles: no two lessons alike, no lesson called like its module unless it is the only one, and other takes for each. */
export function titlesFor(groups: readonly UnitGroup[], courseTitle: string, sources: readonly Knowledge[]): { title: string; units: TitledUnit[] }[] {
  const taken = new Set<string>();
  const bySource = new Map(sources.map((knowledge) => [knowledge.source.id, knowledge]));
  return groups.map((group) => ({
    title: group.title,
    units: group.units.map((unit) => {
      const others = otherTitles(unit, courseTitle, bySource.get(unit.sourceId)!);
      const wanted = [unit.title, ...saidInCode(unit, bySource.get(unit.sourceId)!), ...others].find((title) => !taken.has(title.toLowerCase())) ?? numbered(unit.title, taken);
      taken.add(wanted.toLowerCase());
      return { ...unit, title: wanted, otherTitles: [unit.title, ...others].filter((title, at, all) => title !== wanted && all.indexOf(title) === at).slice(0, 3) };
    }),
  }));
}

function otherTitles(unit: Unit, courseTitle: string, knowledge: Knowledge): string[] {
  const [first] = unit.sections;
  const parent = first.path[first.path.length - 1];
  const own = unit.sections.map((section) => cleanTitle(section.title, section.path.slice(1), courseTitle)).filter((title) => title !== unit.title && !title.startsWith(`${unit.title}: `));
  const wording = knowledge.pack.objectives;
  const steps = unit.sections.flatMap((section) => section.passages).map((id) => knowledge.passages.get(id)).find((passage) => passage?.list && knowledge.stepLists.has(passage.list.id));
  const leadIn = steps?.leadIn ? knowledge.passages.get(steps.leadIn)?.text : undefined;
  const action = leadIn && wording?.fromStepsLeadIn(leadIn)?.object;
  const below = parent && first.path.length > 1 && !unit.title.startsWith(cleanTitle(parent, [], courseTitle)) ? `${cleanTitle(parent, [], courseTitle)}: ${unit.title}` : undefined;
  return [
    ...(action ? [action.charAt(0).toUpperCase() + action.slice(1)] : []),
    ...own.slice(0, 2),
    ...(below && below.length <= 80 ? [below] : []),
  ];
}

/** A title that breaks off before an example ("I get:") goes on with the example's first words. */
function saidInCode(unit: Unit, knowledge: Knowledge): string[] {
  const code = unit.sections[0].passages.map((id) => knowledge.passages.get(id)).find((passage) => passage?.kind === 'code');
  const line = code?.text.replace(/\s+/g, ' ').trim() ?? '';
  const words = /^.{12,48}?(?=[\s,.;:]|$)/.exec(line)?.[0];
  return words && !/:/.test(unit.title) ? [`${unit.title}: “${words}${words.length < line.length ? ' …' : ''}”`] : [];
}

function numbered(title: string, taken: ReadonlySet<string>): string {
  for (let number = 2; ; number++) if (!taken.has(`${title} (${number})`.toLowerCase())) return `${title} (${number})`;
}
