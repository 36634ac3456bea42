import { canonicalRichText, type RichText, type TextMark, type TextRun } from '../document/rich-text';

/** One of the things that a block says: its texts, and what heads them (a term, a case, a title), if anything does. */
export interface Entry {
  lead?: RichText;
  texts: RichText[];
}

/** Entries of texts that nothing heads; empty ones are left out. */
export const plainEntries = (texts: readonly RichText[]): Entry[] =>
  texts.filter((text) => text.length > 0).map((text) => splitLead(text));

const JOINT = ': ';
const BETWEEN: RichText = [{ type: 'text', text: JOINT, marks: [{ type: 'connecting' }] }];
const isStrong = (marks: readonly TextMark[] = []) => marks.some(({ type }) => type === 'strong');

const bold = (text: RichText): RichText =>
  text.map((run) => ({
    ...run,
    marks: isStrong(run.marks) ? run.marks : [...(run.marks ?? []), { type: 'strong' as const }],
  }));

/** A text behind what it is called, in bold. `splitLabel` takes that apart again. */
export const labelled = (label: RichText, text: RichText): RichText =>
  canonicalRichText([...bold(label), ...BETWEEN, ...text]);

/** An entry as running texts: its lead in bold before the first of them. `splitLead` takes that apart again. */
export function joinedTexts({ lead, texts }: Entry): RichText[] {
  const [first = [], ...rest] = texts;
  if (!lead?.length) return texts.filter((text) => text.length > 0);
  return [first.length > 0 ? labelled(lead, first) : canonicalRichText(bold(lead)), ...rest];
}

const isJoint = ({ text, marks }: TextRun): boolean =>
  text === JOINT && (marks?.some(({ type }) => type === 'connecting') ?? false);

/** A running text as an entry: words in bold before our colon are its lead. */
export function splitLead(text: RichText): Entry {
  const at = text.findIndex((run) => !isStrong(run.marks));
  if (at < 1 || !isJoint(text[at])) return { texts: [text] };
  return { lead: canonicalRichText(text.slice(0, at).map(plainer)), texts: [text.slice(at + 1)] };
}

/** What stands before our first colon, and what behind it; undefined where there is none. */
export function splitLabel(text: RichText): { label: RichText; rest: RichText } | undefined {
  const at = text.findIndex(isJoint);
  return at < 1
    ? undefined
    : { label: canonicalRichText(text.slice(0, at).map(plainer)), rest: canonicalRichText(text.slice(at + 1)) };
}

const plainer = ({ text, marks = [] }: TextRun): TextRun => {
  const rest = marks.filter(({ type }) => type !== 'strong');
  return { type: 'text', text, ...(rest.length > 0 && { marks: rest }) };
};

/** The lead of an entry; where it has none, its first text, with the others behind it. */
export function headed({ lead, texts }: Entry): { lead: RichText; texts: RichText[] } {
  if (lead) return { lead, texts };
  return { lead: texts[0] ?? [], texts: texts.slice(1) };
}
