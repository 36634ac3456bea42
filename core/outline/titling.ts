import type { Knowledge } from '../knowledge';
import { cleanTitle } from './titles';
import type { Scope } from './scope';
import type { ScopeGroup } from './scopes';

export interface TitledScope extends Scope {
  otherTitles: string[];
}

/**
 * Settles titles: no two lessons alike, no lesson called like its module unless it is the only one, and other takes for
 * each.
 */
export function titlesFor(
  groups: readonly ScopeGroup[],
  courseTitle: string,
  sources: readonly Knowledge[],
): { title: string; scopes: TitledScope[] }[] {
  const taken = new Set<string>();
  const bySource = new Map(sources.map((knowledge) => [knowledge.source.id, knowledge]));
  return groups.map((group) => ({
    title: group.title,
    scopes: group.scopes.map((scope) => {
      const others = otherTitles(scope, courseTitle, bySource.get(scope.sourceId)!);
      const wanted =
        [scope.title, ...saidInCode(scope, bySource.get(scope.sourceId)!), ...others].find(
          (title) => !taken.has(title.toLowerCase()),
        ) ?? numbered(scope.title, taken);
      taken.add(wanted.toLowerCase());
      return {
        ...scope,
        title: wanted,
        otherTitles: [scope.title, ...others]
          .filter((title, at, all) => title !== wanted && all.indexOf(title) === at)
          .slice(0, 3),
      };
    }),
  }));
}

/** Other titles that a lesson's matter gives: what its steps do, headings of its parts, with what stands above it. */
export function otherTitles(scope: Scope, courseTitle: string, knowledge: Knowledge): string[] {
  const [first] = scope.sections;
  const parent = first.path[first.path.length - 1];
  const own = scope.sections
    .map((section) => cleanTitle(section.title, section.path.slice(1), courseTitle))
    .filter((title) => title !== scope.title && !title.startsWith(`${scope.title}: `));
  const wording = knowledge.pack.objectives;
  const steps = scope.sections
    .flatMap((section) => section.passages)
    .map((id) => knowledge.passages.get(id))
    .find((passage) => passage?.list && knowledge.stepLists.has(passage.list.id));
  const leadIn = steps?.leadIn ? knowledge.passages.get(steps.leadIn)?.text : undefined;
  const action = leadIn && wording?.fromStepsLeadIn(leadIn)?.object;
  const below =
    parent && first.path.length > 1 && !scope.title.startsWith(cleanTitle(parent, [], courseTitle))
      ? `${cleanTitle(parent, [], courseTitle)}: ${scope.title}`
      : undefined;
  return [
    ...(action ? [action.charAt(0).toUpperCase() + action.slice(1)] : []),
    ...own.slice(0, 2),
    ...(below && below.length <= 80 ? [below] : []),
  ];
}

/** A title that breaks off before an example ("I get:") goes on with the example's first words. */
function saidInCode(scope: Scope, knowledge: Knowledge): string[] {
  const code = scope.sections[0].passages
    .map((id) => knowledge.passages.get(id))
    .find((passage) => passage?.kind === 'code');
  const line = code?.text.replace(/\s+/g, ' ').trim() ?? '';
  const words = /^.{12,48}?(?=[\s,.;:]|$)/.exec(line)?.[0];
  return words && !/:/.test(scope.title) ? [`${scope.title}: “${words}${words.length < line.length ? ' …' : ''}”`] : [];
}

function numbered(title: string, taken: ReadonlySet<string>): string {
  for (let number = 2; ; number++) if (!taken.has(`${title} (${number})`.toLowerCase())) return `${title} (${number})`;
}
