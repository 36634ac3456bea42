/** A word list: for each word its commonness (Zipf scale times ten, 0 unknown) and what it can be. */
export type Lexicon = Record<string, [number, number]>;

const NOUN = 1;
const VERB = 2;
const ADJECTIVE = 4;
const PERSON = 16;
const MOSTLY_VERB = 64;

/** Questions to the word list. All words in lower case. */
export interface WordList {
  commonness(word: string): number | undefined;
  isVerb(word: string): boolean;
  isMostlyVerb(word: string): boolean;
  isNoun(word: string): boolean;
  isAdjective(word: string): boolean;
  /** A person or a group of persons, in the singular or plural. */
  isPerson(word: string): boolean;
}

/** English words that name no person though the list's first sense does, or the other way round. */
const NOT_PERSONS = new Set(['plant', 'drive', 'daemon', 'demon', 'host', 'master', 'slave', 'child', 'parent', 'browser', 'killer', 'reader', 'editor', 'handler', 'agent', 'maker', 'worker', 'peer', 'native', 'original', 'individual', 'signature', 'set', 'class', 'package', 'system', 'line', 'body', 'form', 'world', 'range', 'block', 'list', 'mail', 'number', 'domain', 'branch', 'data', 'pair', 'array', 'subject', 'sequence', 'party', 'series', 'collection', 'repository', 'library', 'lot', 'file', 'chain', 'house', 'pack', 'suite', 'string', 'address', 'box', 'order', 'batch', 'bank', 'stock', 'market', 'court', 'settlement', 'civil', 'double', 'model', 'figure', 'image', 'head', 'hand', 'face', 'bit', 'case', 'key', 'star', 'king', 'grid', 'network', 'version', 'kernel', 'shell', 'root', 'name', 'type', 'guide', 'mount', 'compiler', 'loader', 'linker', 'wrapper', 'container', 'bottom', 'generator', 'server', 'client', 'runner', 'converter', 'precursor', 'successor', 'predecessor', 'regular', 'minor', 'principal', 'fix', 'distribution', 'hierarchy', 'target', 'fleet', 'crop', 'bunch', 'cluster', 'edition', 'combination', 'selection', 'generation', 'table', 'union', 'field', 'machine', 'arrangement']);
const PERSONS = new Set(['you', 'we', 'everyone', 'everybody', 'anyone', 'anybody', 'nobody', 'somebody', 'someone', 'people', 'staff', 'approver', 'claimant', 'applicant', 'trainee', 'colleague', 'finance', 'reception', 'administrator', 'maintainer', 'developer', 'user', 'uploader', 'personnel', 'borrower', 'lender', 'lead', 'deputy', 'caller', 'payer', 'learner', 'company', 'contractor', 'supervisor', 'office', 'department', 'carrier', 'insurer', 'supplier', 'police', 'women', 'men', 'children', 'persons', 'crew', 'reviewer', 'submitter', 'sponsor', 'vendor', 'packager', 'volunteer', 'coordinator']);

/** The questions over a word list. */
export function wordList(lexicon: Lexicon): WordList {
  const flags = (word: string) => (Object.hasOwn(lexicon, word) ? lexicon[word][1] : 0);
  const singulars = (word: string) => [word, ...(word.endsWith('ies') ? [`${word.slice(0, -3)}y`] : []), ...(word.endsWith('es') ? [word.slice(0, -2)] : []), ...(word.endsWith('s') ? [word.slice(0, -1)] : [])];
  return {
    commonness: (word) => (Object.hasOwn(lexicon, word) && lexicon[word][0] > 0 ? lexicon[word][0] / 10 : undefined),
    isVerb: (word) => (flags(word) & VERB) !== 0,
    isMostlyVerb: (word) => (flags(word) & MOSTLY_VERB) !== 0,
    isNoun: (word) => (flags(word) & NOUN) !== 0,
    isAdjective: (word) => (flags(word) & ADJECTIVE) !== 0,
    isPerson: (word) => singulars(word).some((each) => PERSONS.has(each)) || singulars(word).some((each) => !NOT_PERSONS.has(each) && (flags(each) & PERSON) !== 0),
  };
}
