import { fail } from '../../document/problem';
import type { ReadBlock, ReadDocument } from '../../source/blocks';
import { folded } from '../../source/inline';
import { decodeText } from '../text/decode';

interface Cue {
  start: number;
  end: number;
  speaker: string;
  text: string;
}

/** Who speaks, before what is said. */
const LABEL = /^(?:>>\s*|-\s+)?([\p{Lu}][\p{L}.'’-]*(?: [\p{Lu}][\p{L}.'’-]*){0,2}):\s+(.+)$/u;
const TIMING = /^\s*((?:\d+:)?\d{1,2}:\d{2}[.,]\d{1,3})\s+-->\s+((?:\d+:)?\d{1,2}:\d{2}[.,]\d{1,3})/;

/** A line of a transcript that begins with its time: "[1:05] So …", "00:01:05 - So …". */
const STAMP = /^\s*[[(]?((?:\d+:)?\d{1,2}:\d{2}(?:[.,]\d{1,3})?)[\])]?(?:\s*[-\u2013:]\s+|\s+|$)(.*)$/;
/** Fewer stamps than this are times that a text happens to begin with. */
const FEWEST_STAMPS = 3;
/** What is said between two stamps takes this long at most, in seconds: the rest is pause. */
const SPOKEN_AT_MOST = 12;

/** A pause this long (seconds) ends a paragraph; a shorter one does once a sentence has ended and enough was said. */
const PAUSE = 2.5;
const LONG_PAUSE = 4;
/**
 * Of the pauses behind sentences the longest part paragraphs, one in so many words; none is shorter than so many
 * seconds, nor than so many times the usual gap.
 */
const TELLING = { words: 40, least: 0.6, times: 3 };
/** A talk that its pauses cut into paragraphs of so many words on the mean needs no other cuts. */
const PAUSED_WORDS = 130;
const ENOUGH_WORDS = 70;
/** After so many words a speaker who begins a sentence like this turns to something else. */
const TURN_WORDS = 45;
const TURNS =
  /^(?:okay|ok|right|now|so|next|anyway|well then|also|gut|also|nun|so,|jetzt|alors|bon|maintenant|ensuite|bueno|ahora|entonces|bien)\b[,.]?/i;
/** Speech without punctuation is cut here, at the next pause between cues. */
const TOO_MANY_WORDS = 120;

/**
 * Reads WebVTT, SRT, or text whose lines begin with times: cues become utterances of whole sentences, a paragraph each,
 * by pauses, punctuation and speaker. Settings, styles, notes and markup are dropped. Throws `no-cues`.
 */
export function readTimed(bytes: Uint8Array): ReadDocument {
  const { text, notices } = decodeText(bytes);
  const timed = readCues(text);
  const cues = timed.length > 0 ? timed : readStamps(text);
  if (cues.length === 0) fail('no-cues');
  const backwards = cues.some((cue, index) => index > 0 && cue.start < cues[index - 1].start);
  cues.sort((a, b) => a.start - b.start || a.end - b.end);
  const title = /^WEBVTT[ \t-]+(\S.*)$/m.exec(text.slice(0, 400))?.[1];
  return {
    ...(title && { title: folded(title) }),
    blocks: paragraphs(cues),
    media: new Map(),
    notices: backwards ? [...notices, { code: 'times-out-of-order' }] : notices,
  };
}

function readCues(text: string): Cue[] {
  const cues: Cue[] = [];
  let speaker = '';
  for (const group of text.split(/\n[ \t]*\n/)) {
    const lines = group.split('\n');
    const at = lines.findIndex((line) => TIMING.test(line));
    if (at < 0 || at > 1) continue;
    const timing = TIMING.exec(lines[at])!;
    const raw = lines.slice(at + 1).join(' ');
    const named = /<v(?:\.[^\s>]*)?\s+([^>]+)>/.exec(raw)?.[1];
    if (named) speaker = folded(named);
    let spoken = folded(entities(raw.replace(/<[^<>]*>/g, '').replace(/\{\\[^}]*\}/g, '')));
    const label = LABEL.exec(spoken);
    if (label) {
      speaker = label[1];
      spoken = label[2];
    }
    spoken = spoken.replace(/^(?:>>|-)\s+/, '');
    if (spoken) cues.push({ start: seconds(timing[1]), end: seconds(timing[2]), speaker, text: spoken });
  }
  return cues;
}

/** Whether a text is a transcript with its times at the beginning of lines. */
export function isStamped(text: string): boolean {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  const stamped = lines.filter((line) => STAMP.test(line)).length;
  return stamped >= FEWEST_STAMPS && STAMP.test(lines[0]) && stamped >= lines.length * 0.25;
}

/** Cues of a text whose lines begin with times; lines without one go on with what was said. */
function readStamps(text: string): Cue[] {
  if (!isStamped(text)) return [];
  const cues: Cue[] = [];
  for (const line of text.split('\n')) {
    const stamp = STAMP.exec(line);
    if (stamp) cues.push({ start: seconds(stamp[1]), end: 0, speaker: '', text: stamp[2] });
    else if (cues.length > 0) cues[cues.length - 1].text += ` ${line}`;
  }
  let speaker = '';
  return cues
    .map((cue, at) => {
      const label = LABEL.exec(folded(cue.text));
      speaker = label?.[1] ?? speaker;
      const end = Math.max(
        cue.start,
        Math.min(cue.start + SPOKEN_AT_MOST, cues[at + 1]?.start ?? cue.start + SPOKEN_AT_MOST),
      );
      return { ...cue, end, speaker, text: label?.[2] ?? folded(cue.text) };
    })
    .filter((cue) => cue.text !== '');
}

const ENDED = /[.!?…。！？؟]["'”’)]*$/;

/**
 * How long a pause behind a sentence has to be, in this talk, to end a paragraph; `clear`: its pauses alone cut it
 * well.
 */
function tellingPause(cues: readonly Cue[]): { pause: number; clear: boolean } {
  const gaps = cues.slice(1).map((cue, at) => ({ gap: cue.start - cues[at].end, ended: ENDED.test(cues[at].text) }));
  const words = cues.reduce((sum, cue) => sum + cue.text.split(' ').length, 0);
  const usual = gaps.map(({ gap }) => gap).sort((a, b) => a - b)[Math.floor(gaps.length / 2)] ?? 0;
  const ranked = gaps
    .filter(({ ended }) => ended)
    .map(({ gap }) => gap)
    .sort((a, b) => b - a);
  // One more than may part paragraphs is none itself, and so are all that are no longer than it.
  const next = ranked[Math.floor(words / TELLING.words)] ?? 0;
  const least = Math.max(TELLING.least, usual * TELLING.times);
  const found = ranked.filter((gap) => gap >= least && gap > next + 0.05);
  const pause = Math.min(PAUSE, found.at(-1) ?? PAUSE);
  return { pause, clear: words / (found.length + 1) <= PAUSED_WORDS };
}

function paragraphs(cues: readonly Cue[]): ReadBlock[] {
  const blocks: ReadBlock[] = [];
  const telling = tellingPause(cues);
  const enough = telling.clear ? TOO_MANY_WORDS * 1.5 : ENOUGH_WORDS;
  let open: Cue[] = [];
  const close = () => {
    const said = folded(open.map((cue) => cue.text).join(' '));
    if (said)
      blocks.push({
        kind: 'utterance',
        text: said,
        seconds: open[0].start,
        ...(open[0].speaker && { speaker: open[0].speaker }),
      });
    open = [];
  };
  for (const cue of cues) {
    const last = open[open.length - 1];
    if (last) {
      const pause = cue.start - last.end;
      const words = open.reduce((sum, part) => sum + part.text.split(' ').length, 0);
      const ended = ENDED.test(last.text);
      if (
        last.speaker !== cue.speaker ||
        pause >= LONG_PAUSE ||
        (ended &&
          (pause >= telling.pause ||
            words >= enough ||
            (!telling.clear && words >= TURN_WORDS && TURNS.test(cue.text)))) ||
        (words >= TOO_MANY_WORDS && pause > 0.3 && !telling.clear) ||
        words >= 2 * TOO_MANY_WORDS
      )
        close();
    }
    open.push(cue);
  }
  if (open.length > 0) close();
  return blocks;
}

function seconds(time: string): number {
  return time
    .replace(',', '.')
    .split(':')
    .reduce((sum, part) => sum * 60 + Number(part), 0);
}

function entities(text: string): string {
  return text.replace(
    /&(amp|lt|gt|nbsp|lrm|rlm|quot);/g,
    (_, name: string) => ({ amp: '&', lt: '<', gt: '>', nbsp: ' ', lrm: '', rlm: '', quot: '"' })[name] ?? '',
  );
}
