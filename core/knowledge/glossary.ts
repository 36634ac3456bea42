import type { Passage, Source } from '../source/source';

/** A definition that the document itself marks as one. */
export interface GlossaryEntryFound {
  term: string;
  meaning: string;
  range: { id: string; from: number; to: number };
}

const TERM = /^[\p{L}\p{N}][\p{L}\p{N} /'’.()-]{1,58}$/u;
const TERM_HEADER = /^(term|word|name|abbreviation|acronym|expression|begriff|wort|terme|mot|término|palabra)s?$/i;
const MEANING_HEADER =
  /^(meaning|definition|explanation|what it means|means|description|bedeutung|définition|signification|significado|definición)s?$/i;

/**
 * A glossary entry: an entry of a definition list, "**Term**: meaning" in a list or paragraph, or a row of a table
 * headed term and meaning. Option lists of programs look the same; a term must look like words.
 */
function glossaryEntry(passage: Passage, byId: ReadonlyMap<string, Passage>): GlossaryEntryFound | undefined {
  if (passage.kind === 'definition' && passage.term && isTerm(passage.term)) return entry(passage, passage.term, 0);
  if (
    passage.kind === 'row' &&
    passage.table &&
    passage.table.cells.length === 2 &&
    TERM_HEADER.test(passage.table.header[0] ?? '') &&
    MEANING_HEADER.test(passage.table.header[1] ?? '')
  ) {
    const [term] = passage.table.cells;
    return isTerm(term) ? entry(passage, term, passage.text.indexOf(' | ') + 3) : undefined;
  }
  if (passage.kind !== 'item' && passage.kind !== 'paragraph') return undefined;
  const strong = passage.marks?.find((mark) => mark.kind === 'strong' && mark.from === 0);
  if (!strong || (passage.leadIn && !/\b(?:term|word|mean|defin)/i.test(byId.get(passage.leadIn)?.text ?? '')))
    return undefined;
  const joint =
    /^\s*(?::|[–—-](?=\s))\s*/.exec(passage.text.slice(strong.to)) ??
    (/:$/.test(passage.text.slice(0, strong.to)) ? [' '] : null);
  const term = passage.text.slice(strong.from, strong.to).replace(/[:\s]+$/, '');
  if (!joint || !isTerm(term) || term.split(' ').length > 4) return undefined;
  const at = strong.to + joint[0].length;
  // "**Plug**: the light is on" says how it should be, not what the word means.
  if (
    /^\s*(?:the|all|every|any|an?) (?:(?!(?:that|which|who|where|whose) )[\p{L}-]+ ){1,3}(?:is|are|was|were|has|have|had|must|should|may|can|does|do)\b/iu.test(
      passage.text.slice(at),
    )
  )
    return undefined;
  return /^(?:an?|the|any|every|each|somebody|someone|anyone|something|anything|what|one|all|those|money|time|the)\b/i.test(
    passage.text.slice(at).trimStart(),
  )
    ? entry(passage, term, at)
    : undefined;
}

/**
 * The glossary entries of a source by passage. Of a list, only when most of its items are entries: "**Switch**: the
 * tool stops at once" among points to check is no definition.
 */
export function glossaryEntries(source: Source): Map<string, GlossaryEntryFound> {
  const byId = new Map(source.passages.map((passage) => [passage.id, passage]));
  const found = new Map<string, GlossaryEntryFound>();
  const lists = new Map<string, { items: number; entries: string[] }>();
  for (const passage of source.passages) {
    const entry = glossaryEntry(passage, byId);
    if (entry) found.set(passage.id, entry);
    const list = passage.kind === 'item' && passage.list && !passage.list.continued ? passage.list.id : undefined;
    if (list === undefined) continue;
    const count = lists.get(list) ?? { items: 0, entries: [] };
    lists.set(list, { items: count.items + 1, entries: entry ? [...count.entries, passage.id] : count.entries });
  }
  for (const { items, entries } of lists.values())
    if (entries.length < items * 0.6) for (const id of entries) found.delete(id);
  return found;
}

function entry(passage: Passage, term: string, from: number): GlossaryEntryFound | undefined {
  const start = from + /^\s*/.exec(passage.text.slice(from))![0].length;
  const meaning = passage.text.slice(start);
  const first = /^.*?[.!?](?=\s|$)/s.exec(meaning)?.[0] ?? meaning;
  if (first.split(/\s+/).length < 4) return undefined;
  return {
    term,
    meaning: first.replace(/[.!?]$/, ''),
    range: { id: passage.id, from: start, to: start + first.length },
  };
}

/** Words, not the number of a section or version. */
function isTerm(text: string): boolean {
  return (
    !/^[\d.,-]+[a-z]?$/.test(text) &&
    TERM.test(text) &&
    text.split(' ').length <= 5 &&
    !/\b(?:must|should|is|are)\b|\bsection \d/i.test(text)
  );
}
