import type { Knowledge, Sentence } from '../knowledge';
import { boilerplateKind } from '../language/boilerplate';
import { speaksOfEmergency } from '../language/emergency';
import { noiseIn, type Noise } from '../language/noise';
import { folded } from '../source/inline';
import { allSections, type Passage, type Section } from '../source/source';
import { instructs } from './facets';
import type { Unit } from './unit';

/** What of a source teaches nothing: by section, a judge of its units; by sentence ("passage/index"), its kind. */
export interface SourceNoise {
  sections: ReadonlyMap<string, (unit: Pick<Unit, 'claimIds' | 'passages'>) => Noise | undefined>;
  sentences: ReadonlyMap<string, Noise>;
}

/** How many of the first and last passages stand at a document's edge. */
const EDGE = 8;
/** Under a heading of these kinds whatever stands there is of that kind; under the others what instructs is matter all the same. */
const WHOLLY: ReadonlySet<Noise> = new Set(['contents', 'index', 'history', 'references', 'legal']);
/** Words of licences: a part under a legal heading is one itself when this share of its sentences has them. */
const LICENCE = /\b(?:licen[cs]e[sd]?|copyright\w*|warrant\w+|liab\w+|redistribut\w+|derivative|modified version|trademarks?|lizenz\w*|urheber\w*|gewährleistung|haftung|licencia|droits d['’]auteur|garantie|the document)\b|©/i;
const LICENCE_SHARE = 0.25;
/** In capitals only: "todo" is a word in other languages. */
const UNFINISHED = /(?:^|[^\p{L}])(?:FIXME|TODO|TBD)(?:[^\p{L}]|$)/u;
/** A reply to the hall has so many words at most. */
const REPLY = 5;
/** A text with more than this share of sentences in the first person is told by somebody. */
const VOICE = 0.06;

/** Finds the noise of a source. What the author put in focus is none. */
export function noiseOfSource(knowledge: Knowledge): SourceNoise {
  const sections: SourceNoise['sections'] extends ReadonlyMap<infer Key, infer Value> ? Map<Key, Value> : never = new Map();
  const claims = new Map(knowledge.claims.map((claim) => [claim.id, claim]));
  const focused = (id: string) => knowledge.focus?.has(id) ?? false;
  const visit = (section: Section, above: Noise | undefined, isRoot: boolean): void => {
    const titled = isRoot ? undefined : boilerplateKind(section.title) as Noise | undefined;
    // A heading speaks for its own text only: what stands below it is judged by its own title and words.
    const kind = titled ?? (above === 'legal' && isLicence(section, knowledge) ? 'legal' : above === 'history' && /^(?:version\s|v)?\d+(?:[.\d-]*)\b/i.test(section.title) ? 'history' : undefined);
    const own = kind === 'legal' && !isLicence({ ...section, sections: [] }, knowledge) ? undefined : kind;
    if (own) {
      sections.set(section.id, (unit) => {
        if (unit.passages.some(focused)) return undefined;
        return WHOLLY.has(own) || !unit.claimIds.some((id) => instructs(claims.get(id)!)) ? own : undefined;
      });
    }
    for (const child of section.sections) visit(child, own ?? kind, false);
  };
  visit(knowledge.source.root, undefined, true);
  return { sections, sentences: noisySentences(knowledge) };
}

function isLicence(section: Section, { sentences }: Knowledge): boolean {
  const all = allSections(section).flatMap((each) => each.passages.flatMap((id) => sentences.get(id) ?? []));
  return all.length > 0 && all.filter(({ text }) => LICENCE.test(text)).length >= all.length * LICENCE_SHARE;
}

/** Sentences that are nothing but noise, each by its kind. */
function noisySentences(knowledge: Knowledge): Map<string, Noise> {
  const { source, pack, sentences } = knowledge;
  const found = new Map<string, Noise>();
  const contents = contentsPassages(knowledge);
  const opening = openingPassages(source);
  const voice = isTold(knowledge);
  source.passages.forEach((passage, at) => {
    if (knowledge.focus?.has(passage.id)) return;
    const edge = at < EDGE || at >= source.passages.length - EDGE / 2;
    const own = sentences.get(passage.id) ?? [];
    const dismissed = voice || isSpoken(passage) ? own.findLastIndex((sentence) => pack.dismisses?.(sentence.text)) : -1;
    for (const sentence of own) {
      const noise = contents.has(passage.id) ? 'contents' : UNFINISHED.test(sentence.text) ? 'unfinished' : sentence.index < dismissed && !carries(sentence, passage, knowledge) ? 'stage' : pack.noise && noiseIn(pack.noise, sentence.text, carries(sentence, passage, knowledge), { spoken: isSpoken(passage), voice: voice || isSpoken(passage), edge, opening: opening.has(passage.id), bare: isBare(sentence, passage) });
      if (noise) found.set(`${passage.id}/${sentence.index}`, noise);
    }
  });
  // "Next slide please. No, the other one.": what a few words answer to the hall is said to it, too.
  let before: Noise | undefined;
  for (const passage of source.passages.filter(isSpoken)) {
    for (const sentence of sentences.get(passage.id) ?? []) {
      const key = `${passage.id}/${sentence.index}`;
      if (before && !found.has(key) && sentence.words <= REPLY && (!sentence.tags.some((word) => word.tag === 'VERB' || word.tag === 'AUX') || /[?？]$/.test(sentence.text)) && !carries(sentence, passage, knowledge) && !pack.spokenHeading?.(sentence.text)) found.set(key, 'stage');
      before = found.get(key);
    }
  }
  return found;
}

/** Whether a text is told by somebody who says "I": a talk, an interview, a post. */
export function isTold({ sentences }: Pick<Knowledge, 'sentences'>): boolean {
  const all = [...sentences.values()].flat();
  return all.filter((sentence) => sentence.facts?.firstPerson).length > all.length * VOICE;
}

/** A heading with nothing under it but one heading is the document's own title, and so is a first one (of a slide) that says the same. */
function openingPassages({ root, title }: Knowledge['source']): Set<string> {
  const found = new Set(root.passages);
  const [first] = root.sections;
  if (first && folded(first.title).toLowerCase() === folded(title).toLowerCase()) for (const id of first.passages) found.add(id);
  for (let section = root; section.sections.length === 1 && section.sections[0].sections.length > 0; ) {
    [section] = section.sections;
    for (const id of section.passages) found.add(id);
  }
  return root.sections.length > 0 ? found : new Set();
}

const isBare = ({ facts }: Sentence, { kind }: Passage): boolean => (kind === 'paragraph' || kind === 'point') && facts !== undefined && !facts.imperative && (facts.leaning === 'not-a-sentence' || facts.leaning === 'too-short');

/** What is said to a hall. */
export const isSpoken = ({ kind, locator }: Passage): boolean => kind === 'utterance' || (kind === 'note' && locator.slide !== undefined);

/** Whether a sentence carries what must not be lost for the words it is put in. In speech a bare order ("Let me see") is none yet. */
function carries({ facts, text }: Sentence, passage: Passage, { pack }: Knowledge): boolean {
  if (speaksOfEmergency(text) || pack.opensException?.(text)) return true;
  if (!facts) return false;
  const { rule } = facts;
  return Boolean(facts.definition?.proper) || facts.warning || facts.limits || (facts.reason && isSpoken(passage)) || (rule !== undefined && (!isSpoken(passage) || rule.modal !== undefined || rule.negative || rule.condition !== undefined));
}

/** Lists that only repeat the document's headings, with what introduces them. */
function contentsPassages({ source, passages }: Knowledge): Set<string> {
  const bare = (text: string) => folded(text).toLowerCase().replace(/^[\d.]+\s+/, '').replace(/[\s.…]+\d*$/, '');
  const titles = new Set(allSections(source.root).slice(1).map((section) => bare(section.title)));
  const found = new Set<string>();
  const lists = new Map<string, Passage[]>();
  for (const passage of source.passages) if (passage.kind === 'item' && passage.list) lists.set(passage.list.id, [...(lists.get(passage.list.id) ?? []), passage]);
  // "In here: Words we use · Who is who": the same in one line.
  for (const { id, kind, text } of source.passages) {
    const named = kind === 'paragraph' ? text.replace(/^[^:]{1,30}:/, '').split(/[·•|;]|\s[–—-]\s/).map(bare) : [];
    if (named.length >= 2 && named.filter((each) => titles.has(each)).length >= named.length * 0.6) found.add(id);
  }
  for (const items of lists.values()) {
    const repeating = items.filter((item) => titles.has(bare(item.text)));
    if (repeating.length < 2 || repeating.length < items.length * 0.5) continue;
    for (const item of items) found.add(item.id);
    const leadIn = passages.get(items[0].leadIn ?? '');
    if (leadIn && leadIn.kind === 'paragraph') found.add(leadIn.id);
  }
  return found;
}
