import { blankQuestion, checkFrom, type PlainQuestion } from './plain';
import type { Bringing, GivenQuestions, LeftQuestion } from './given';
import type { Check } from '../checks/forms';

/** What a line of pasted questions can be. */
const NUMBERED = /^\s*(?:(?:question|frage|pregunta|q|f|p)\s*)?\d{1,3}\s*[.):]\s+(\S.*)$/i;
const LABELLED = /^\s*(?:question|frage|pregunta|q)\s*:\s*(\S.*)$/i;
/** An option: a letter or a list mark before it; what is right has a star, a tick or a filled box. */
const OPTION =
  /^\s*(?<star>[*\u2713\u2714+]\s*)?(?:(?<letter>[a-zA-Z])\s*[.)]|(?<mark>[-\u2022\u2013\u25cb\u25cf]))\s+(?<box>\[(?<filled>[xX ]?)\]\s*)?(?<text>\S.*)$/;
const BOXED = /^\s*\[(?<filled>[xX ]?)\]\s*(?<text>\S.*)$/;
const STARRED = /^\s*[*\u2713\u2714]\s*(?<text>\S.*)$/;
/** Behind what is right. */
const TAIL = /(?:\*|\u2713|\u2714|\((?:correct|right|richtig|correcte?|correcta)\))$/i;
const ARROW = /->|=>|\u2192/;
const FIELDS: [field: 'answer' | 'feedback' | 'points' | 'type', label: RegExp][] = [
  [
    'answer',
    /^\s*(?:correct answers?|answers?|correct|key|solution|antworten?|l\u00f6sung|r\u00e9ponses?|respuestas?)\s*:\s*/i,
  ],
  ['feedback', /^\s*(?:feedback|explanation|why|r\u00fcckmeldung|erkl\u00e4rung|explication|explicaci\u00f3n)\s*:\s*/i],
  ['points', /^\s*(?:points?|punkte?|puntos?)\s*:\s*/i],
  ['type', /^\s*(?:type|kind|art|tipo)\s*:\s*/i],
];

/**
 * Questions out of plain text, as they stand in documents: numbered or divided by blank lines; options with letters or
 * list marks; what is right marked by a star, a tick, a box, "(correct)" or a line "Answer: b"; pairs with an arrow;
 * "Type:", "Points:" and "Feedback:" where something more is to be said. `language` is that of figures.
 */
export function readText(text: string, bringing: Bringing, language: string): GivenQuestions {
  const checks: Check[] = [];
  const left: LeftQuestion[] = [];
  for (const { line, question } of questionsIn(text)) {
    const check = checkFrom(question, bringing, language);
    if (typeof check === 'string') left.push({ code: check, place: String(line), words: question.stem });
    else checks.push(check);
  }
  return { checks, left };
}

/** The questions of a text, with the line each begins on. */
function questionsIn(text: string): { line: number; question: PlainQuestion }[] {
  const found: { line: number; question: PlainQuestion }[] = [];
  let isAfterBlank = true;
  let writing: GoesOn = 'stem';
  text.split(/\r\n|\r|\n/).forEach((raw, at) => {
    // Spaces side by side say nothing, and would make patterns go over a long line again and again.
    const line = raw.replace(/\s+/g, ' ').trim();
    if (line === '') {
      isAfterBlank = true;
      return;
    }
    const last = found.at(-1)?.question;
    const begins = beginning(line, last, isAfterBlank);
    isAfterBlank = false;
    if (begins !== undefined) {
      found.push({ line: at + 1, question: blankQuestion(begins) });
      writing = 'stem';
    } else if (last) writing = takeLine(last, line, writing);
  });
  return found;
}

/** The words of a question that begins on a line; undefined where the line belongs to the one before. */
function beginning(line: string, last: PlainQuestion | undefined, isAfterBlank: boolean): string | undefined {
  const numbered = NUMBERED.exec(line) ?? LABELLED.exec(line);
  const isAnswer = last?.type !== undefined && !isAfterBlank;
  if (numbered && !isAnswer) return numbered[1].trim();
  const isPart =
    FIELDS.some(([, label]) => label.test(line)) || optionIn(line) !== undefined || pairIn(line) !== undefined;
  return !last || (isAfterBlank && !isPart) ? line.trim() : undefined;
}

/** What a line that is nothing of its own goes on with. */
type GoesOn = 'stem' | 'option' | 'answer' | 'feedback' | 'nothing';

/** Takes a line into its question; gives what the next one would go on with. */
function takeLine(question: PlainQuestion, line: string, writing: GoesOn): GoesOn {
  for (const [field, label] of FIELDS) {
    if (!label.test(line)) continue;
    const value = line.replace(label, '').trim();
    if (field === 'points') {
      const points = Number(value.replace(',', '.'));
      if (Number.isFinite(points) && points >= 0) question.points = points;
    } else if (value) question[field] = value;
    return field === 'answer' || field === 'feedback' ? field : 'nothing';
  }
  const pair = pairIn(line);
  if (pair) {
    question.pairs.push(pair);
    return 'nothing';
  }
  const option = optionIn(line) ?? numberedOption(question, line);
  if (option) {
    question.options.push(option);
    return 'option';
  }
  const more = ` ${line.trim()}`;
  if (writing === 'option') question.options.at(-1)!.text += more;
  else if (writing === 'stem') question.stem += more;
  else if (writing !== 'nothing') question[writing] = `${question[writing] ?? ''}${more}`.trim();
  return writing;
}

/** Two things with an arrow between them. */
function pairIn(line: string): [string, string] | undefined {
  const [left, ...rest] = line.replace(/^[-\u2022]\s/, '').split(ARROW);
  const right = rest.join(' ').trim();
  return left.trim() && right ? [left.trim(), right] : undefined;
}

const numberedOption = (question: PlainQuestion, line: string) => {
  const numbered = question.type === undefined ? null : NUMBERED.exec(line);
  return numbered && { text: numbered[1].trim(), right: false };
};

function optionIn(line: string): PlainQuestion['options'][number] | undefined {
  const found = OPTION.exec(line) ?? BOXED.exec(line);
  if (found?.groups) {
    const { star, filled, text } = found.groups;
    const isRight = Boolean(star) || /x/i.test(filled ?? '') || /^[*\u2713\u2714]/.test(text) || TAIL.test(text);
    return {
      text: text
        .replace(/^[*\u2713\u2714]\s*/, '')
        .replace(TAIL, '')
        .trim(),
      right: isRight,
    };
  }
  const starred = STARRED.exec(line);
  return starred?.groups ? { text: starred.groups.text.trim(), right: true } : undefined;
}
