import { blockTexts, type Block } from '../../blocks/forms';
import { evidencedSentences } from '../../document/rich-text';
import type { Headed } from '../headed';
import {
  alike,
  givenAway,
  quoteOf,
  shownOf,
  WRONG_SHOWN,
  WRONG_SOUGHT,
  type Candidate,
  type QuestionForm,
  type QuestionMatter,
  type Said,
} from './form';

/** Of a lesson so many headings are asked about at most. */
const MOST = 6;

/** How a heading with what is said under it becomes a question. */
export interface HeadedAsking {
  how: Headed['how'];
  form: Candidate['form'];
  /** The question; undefined where it cannot be asked so. */
  stem(headed: Headed, matter: QuestionMatter): string | undefined;
  /** What can be answered: of the heading itself, and of any other as a wrong answer; undefined where it is none. */
  answer(headed: Headed): string | undefined;
  level: Candidate['level'];
  score: number;
}

/** Questions on headings and what is said under them; wrong answers are the nearest other headings of the same list. */
export const ofHeaded =
  ({ how, form, stem, answer, level, score }: HeadedAsking): QuestionForm =>
  (matter) => {
    const taught = taughtIn(matter.blocks);
    return matter.course.headed
      .flatMap((list) =>
        list.flatMap((headed, at): Candidate[] => {
          if (headed.how !== how || !taught.has(`${headed.range.id}/${headed.range.from}`)) return [];
          const asked = stem(headed, matter);
          const right = answer(headed);
          if (!asked || right === undefined) return [];
          const wrong = list
            .flatMap((other, place) => {
              const text = other === headed ? undefined : answer(other);
              return text && fits(text, right, matter) ? [{ other, far: Math.abs(place - at), text }] : [];
            })
            .sort((a, b) => a.far - b.far)
            .slice(0, WRONG_SOUGHT);
          const shown = shownOf(wrong);
          if (
            shown.length < WRONG_SHOWN ||
            givenAway(
              right,
              asked,
              shown.map(({ text }) => text),
              matter.pack,
            )
          )
            return [];
          return [
            {
              form,
              about: saidUnder(headed),
              stem: asked,
              asks: {
                kind: 'choice',
                right,
                wrong: wrong.map(({ other, text }) => ({
                  text,
                  code: 'other-case',
                  quotes: [quoteOf(saidUnder(other))],
                })),
              },
              level,
              difficulty: 0.4,
              score,
              reasons: [`wrong-answers:${shown.length}`],
            },
          ];
        }),
      )
      .slice(0, matter.generous ? Infinity : MOST);
  };

/** Alike in length, and not the same in other words. */
const fits = (text: string, right: string, { pack }: QuestionMatter): boolean =>
  text.length <= right.length * 2.2 + 12 && text.length >= right.length * 0.4 - 8 && !alike(text, right, pack);

const saidUnder = ({ id, said, range }: Headed): Said => ({ id, text: said, ranges: [range] });

/** Where the sentences begin that a page stands on. */
const taughtIn = (blocks: readonly Block[]): Set<string> =>
  new Set(
    blocks
      .flatMap(blockTexts)
      .flatMap(evidencedSentences)
      .flatMap(({ mark }) => mark.attrs.passages.map(({ id, from }) => `${id}/${from}`)),
  );
