import { checkText } from '../../checks/forms';
import { checkIn, formOf, plainText, type Block } from '../../blocks/forms';
import { entriesOf } from '../../blocks/turn';
import type { Course } from '../../course/course';
import { textOf } from '../../document/rich-text';

/** A line of a script: what is said, what is shown meanwhile, what is asked of who listens, or a heading. */
export interface ScriptLine {
  kind: 'heading' | 'say' | 'show' | 'ask';
  text: string;
}

export interface ScriptLesson {
  module: string;
  title: string;
  lines: ScriptLine[];
}

/** What of a page is looked at rather than said. */
const SHOWN = new Set<Block['kind']>(['picture', 'gallery', 'clip', 'code', 'embed', 'files', 'diagram', 'figures']);
const SILENT = new Set<Block['kind']>(['divider', 'survey', 'reading']);

/**
 * A course as what somebody says, lesson by lesson: every sentence of its pages in their order, rows and items a line
 * each, what is looked at where it is to be shown, questions to be asked with their answers.
 */
export function scriptOf(course: Course): ScriptLesson[] {
  const checks = new Map(course.checks.map((check) => [check.id, check]));
  return course.modules.flatMap((module) =>
    module.lessons
      .filter(({ blocks }) => blocks.length > 0)
      .map(({ title, blocks }) => ({
        module: module.title,
        title,
        lines: blocks.flatMap((block): ScriptLine[] => {
          const asked = checks.get(checkIn(block) ?? '');
          if (asked) return [{ kind: 'ask', text: checkText(asked) }];
          return linesOf(block);
        }),
      })),
  );
}

function linesOf(block: Block): ScriptLine[] {
  if (SILENT.has(block.kind)) return [];
  if (block.kind === 'heading') return [{ kind: 'heading', text: textOf(block.body.text) }];
  if (SHOWN.has(block.kind)) return [{ kind: 'show', text: plainText(block).replace(/\n+/g, ' / ') }];
  if (formOf(block).texts(block.body).length === 0) return [{ kind: 'say', text: plainText(block) }];
  return entriesOf(block).flatMap(({ lead, texts }): ScriptLine[] => {
    const said = texts.map(textOf).join(' ').trim();
    const head = lead ? textOf(lead).trim() : '';
    const text = head && said ? `${head}${/[.!?:]$/.test(head) ? '' : ':'} ${said}` : head || said;
    return text ? [{ kind: 'say', text }] : [];
  });
}

const BEFORE: Record<ScriptLine['kind'], string> = { heading: '## ', say: '', show: '[Show: ', ask: '[Ask] ' };

/** A script as plain text. */
export function scriptText(title: string, lessons: readonly ScriptLesson[]): string {
  return [
    title,
    ...lessons.map(({ module, title: name, lines }) =>
      [
        `# ${module}: ${name}`,
        ...lines.map(({ kind, text }) => `${BEFORE[kind]}${text}${kind === 'show' ? ']' : ''}`),
      ].join('\n\n'),
    ),
    '',
  ].join('\n\n');
}
