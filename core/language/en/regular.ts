/** Irregular forms of verbs by their base, for comparing what two sentences say. */
const BASES = `
be: been was were; begin: began begun; bear: bore borne; break: broke broken; bring: brought; build: built; burn: burnt; buy: bought; catch: caught; choose: chose chosen;
come: came; deal: dealt; do: did done; draw: drew drawn; drive: drove driven; eat: ate eaten; fall: fell fallen; feed: fed; fight: fought; find: found; flee: fled; fly: flew flown;
forbid: forbade forbidden; forget: forgot forgotten; freeze: froze frozen; get: got gotten; give: gave given; go: went gone; grow: grew grown; hang: hung; have: had; hear: heard;
hide: hid hidden; hold: held; keep: kept; know: knew known; lay: laid; lead: led; leave: left; lend: lent; lie: lain; light: lit; lose: lost; make: made; mean: meant; meet: met;
pay: paid; ride: rode ridden; ring: rang rung; rise: rose risen; run: ran; say: said; see: saw seen; seek: sought; sell: sold; send: sent; shake: shook shaken; show: shown; shut: shut;
sink: sank sunk; sit: sat; sleep: slept; speak: spoke spoken; spend: spent; stand: stood; steal: stole stolen; stick: stuck; sweep: swept; swim: swam swum; take: took taken; teach: taught;
tear: tore torn; tell: told; think: thought; throw: threw thrown; wake: woke woken; wear: wore worn; wind: wound; write: wrote written`;

const BASE = new Map(
  BASES.split(';').flatMap((entry) => {
    const [base, forms] = entry.trim().split(': ');
    return forms.split(' ').map((form) => [form, base] as const);
  }),
);

/** Whether a word is the past of an irregular verb ("told", "took"). */
export const isIrregularPast = (word: string): boolean => BASE.has(word.toLowerCase());

/** Words for how often or how long, as a number and what it counts. */
const COUNTS: readonly [RegExp, string][] = [
  [/\btwice\b/gi, 'two times'],
  [/\b(?:daily|(?:every|each) day)\b/gi, 'every 1 day'],
  [/\b(?:weekly|(?:every|each) week)\b/gi, 'every 1 week'],
  [/\b(?:monthly|(?:every|each) month)\b/gi, 'every 1 month'],
  [/\b(?:yearly|annually|(?:every|each) year)\b/gi, 'every 1 year'],
  [/\b(?:hourly|every hour)\b/gi, 'every 1 hour'],
  [/\bhalf an hour\b/gi, '30 minutes'],
  [/\ba quarter of an hour\b/gi, '15 minutes'],
  [/\bfortnight\b/gi, '2 weeks'],
  [/\b(?:within|after|before|for|of|up to|than) an? (hour|day|week|month|year)\b/gi, 'within 1 $1'],
];

/**
 * A text in which irregular verbs stand as their base, and "twice", "weekly" and the like as numbers. For comparing,
 * not for showing.
 */
export function regular(text: string): string {
  const counted = COUNTS.reduce((rest, [pattern, words]) => rest.replace(pattern, words), text);
  return counted.replace(/\p{L}+/gu, (word) => BASE.get(word.toLowerCase()) ?? word);
}
