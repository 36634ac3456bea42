import { BLOCKS, checkIn, plainText, type Block, type BlockKind } from '~~/core/blocks/forms';
import { checkText, OWN_CHECK_FIELDS, type Check } from '~~/core/checks/forms';
import type { Brief, Course, CourseNode, NodeKind, Take } from '~~/core/course/course';
import { counted } from './states';
import { findNode } from '~~/core/course/tree';
import type { RowOffer } from '~~/core/draft/takes/offer';
import type { Problem } from '~~/core/document/problem';

/** The words of a node, as a list shows them. */
export function nodeWords(kind: NodeKind, node: CourseNode): string {
  if (kind === 'block') return bodyWords(node as Block);
  if (kind === 'check') return checkText(node as Check);
  const { title, question, term, text, name, value } = node as unknown as Record<string, unknown>;
  return [
    title,
    question,
    term,
    text,
    kind === 'medium' ? name : undefined,
    kind === 'take' && typeof value === 'string' ? value : undefined,
  ]
    .filter((part) => typeof part === 'string' && part !== '')
    .join('\n');
}

function bodyWords(block: Block): string {
  return checkIn(block) ? 'A check' : plainText(block);
}

/** The words of a value that a field of a node has or could have. */
export function valueWords(course: Course, id: string, field: string, value: unknown): string {
  if (typeof value === 'string') return value;
  if (value === null || value === undefined) return '';
  if (field === 'insert') return nodeWords((value as { kind: NodeKind }).kind, (value as { node: CourseNode }).node);
  if (field === 'body') return bodyOf(course, id, value);
  if (OWN_CHECK_FIELDS.includes(field)) {
    const check = findNode(course, id)?.node as Check | undefined;
    if (check) return checkText({ ...check, [field]: value } as Check);
  }
  if (field === 'brief') {
    const { promise, audience, outcomes, size } = value as Brief;
    return [
      promise,
      audience.who,
      audience.knows.join(', '),
      ...outcomes,
      size.minutes ? `${size.minutes} minutes` : '',
    ]
      .filter(Boolean)
      .join('\n');
  }
  return Array.isArray(value) ? `${value.length} entries` : '';
}

/** A body without its block says by its form what kind it is of. */
function bodyOf(course: Course, id: string, body: unknown): string {
  const found = findNode(course, id);
  const kinds = found?.kind === 'block' ? [(found.node as Block).kind] : (Object.keys(BLOCKS) as BlockKind[]);
  const kind = kinds.find((each) => {
    const problems: Problem[] = [];
    BLOCKS[each].body.check(body, '', problems);
    return problems.length === 0;
  });
  return kind ? bodyWords({ id, kind, body } as Block) : '';
}

/** The words of a take. */
export function takeWords(course: Course, take: Take): string {
  return valueWords(course, take.of, take.field, take.value);
}

/** What a take is called until its author gives it a name, as a page or as a text. */
export const CALLED: Record<Take['made']['why'], [page: string, text: string]> = {
  draft: ['A draft, made beside your work', 'A draft of one part'],
  replaced: ['The page that stood here before', 'What stood here before'],
  conflict: ['A page that met another change', 'A text that met another change'],
  kept: ['A page that was kept', 'A text that was kept'],
};

/** What differs in another take of a row that the engine offers. */
export function rowTakeWords({ kind, passages = 0, title = '' }: RowOffer['says']): string {
  const some = counted(passages, ['passage', 'passages']);
  return {
    title: 'Another title',
    objective: 'Another aim',
    narrow: `Without background and examples: ${some} less`,
    wide: `With what nothing uses yet: ${some} more`,
    source: `Only from “${title}”: ${some} less`,
    'in-sources-order': 'As the sources go',
    'in-two': `In two, from “${title}” on`,
    joined: `Together with “${title}”`,
    'terms-first': 'What a term means before it is used',
    'promise-first': 'What the promise speaks of first',
  }[kind];
}

/** What a take of a row is called that lies beside it: by what it is, or that it stood there. */
export function lyingTakeWords({ field, made }: Take): string {
  if (made.why !== 'draft') return 'Stood here before';
  return field === 'title' ? 'Another title' : field === 'text' ? 'Another aim' : 'Another cut';
}

/** When something was made, as a person says it. */
export function madeWords({ at, by }: Take['made']): string {
  const when = at > 0 ? new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' }) : '';
  return [by, when].filter(Boolean).join(', ') || 'some time ago';
}
