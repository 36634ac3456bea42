import type { MissingReason, SaidCounts, SaidKind } from './left-out';

/** How what is left out is worded, the same on screen, on the command line and on the reading page. */

const REASONS: Record<MissingReason, string> = {
  history: 'change history',
  contents: 'table of contents',
  legal: 'legal text',
  thanks: 'thanks and credits',
  contact: 'where to write about the document',
  index: 'index',
  references: 'list of references',
  about: 'about the document',
  unfinished: 'a note of its author to do something',
  pointer: 'only sends elsewhere',
  marketing: 'only praises',
  greeting: 'greeting',
  stage: 'said to the hall',
  politeness: 'only polite',
  known: 'known to the audience',
  repeated: 'said elsewhere in the course',
  lapsed: 'was said elsewhere in the course, and is no more',
  supporting: 'a supporting source, and no lesson it fits',
  outline: 'no lesson of your outline is about it',
  light: 'background, no room',
  size: 'no room at this length',
};

/** Why something is left out, in a few words. */
export const reasonWords = (reason: MissingReason): string => REASONS[reason];

const KINDS: Record<SaidKind, [one: string, more: string]> = {
  limit: ['limit', 'limits'],
  exception: ['exception', 'exceptions'],
  emergency: ['emergency', 'emergencies'],
  prohibition: ['prohibition', 'prohibitions'],
  deadline: ['deadline', 'deadlines'],
  rule: ['rule', 'rules'],
  definition: ['definition', 'definitions'],
  step: ['step', 'steps'],
  figure: ['figure', 'figures'],
  warning: ['warning', 'warnings'],
  reason: ['reason', 'reasons'],
  example: ['example', 'examples'],
  tip: ['tip', 'tips'],
  comparison: ['comparison', 'comparisons'],
  role: ['role', 'roles'],
  passage: ['passage', 'passages'],
};
/** What must not be missed comes first. */
const ORDER = Object.keys(KINDS) as SaidKind[];

/** "2 limits, 1 exception and 3 passages"; empty when there is nothing. */
export function kindWords(kinds: SaidCounts): string {
  const said = ORDER.flatMap((kind) =>
    kinds[kind] ? [`${kinds[kind]} ${KINDS[kind][kinds[kind] === 1 ? 0 : 1]}`] : [],
  );
  return said.length < 2 ? said.join('') : `${said.slice(0, -1).join(', ')} and ${said.at(-1)}`;
}

/** Reasons that are noise or a repeat: nothing of the matter is lost by them. */
const HARMLESS: ReadonlySet<MissingReason> = new Set([
  'history',
  'contents',
  'legal',
  'thanks',
  'contact',
  'index',
  'references',
  'about',
  'unfinished',
  'pointer',
  'marketing',
  'greeting',
  'stage',
  'politeness',
  'repeated',
  'known',
]);
export const isHarmless = (reason: MissingReason): boolean => HARMLESS.has(reason);

/** All kinds of several lines together. */
export function kindsTogether(lines: readonly { kinds: SaidCounts }[]): SaidCounts {
  const sum: SaidCounts = {};
  for (const { kinds } of lines) for (const kind of ORDER) if (kinds[kind]) sum[kind] = (sum[kind] ?? 0) + kinds[kind];
  return sum;
}

/** Lines by the heading they stand under in their source, in order, each with all that its lines say. */
export function byTopic<Line extends { sourceId: string; topic: string; kinds: SaidCounts }>(
  lines: readonly Line[],
): { key: string; topic: string; lines: Line[]; kinds: SaidCounts }[] {
  const groups = new Map<string, Line[]>();
  for (const line of lines) {
    const key = `${line.sourceId}/${line.topic}`;
    const group = groups.get(key);
    if (group) group.push(line);
    else groups.set(key, [line]);
  }
  return [...groups].map(([key, group]) => ({ key, topic: group[0].topic, lines: group, kinds: kindsTogether(group) }));
}
