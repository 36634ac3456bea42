import { idFrom } from '../../../document/id';
import type { Claim } from '../../../knowledge';
import {
  alike,
  asOption,
  isPlainOrder,
  pointsOut,
  quoteOf,
  spreadOver,
  turnsAlone,
  type Candidate,
  type QuestionForm,
  type QuestionMatter,
} from '../form';
import { allOf, columnsOf, count, type Row } from '../rows';

/** Groups are few, and what is sorted can be seen at once. */
const GROUPS = { fewest: 2, most: 4 };
const ITEMS = { fewest: 4, most: 7 };
const EACH = { fewest: 2, most: 3 };
const LONGEST = { group: 6, item: 14 };

/** What belongs to which group: rows of a table that share what a column says, and what is done and what is not. */
export const groupQuestions: QuestionForm = (matter) => [...inTables(matter), ...doOrNot(matter)];

function inTables({ blocks, pack, title }: QuestionMatter): Candidate[] {
  if (!pack.questions?.forEach) return [];
  return blocks.flatMap((block): Candidate[] => {
    if (block.kind !== 'table') return [];
    for (const { how, heads, rows } of columnsOf(block, pack.labels)) {
      if (how !== 'column') continue;
      const fit = spreadOver(
        rows.filter(
          ({ head, cell }) => count(head) <= LONGEST.item && count(cell) <= LONGEST.group && !pointsOut(head),
        ),
        ITEMS.most,
      );
      const groups = new Map<string, Row[]>();
      for (const row of fit) groups.set(asOption(row.cell), [...(groups.get(asOption(row.cell)) ?? []), row]);
      const isSorted = [...groups.values()].some((group) => group.length >= EACH.fewest);
      if (fit.length < ITEMS.fewest || groups.size < GROUPS.fewest || groups.size > GROUPS.most || !isSorted) continue;
      return [
        {
          form: 'groups',
          about: allOf(
            idFrom('c', block.id, 'groups'),
            fit.map(({ about }) => about),
          ),
          stem: pack.questions!.forEach!(title, heads[1]),
          asks: {
            kind: 'sort',
            groups: [...groups].map(([text, group]) => ({ text, items: group.map(({ head }) => asOption(head)) })),
          },
          quotes: fit.map(({ about }) => quoteOf(about)),
          level: 'recall',
          difficulty: 0.4,
          score: 0.82,
          reasons: [`pairs:${fit.length}`],
        },
      ];
    }
    return [];
  });
}

/** What a lesson asks for and what it forbids, both said without a word of which it is. */
function doOrNot({ lesson, pack, title }: QuestionMatter): Candidate[] {
  const stem = pack.questions?.doOrNot?.(title);
  const orders = lesson.filter((claim) => isPlainOrder(claim) && turnsAlone(claim) && claim.rule!.strength === 'must');
  const apart = orders.filter((claim, at) =>
    orders.every((other, place) => place >= at || !alike(other.rule!.action, claim.rule!.action, pack)),
  );
  const sides = [false, true].map((negative) =>
    spreadOver(
      apart.filter(({ rule }) => rule!.negative === negative && count(rule!.action) <= LONGEST.item),
      EACH.most,
    ),
  );
  if (!stem || sides.some((side) => side.length < EACH.fewest)) return [];
  const { shapes } = pack.labels;
  const said: Claim[] = sides.flat();
  return [
    {
      form: 'groups',
      about: allOf(idFrom('c', said[0].id, 'groups'), said),
      stem,
      asks: {
        kind: 'sort',
        groups: sides.map((side, at) => ({
          text: at === 0 ? shapes.do : shapes.dont,
          items: side.map(({ rule }) => asOption(rule!.action)),
        })),
      },
      quotes: said.map(quoteOf),
      level: 'apply',
      difficulty: 0.35,
      score: 0.8,
      reasons: [`pairs:${said.length}`],
    },
  ];
}
