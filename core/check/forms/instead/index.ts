import { blockTexts } from '../../../blocks/forms';
import { evidencedSentences, type PassageRange } from '../../../document/rich-text';
import { idFrom, shortHash } from '../../../document/id';
import { isTold, pointsOut, type Candidate, type QuestionForm, type QuestionMatter } from '../form';

/** So many of a lesson. */
const MOST = { drafted: 1, asked: 6 };
const LONGEST = 30;

/**
 * "This, not that": the source itself says what is tempting, in a rule or in how things are done. A statement of the
 * one or of the other is judged; which of them is settled by where it stands.
 */
export const insteadQuestions: QuestionForm = (matter) =>
  matter.blocks
    .filter((block) => !isTold(block))
    .flatMap((block) => blockTexts(block).flatMap(evidencedSentences))
    .flatMap(({ mark, text }) => {
      const [range, ...more] = mark.attrs.passages;
      return range && more.length === 0 && text.split(/\s+/).length <= LONGEST
        ? (ask(range, text.trim(), matter) ?? [])
        : [];
    })
    .slice(0, matter.generous ? MOST.asked : MOST.drafted);

function ask(range: PassageRange, text: string, { pack, title, lesson }: QuestionMatter): Candidate | undefined {
  const own = lesson.filter(
    ({ ranges: [first] }) => first.id === range.id && first.from >= range.from && first.to <= range.to,
  );
  // What holds under a condition only, or is forbidden, is no statement by itself.
  if (own.some(({ rule, leaning }) => rule?.condition || rule?.negative || leaning)) return undefined;
  const isOrder = own.some(({ rule }) => rule && text.toLowerCase().startsWith(rule.action.slice(0, 12).toLowerCase()));
  const id = idFrom('c', 'instead', range.id, range.from);
  const holds = shortHash(id, 4).charCodeAt(1) % 2 === 0;
  const stem = pack.questions?.instead?.(text, title, isOrder, !holds);
  if (!stem || pointsOut(stem)) return undefined;
  return {
    form: 'instead',
    about: { id, text, ranges: [range] },
    stem,
    asks: { kind: 'truth', holds },
    level: 'apply',
    difficulty: 0.3,
    score: 0.76,
    reasons: [],
  };
}
