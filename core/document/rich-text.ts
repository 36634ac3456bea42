import { sameData } from './canonical';
import { ID_PATTERN, shortHash } from './id';
import { always, list, number, object, string, tagged, type Shape } from './shape';

/** A change made to a passage's words: characters `from` to `to` of the passage's text became `with`. */
export interface Edit {
  from: number;
  to: number;
  with: string;
}

/** A range of a passage's text, with the changes made inside it, in order. */
export interface PassageRange {
  id: string;
  from: number;
  to: number;
  edits?: Edit[];
}

export type TextMark =
  | { type: 'strong' }
  | { type: 'emphasis' }
  | { type: 'code' }
  | { type: 'link'; attrs: { href: string } }
  /**
   * The passages a drafted sentence stands on; `was` is the hash of its words as drafted. `also`: where else the
   * sources say the same; its words do not come from there, but it stands on it, too. `hand`: somebody put the passages
   * behind words of their own, which do not come from there either.
   */
  | {
      type: 'evidence';
      attrs: { id: string; passages: PassageRange[]; was: string; also?: PassageRange[]; hand?: true };
    }
  /** Connecting text the engine added: it states no fact and has no source. */
  | { type: 'connecting' };

export type EvidenceMark = Extract<TextMark, { type: 'evidence' }>;

/** Running text in the editor's own JSON: runs with marks. */
export interface TextRun {
  type: 'text';
  text: string;
  marks?: TextMark[];
}

export type RichText = TextRun[];

const ORDER: TextMark['type'][] = ['evidence', 'connecting', 'link', 'strong', 'emphasis', 'code'];

const idShape = string({ pattern: ID_PATTERN });
/** The form of a range of a passage. */
export const passageRange: Shape = object(
  { id: idShape, from: number({ min: 0, whole: true }), to: number({ min: 0, whole: true }) },
  {
    edits: list(object({ from: number({ min: 0, whole: true }), to: number({ min: 0, whole: true }), with: string() })),
  },
);
const markShape = tagged('type', {
  strong: { required: {} },
  emphasis: { required: {} },
  code: { required: {} },
  link: { required: { attrs: object({ href: string({ pattern: /^(https?:\/\/|mailto:)\S+$/ }) }) } },
  evidence: {
    required: {
      attrs: object(
        { id: idShape, passages: list(passageRange, { min: 1 }), was: string({ pattern: /^[a-z2-7]{10}$/ }) },
        { also: list(passageRange, { min: 1 }), hand: always },
      ),
    },
  },
  connecting: { required: {} },
});

/** The form of rich text. */
export const richText: Shape = list(
  tagged('type', { text: { required: { text: string({ min: 1 }) }, optional: { marks: list(markShape) } } }),
);

/** Rich text of one run without marks. */
export function plainRun(text: string, marks: TextMark[] = []): RichText {
  return text === '' ? [] : [{ type: 'text', text, ...(marks.length > 0 && { marks }) }];
}

/** The letters of rich text. */
export function textOf(rich: RichText): string {
  return rich.map((run) => run.text).join('');
}

/** What `was` holds for a drafted sentence. */
export function sentenceHash(text: string): string {
  return shortHash(text, 10);
}

/**
 * The one form of a rich text: marks in fixed order, one of a kind, neighbours with equal marks joined, empty runs
 * gone, attributes as documented. Engine, editor and archive all write this form.
 */
export function canonicalRichText(rich: RichText): RichText {
  const runs: TextRun[] = [];
  for (const run of rich) {
    if (run.text === '') continue;
    const marks = canonicalMarks(run.marks ?? []);
    const last = runs[runs.length - 1];
    if (last && sameData(last.marks ?? [], marks)) last.text += run.text;
    else runs.push({ type: 'text', text: run.text, ...(marks.length > 0 && { marks }) });
  }
  return runs;
}

function canonicalRange({ id, from, to, edits }: PassageRange): PassageRange {
  return {
    ...(edits && { edits: edits.map((edit) => ({ from: edit.from, to: edit.to, with: edit.with })) }),
    from,
    id,
    to,
  };
}

function canonicalMarks(marks: readonly TextMark[]): TextMark[] {
  return ORDER.flatMap((type): TextMark[] => {
    const mark = marks.find((each) => each.type === type);
    if (!mark) return [];
    if (mark.type === 'link') return [{ type: mark.type, attrs: { href: mark.attrs.href } }];
    if (mark.type === 'evidence') {
      const { id, passages, was, also, hand } = mark.attrs;
      // Keys in the order that canonical JSON gives them; made by hand, since every sentence of a course comes through
      // here.
      return [
        {
          type: mark.type,
          attrs: {
            ...(also?.length && { also: also.map(canonicalRange) }),
            ...(hand && { hand }),
            id,
            passages: passages.map(canonicalRange),
            was,
          },
        },
      ];
    }
    return [{ type: mark.type } as TextMark];
  });
}

/** Sentences with evidence, in order: their mark and their words as they stand now. */
export function evidencedSentences(rich: RichText): { mark: EvidenceMark; text: string }[] {
  const found: { mark: EvidenceMark; text: string }[] = [];
  for (const run of rich) {
    const mark = run.marks?.find((each): each is EvidenceMark => each.type === 'evidence');
    if (!mark) continue;
    const last = found[found.length - 1];
    if (last?.mark.attrs.id === mark.attrs.id) last.text += run.text;
    else found.push({ mark, text: run.text });
  }
  return found;
}

/**
 * The words that passage ranges give with their recorded changes made; undefined when a range does not fit its passage.
 */
export function replay(
  ranges: readonly PassageRange[],
  passageText: (id: string) => string | undefined,
): string | undefined {
  const parts: string[] = [];
  for (const range of ranges) {
    const text = passageText(range.id);
    if (text === undefined || range.from < 0 || range.to > text.length || range.from > range.to) return undefined;
    let at = range.from;
    let part = '';
    for (const edit of range.edits ?? []) {
      if (edit.from < at || edit.to > range.to || edit.to < edit.from) return undefined;
      part += text.slice(at, edit.from) + edit.with;
      at = edit.to;
    }
    parts.push(part + text.slice(at, range.to));
  }
  return parts.join(' ');
}
