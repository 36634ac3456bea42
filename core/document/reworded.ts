import {
  canonicalRichText,
  evidencedSentences,
  sentenceHash,
  type Edit,
  type EvidenceMark,
  type RichText,
  type TextRun,
} from './rich-text';

/** Characters `from` to `to` of a text become `with`. */
export interface Rewording {
  from: number;
  to: number;
  with: string;
}

/**
 * A rich text with exact ranges of its letters changed, everything else as it was: marks stay, and a sentence that
 * stands on its passage word for word as drafted goes on to do so, the changes recorded. `changes` in order; one that
 * lies across two runs is left out.
 */
export function applyChanges(text: RichText, changes: readonly Rewording[]): RichText {
  const runs: TextRun[] = [];
  const touched = new Map<string, { from: number; to: number; with: string }[]>();
  const starts = startsOf(text);
  let at = 0;
  for (const run of text) {
    const end = at + run.text.length;
    const own = changes.filter((change) => change.from >= at && change.to <= end);
    let words = '';
    let place = at;
    for (const change of own) {
      words += run.text.slice(place - at, change.from - at) + change.with;
      place = change.to;
    }
    const id = evidenceOf(run)?.attrs.id;
    if (id !== undefined && own.length > 0) {
      const start = starts.get(id)!;
      const inside = own.map((change) => ({ from: change.from - start, to: change.to - start, with: change.with }));
      touched.set(id, [...(touched.get(id) ?? []), ...inside]);
    }
    runs.push({ ...run, text: words + run.text.slice(place - at) });
    at = end;
  }
  return canonicalRichText(recorded(text, runs, touched));
}

const evidenceOf = (run: TextRun): EvidenceMark | undefined =>
  run.marks?.find((mark): mark is EvidenceMark => mark.type === 'evidence');

/** Where each evidenced sentence begins. */
function startsOf(text: RichText): Map<string, number> {
  const starts = new Map<string, number>();
  let at = 0;
  for (const run of text) {
    const id = evidenceOf(run)?.attrs.id;
    if (id !== undefined && !starts.has(id)) starts.set(id, at);
    at += run.text.length;
  }
  return starts;
}

function recorded(
  before: RichText,
  runs: readonly TextRun[],
  touched: ReadonlyMap<string, readonly { from: number; to: number; with: string }[]>,
): TextRun[] {
  const marks = new Map<string, EvidenceMark>();
  const now = new Map(evidencedSentences([...runs]).map(({ mark, text }) => [mark.attrs.id, text]));
  for (const { mark, text } of evidencedSentences(before)) {
    const own = touched.get(mark.attrs.id);
    const [range, ...others] = mark.attrs.passages;
    if (!own || mark.attrs.hand || others.length > 0 || sentenceHash(text) !== mark.attrs.was) continue;
    const edits = withEdits(range, own);
    if (edits)
      marks.set(mark.attrs.id, {
        type: 'evidence',
        attrs: { ...mark.attrs, passages: [{ ...range, edits }], was: sentenceHash(now.get(mark.attrs.id)!) },
      });
  }
  return runs.map((run) => {
    const mark = evidenceOf(run);
    const other = mark && marks.get(mark.attrs.id);
    return other ? { ...run, marks: run.marks!.map((each) => (each === mark ? other : each)) } : run;
  });
}

/** Changes of a sentence's letters as changes of its passage; undefined where one lies across an earlier change. */
function withEdits(
  { from, edits = [] }: { from: number; edits?: Edit[] },
  changes: readonly { from: number; to: number; with: string }[],
): Edit[] | undefined {
  const made: Edit[] = [...edits];
  for (const change of changes) {
    let shift = 0;
    for (const edit of edits) {
      const place = edit.from - from + shift;
      const end = place + edit.with.length;
      if (change.to <= place) break;
      if (change.from < end) return undefined;
      shift += edit.with.length - (edit.to - edit.from);
    }
    made.push({ from: change.from + from - shift, to: change.to + from - shift, with: change.with });
  }
  return made.sort((a, b) => a.from - b.from);
}
