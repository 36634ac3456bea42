import type { Brief } from '../course/course';
import { anyOf } from '../language/phrases';
import type { SaidCounts } from '../course/left-out';

/** What the sources offer an author who writes a brief. */
export interface BriefOffers {
  /** Minutes that everything they hold would take. */
  full: number;
  /** Who acts in them, those with most rules first. */
  actors: { label: string; rules: number }[];
  /**
   * What could count as success, by what the sources teach most of: the lesson that would teach it, what stands behind
   * it by kind, and the passages it begins with.
   */
  outcomes: { text: string; lesson: string; kinds: SaidCounts; first: { id: string; text: string }[] }[];
  /** What they are most about, in their own words. */
  terms: string[];
  /** What the brief makes of them as it is; absent without sources. */
  makes?: { modules: number; lessons: number; minutes: number; words: number; checks: number };
  /** Of what the brief promises, that for which they have hardly a word. */
  apart: string[];
}

/** What a brief says back to its author, field by field. */
export interface Verdict {
  field: 'promise' | 'who' | 'minutes' | 'outcomes';
  code:
    | 'promise-open'
    | 'promise-vague'
    | 'promise-long'
    | 'promise-apart'
    | 'who-open'
    | 'who-all'
    | 'time-open'
    | 'time-short'
    | 'time-fits'
    | 'time-long'
    | 'outcomes-open'
    | 'outcome-vague'
    | 'outcome-apart';
  /** Nothing is wrong: it is only told. */
  good?: boolean;
  parameters: Record<string, string | number>;
}

/** What nobody can see somebody do. */
const UNSEEN = new RegExp(
  String.raw`(?<![\p{L}])${anyOf`
    know | knows | understand\w* | learn about | be aware of | is aware of | are aware of | appreciate\w* | familiar with
    get an overview | gets an overview | gain insight\w* | be introduced to | kennen | wissen | verstehen
    einen überblick | vertraut mit | connaître | comprendre | savoir | être familier\w* | conocer | comprender
    entender | saber | familiarizarse
  `}(?![\p{L}])`,
  'iu',
);
const EVERYBODY = new RegExp(
  String.raw`^\s*${anyOf`everybody | everyone | all | anyone | anybody | all staff | all employees | alle | jeder | tous | tout le monde | todos`}\s*$`,
  'iu',
);
/** A promise of more words is several. */
const LONG = 45;
/** Of what the sources hold, asked minutes below this share keep the half, and above this leave a gap. */
const TIME = { short: 0.6, long: 1.1 };

/**
 * Looks at a brief as it is typed: whether a result is named that can be seen at work, for whom, narrow enough for its
 * minutes, and whether the sources hold it. Without `offers` it says only what the words themselves tell.
 */
export function briefVerdicts({ promise, audience, size, outcomes }: Brief, offers?: BriefOffers): Verdict[] {
  const found: Verdict[] = [];
  const say = (field: Verdict['field'], code: Verdict['code'], parameters: Verdict['parameters'] = {}, good = false) =>
    found.push({ field, code, parameters, ...(good && { good }) });
  const terms = offers?.terms.slice(0, 4).join(', ') ?? '';
  const vague = UNSEEN.exec(promise)?.[0];
  if (promise.trim() === '') say('promise', 'promise-open', { terms });
  else if (vague) say('promise', 'promise-vague', { word: vague });
  else if (promise.trim().split(/\s+/).length > LONG) say('promise', 'promise-long');
  if (promise.trim() !== '' && offers?.apart.includes(promise)) say('promise', 'promise-apart', { terms });
  if (audience.who.trim() === '')
    say('who', 'who-open', { actors: offers?.actors.map(({ label }) => label).join(', ') ?? '' });
  else if (EVERYBODY.test(audience.who)) say('who', 'who-all');
  const { minutes } = size;
  const full = Math.round(offers?.full ?? 0);
  if (full > 0) {
    if (minutes === undefined) say('minutes', 'time-open', { full }, true);
    else if (minutes < full * TIME.short)
      say('minutes', 'time-short', { minutes, full, share: Math.round((100 * minutes) / full) });
    else if (minutes > full * TIME.long)
      say('minutes', 'time-long', { minutes, full, gap: Math.round(minutes - full) });
    else say('minutes', 'time-fits', { minutes, full }, true);
  }
  if (outcomes.length === 0) say('outcomes', 'outcomes-open', { offered: offers?.outcomes.length ?? 0 });
  for (const outcome of outcomes) {
    const word = UNSEEN.exec(outcome)?.[0];
    if (word) say('outcomes', 'outcome-vague', { outcome, word });
    if (offers?.apart.includes(outcome)) say('outcomes', 'outcome-apart', { outcome });
  }
  return found;
}
