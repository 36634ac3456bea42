import type { Block } from '../blocks/forms';
import { idFrom } from '../document/id';
import { textOf } from '../document/rich-text';
import type { Claim } from '../knowledge';
import { isGenericTitle } from '../language/boilerplate';
import type { Labels, LanguagePack } from '../language/pack';
import { facetsOf, type Facet } from '../unit/facets';
import type { Matter, Part } from './parts';
import { ours } from './shapes/shape';

/** A part of a page with the heading that stands over it, and what kinds of blocks it became. */
export interface OpenedPart {
  part: Part;
  heading?: string;
  blocks: readonly Block[];
}

/** An opening names so many things at least, and at most. */
const NAMES = { fewest: 2, most: 4 };
/** A name longer than this in words is no name. */
const LONGEST = 14;
/** A shorter lesson is seen at a glance. */
const LEAST_WORDS = 110;

/**
 * One line of ours that says what is settled in a lesson, made of its own parts: their headings, what its tables and
 * steps are for, cases, people, limits. It states no fact. None where fewer than two of them can be named.
 */
export function openingOf(
  parts: readonly OpenedPart[],
  title: string,
  matter: Matter,
  place: string,
): Block | undefined {
  if (parts.length === 0 || parts.reduce((sum, { part }) => sum + part.words, 0) < LEAST_WORDS) return undefined;
  const { pack } = matter.of(parts[0].part.items[0].passage.id);
  const known = new Set([plain(title)]);
  const names: string[] = [];
  let missed = false;
  for (const [at, each] of parts.entries()) {
    const own = nameOf(each, title, matter);
    if (own === undefined) {
      // What goes on under a heading that is named is named with it.
      missed ||= each.heading === undefined || each.heading !== parts[at - 1]?.heading;
      continue;
    }
    if (known.has(plain(own))) continue;
    known.add(plain(own));
    names.push(own);
  }
  if (names.length < NAMES.fewest) return undefined;
  return {
    id: idFrom('b', place),
    kind: 'text',
    body: { text: ours(worded(names, missed, pack.labels)) },
  };
}

const plain = (words: string): string =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

function worded(names: readonly string[], missed: boolean, { frame, and }: Labels): string {
  const shown = names.slice(0, NAMES.most);
  const whole = !missed && shown.length === names.length;
  const comma = shown.some((name) => name.includes(','));
  const [joint, last] = comma ? ['; ', '; '] : [', ', ` ${and} `];
  const things = `${shown.slice(0, -1).join(joint)}${last}${shown.at(-1)}`;
  return (whole ? frame.all : frame.some)
    .replace('{count}', frame.counts[shown.length - 2])
    .replace('{things}', things);
}

/**
 * What a part settles, in few words: what its table or steps are for, or the decision it asks for; else the heading
 * over it; else what kind of thing it says.
 */
function nameOf(opened: OpenedPart, title: string, matter: Matter): string | undefined {
  const { part, heading, blocks } = opened;
  const { pack } = matter.of(part.items[0].passage.id);
  const claims = part.items.flatMap((item) => matter.claims.get(item.passage.id) ?? []);
  const own = useOf(part, matter) ?? decisionOf(claims, pack);
  if (own && own.split(/\s+/).length <= LONGEST) return own;
  return heading && isName(heading, title, pack) ? asName(heading) : sortOf(blocks, claims, pack);
}

/** What a table is looked into for, and what steps do. */
function useOf({ kind, items: [{ passage }] }: Part, matter: Matter): string | undefined {
  const { pack, passages } = matter.of(passage.id);
  if (kind === 'table') return pack.objectives?.fromTable(passage.table!.header)?.object;
  const lead = kind === 'steps' ? passages.get(passage.leadIn ?? '')?.text : undefined;
  const action = lead && pack.objectives?.fromStepsLeadIn(lead)?.object;
  return action && action !== 'the steps' ? pack.labels.frame.how.replace('{action}', action) : undefined;
}

function decisionOf(claims: readonly Claim[], { objectives }: LanguagePack): string | undefined {
  const found = claims.find(({ rule, leaning }) => rule?.condition?.leading && rule.person && !leaning);
  const words = found && objectives?.fromCondition(found.rule!.condition!.text);
  return words && `${words.object} ${words.condition}`;
}

function sortOf(blocks: readonly Block[], claims: readonly Claim[], pack: LanguagePack): string | undefined {
  const { frame, shapes } = pack.labels;
  if (blocks.some(({ kind }) => kind === 'terms')) return frame.terms;
  if (blocks.some((block) => headOf(block) === shapes.who)) return frame.who;
  if (blocks.some(({ kind, body }) => kind === 'callout' && body.tone === 'case')) return frame.case;
  const facets = new Set(claims.flatMap((claim) => facetsOf(claim, pack)));
  const facet = ORDER.find((each) => facets.has(each));
  return facet && frame[facet];
}

/** What is worth naming of a paragraph, the weightiest first. */
const ORDER = ['emergency', 'exception'] as const satisfies readonly Facet[];

/** What the first column of a table is called. */
const headOf = ({ kind, body }: Block): string | undefined =>
  kind === 'table' && body.header[0] ? textOf(body.header[0]) : undefined;

/** Whether a heading names something that the lesson's title does not name already. */
const isName = (heading: string, title: string, { stems }: LanguagePack): boolean =>
  !isGenericTitle(heading) && stems(heading).length > 0 && !plain(heading).startsWith(`${plain(title)} `);

/** A heading, quoted: whatever it says reads well among other names. */
const asName = (heading: string): string => `“${heading.replace(/[\s.:]+$/, '')}”`;
