import type { Knowledge, Sentence } from '../knowledge';
import { isOverlong } from '../knowledge/sentences';
import { boilerplateKind, isUnfinished } from '../language/boilerplate';
import { speaksOfEmergency } from '../language/emergency';
import { noiseIn, type Noise } from '../language/noise';
import { isCaptionLabel } from '../source/captions';
import { folded } from '../source/inline';
import { allSections, type Passage, type Section } from '../source/source';
import { instructs } from './facets';
import type { Unit } from './unit';
import { anyOf } from '../language/phrases';

/** Tells what a unit of a section is, if it is noise. */
type SectionJudge = (unit: Pick<Unit, 'claimIds' | 'passages'>) => Noise | undefined;

/** What of a source teaches nothing: by section, a judge of its units; by sentence ("passage/index"), its kind. */
export interface SourceNoise {
  sections: ReadonlyMap<string, SectionJudge>;
  sentences: ReadonlyMap<string, Noise>;
}

/**
 * A document's edge: this share of its passages at its beginning, half as many at its end, within these bounds; a short
 * document is no edge as a whole.
 */
const EDGE = { share: 0.12, least: 2, most: 8 };
/**
 * What so large a share of a source's sentences, or of its words under headings, would be noise by one name, it is
 * about: then it is none.
 */
const MATTER = { sentences: 0.25, words: 0.5 };
/**
 * Under a heading of these kinds whatever stands there is of that kind; under the others what instructs is matter all
 * the same.
 */
const WHOLLY: ReadonlySet<Noise> = new Set(['contents', 'index', 'history', 'references', 'legal', 'unfinished']);
const LICENCE_WORDS = anyOf`
  licen[cs]e[sd]? | copyright\w* | warrant\w+ | liab\w+ | redistribut\w+ | derivative | modified version
  trademarks? | lizenz\w* | urheber\w* | gewährleistung | haftung | licencia | droits d['’]auteur | garantie
  the document
`;
/** Words of licences: a part under a legal heading is one itself when this share of its sentences has them. */
const LICENCE = new RegExp(String.raw`\b${LICENCE_WORDS}\b|©`, 'i');
const LICENCE_SHARE = 0.25;
/** With fewer sentences than this a share says nothing. */
const ENOUGH = 20;
/** A reply to the hall has so many words at most. */
const REPLY = 5;
/** A text with more than this share of sentences in the first person is told by somebody. */
const VOICE = 0.06;

/** Finds the noise of a source. What the author put in focus is none. */
export function noiseOfSource(knowledge: Knowledge): SourceNoise {
  const sections = new Map<string, SectionJudge>();
  const kinds = new Map<string, Noise>();
  const claims = new Map(knowledge.claims.map((claim) => [claim.id, claim]));
  const focused = (id: string) => knowledge.focus?.has(id) ?? false;
  const visit = (section: Section, above: Noise | undefined, isRoot: boolean): void => {
    const titled = isRoot ? undefined : boilerplateKind(section.title);
    // A heading speaks for its own text only: what stands below it is judged by its own title and words.
    const kind =
      titled ??
      (above === 'legal' && isLicence(section, knowledge)
        ? 'legal'
        : above === 'history' && /^(?:version\s|v)?\d+(?:[.\d-]*)\b/i.test(section.title)
          ? 'history'
          : undefined);
    const own = kind === 'legal' && !isLicence({ ...section, sections: [] }, knowledge) ? undefined : kind;
    if (own) {
      kinds.set(section.id, own);
      sections.set(section.id, (unit) => {
        if (unit.passages.some(focused)) return undefined;
        return WHOLLY.has(own) || !unit.claimIds.some((id) => instructs(claims.get(id)!)) ? own : undefined;
      });
    }
    for (const child of section.sections) visit(child, own ?? kind, false);
  };
  visit(knowledge.source.root, undefined, true);
  // A course on what is new in a product is made of release notes.
  const words = (test: (section: Section) => boolean) =>
    allSections(knowledge.source.root)
      .filter(test)
      .reduce(
        (sum, section) =>
          sum +
          section.passages.reduce(
            (own, id) =>
              own + (knowledge.sentences.get(id) ?? []).reduce((count, sentence) => count + sentence.words, 0),
            0,
          ),
        0,
      );
  const all = words(() => true);
  for (const noise of new Set(kinds.values())) {
    if (noise === 'legal' || words((section) => kinds.get(section.id) === noise) <= all * MATTER.words) continue;
    for (const [id, kind] of kinds) if (kind === noise) sections.delete(id);
  }
  return { sections, sentences: noisySentences(knowledge) };
}

/** Says whose a document is. */
const OWNER = /^copyright\b.{0,12}\d{4}|^©|^\(c\)\s*\d{4}/i;
/** Words of what says how a document may be copied; a single one of them says nothing ("the licence of the driver"). */
const COPYING =
  /\b(?:licen[cs]e[sd]?|copyright\w*|cop(?:y|ies|ying)|royalt\w+|redistribut\w+|distribut\w+|permitted|permission|modif\w+|warrant\w+|liab\w+|gnu|foundation)\b|©/gi;
const speaksOfCopying = (text: string): boolean => new Set(text.toLowerCase().match(COPYING)).size >= 2;

function isLicence(section: Section, { sentences }: Knowledge): boolean {
  const all = allSections(section).flatMap((each) => each.passages.flatMap((id) => sentences.get(id) ?? []));
  // Names of those whose it is say nothing for or against.
  const said = all.filter(({ facts }) => facts?.leaning !== 'not-a-sentence' && facts?.leaning !== 'too-short');
  return all.length > 0 && all.filter(({ text }) => LICENCE.test(text)).length >= said.length * LICENCE_SHARE;
}

/** Sentences that are nothing but noise, each by its kind. */
function noisySentences(knowledge: Knowledge): Map<string, Noise> {
  const { source, pack, sentences } = knowledge;
  const found = new Map<string, Noise>();
  const contents = contentsPassages(knowledge);
  const opening = openingPassages(source);
  // The name of a picture says nothing where the picture is not shown.
  const pictured = new Set(source.pictures.map((picture) => picture.caption));
  const captions = new Set(
    source.passages
      .filter(
        (passage, at) =>
          passage.kind === 'caption' &&
          (pictured.has(passage.id) || (!source.passages[at - 1]?.table && !source.passages[at + 1]?.table)),
      )
      .map((passage) => passage.id),
  );
  const voice = isTold(knowledge);
  // Contents take no room at the edge.
  const body = source.passages.filter((passage) => !contents.has(passage.id));
  const first = Math.min(EDGE.most, Math.max(EDGE.least, Math.ceil(body.length * EDGE.share)));
  const places = new Map(body.map((passage, at) => [passage.id, at]));
  let owned = false;
  for (const passage of source.passages) {
    // What follows the line that says whose it is says how it may be copied, as long as it does.
    owned = OWNER.test(passage.text) || (owned && speaksOfCopying(passage.text));
    if (knowledge.focus?.has(passage.id)) continue;
    const at = places.get(passage.id) ?? 0;
    const edge = at < first || at >= body.length - first / 2;
    const own = sentences.get(passage.id) ?? [];
    const dismissed =
      voice || isSpoken(passage) ? own.findLastIndex((sentence) => pack.dismisses?.(sentence.text)) : -1;
    for (const sentence of own) {
      if (isOverlong(sentence.text)) continue;
      const noise = contents.has(passage.id)
        ? 'contents'
        : owned
          ? 'legal'
          : captions.has(passage.id) &&
              own.every((each) => isCaptionLabel(each.text) || isBare(each, passage)) &&
              !own.some((each) => carries(each, passage, knowledge))
            ? 'pointer'
            : isUnfinished(sentence.text)
              ? 'unfinished'
              : sentence.index < dismissed && !carries(sentence, passage, knowledge)
                ? 'stage'
                : pack.noise &&
                  noiseIn(pack.noise, sentence.text, carries(sentence, passage, knowledge), {
                    spoken: isSpoken(passage),
                    voice: voice || isSpoken(passage),
                    edge,
                    opening: opening.has(passage.id),
                    bare: isBare(sentence, passage),
                    step: passage.list?.ordered === true,
                  });
      if (noise) found.set(`${passage.id}/${sentence.index}`, noise);
    }
  }
  // "Next slide please. No, the other one.": what a few words answer to the hall is said to it, too.
  let before: Noise | undefined;
  for (const passage of source.passages.filter(isSpoken)) {
    for (const sentence of sentences.get(passage.id) ?? []) {
      const key = `${passage.id}/${sentence.index}`;
      if (
        before &&
        !found.has(key) &&
        sentence.words <= REPLY &&
        (!sentence.tags.some((word) => word.tag === 'VERB' || word.tag === 'AUX') || /[?？]$/.test(sentence.text)) &&
        !carries(sentence, passage, knowledge) &&
        !pack.spokenHeading?.(sentence.text)
      )
        found.set(key, 'stage');
      before = found.get(key);
    }
  }
  return withoutMatter(
    found,
    [...sentences.values()].reduce((sum, own) => sum + own.length, 0),
  );
}

/** A talk on cameras speaks of cameras: what is much of a source by one name is what it is about. */
function withoutMatter(found: Map<string, Noise>, sentences: number): Map<string, Noise> {
  const counts = new Map<Noise, number>();
  for (const noise of found.values()) counts.set(noise, (counts.get(noise) ?? 0) + 1);
  const matter = (noise: Noise) =>
    noise !== 'contents' && sentences >= ENOUGH && counts.get(noise)! > sentences * MATTER.sentences;
  return new Map([...found].filter(([, noise]) => !matter(noise)));
}

/** Whether a text is told by somebody who says "I": a talk, an interview, a post. */
export function isTold({ sentences }: Pick<Knowledge, 'sentences'>): boolean {
  const all = [...sentences.values()].flat();
  return all.filter((sentence) => sentence.facts?.firstPerson).length > all.length * VOICE;
}

/**
 * A heading with nothing under it but one heading is the document's own title, and so is a first one (of a slide) that
 * says the same.
 */
function openingPassages({ root, title }: Knowledge['source']): Set<string> {
  const found = new Set(root.passages);
  const [first] = root.sections;
  if (first && folded(first.title).toLowerCase() === folded(title).toLowerCase())
    for (const id of first.passages) found.add(id);
  for (let section = root; section.sections.length === 1 && section.sections[0].sections.length > 0;) {
    [section] = section.sections;
    for (const id of section.passages) found.add(id);
  }
  return root.sections.length > 0 ? found : new Set();
}

const isBare = ({ facts }: Sentence, { kind }: Passage): boolean =>
  (kind === 'paragraph' || kind === 'point' || kind === 'caption') &&
  facts !== undefined &&
  !facts.imperative &&
  (facts.leaning === 'not-a-sentence' || facts.leaning === 'too-short');

/** What is said to a hall. */
export const isSpoken = ({ kind, locator }: Passage): boolean =>
  kind === 'utterance' || (kind === 'note' && locator.slide !== undefined);

/**
 * Whether a sentence carries what must not be lost for the words it is put in. In speech a bare order ("Let me see") is
 * none yet.
 */
function carries({ facts, text }: Sentence, passage: Passage, { pack }: Knowledge): boolean {
  if (speaksOfEmergency(text) || pack.opensException?.(text)) return true;
  if (!facts) return false;
  const { rule } = facts;
  return (
    Boolean(facts.definition?.proper) ||
    facts.warning ||
    facts.limits ||
    (facts.reason && isSpoken(passage)) ||
    (rule !== undefined &&
      (!isSpoken(passage) || rule.modal !== undefined || rule.negative || rule.condition !== undefined))
  );
}

/** Lists that only repeat the document's headings, with what introduces them. */
function contentsPassages({ source, passages }: Knowledge): Set<string> {
  const bare = (text: string) =>
    folded(text)
      .toLowerCase()
      .replace(/^[\d.]+\s+/, '')
      .replace(/[\s.…]+\d*$/, '');
  const titles = new Set(
    allSections(source.root)
      .slice(1)
      .map((section) => bare(section.title)),
  );
  const found = new Set<string>();
  const lists = new Map<string, Passage[]>();
  for (const passage of source.passages)
    if (passage.kind === 'item' && passage.list)
      lists.set(passage.list.id, [...(lists.get(passage.list.id) ?? []), passage]);
  // "In here: Words we use · Who is who": the same in one line.
  for (const { id, kind, text } of source.passages) {
    const named =
      kind === 'paragraph'
        ? text
            .replace(/^[^:]{1,30}:/, '')
            .split(/[·•|;]|\s[–—-]\s/)
            .map(bare)
        : [];
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
