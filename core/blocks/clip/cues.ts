/** Words that are said from one second to another. */
export interface Cue {
  from: number;
  to: number;
  text: string;
}

const TIME = String.raw`(?:(\d{1,3}):)?(\d{1,2}):(\d{2})(?:[.,](\d{1,3}))?`;
const LINE = new RegExp(String.raw`^\s*${TIME}\s*-->\s*${TIME}`);

/**
 * Captions out of a file of WebVTT (W3C, 2019) or SubRip, whichever it is: times and words, in order of time. Numbers,
 * names, notes, styles and places on the screen are left out. An empty list where there is nothing of that form.
 */
export function readCues(text: string): Cue[] {
  const cues: Cue[] = [];
  for (const part of text.replace(/\r\n?/g, '\n').split(/\n{2,}/)) {
    const lines = part.split('\n');
    const at = lines.findIndex((line) => LINE.test(line));
    if (at < 0) continue;
    const found = LINE.exec(lines[at])!;
    const [from, to] = [secondsOf(found.slice(1, 5)), secondsOf(found.slice(5, 9))];
    const words = lines
      .slice(at + 1)
      .map((line) => line.replace(/<[^>]*>/g, '').trim())
      .filter(Boolean)
      .join(' ');
    if (words && to > from) cues.push({ from, to, text: unescaped(words).slice(0, 1000) });
  }
  return cues.sort((a, b) => a.from - b.from);
}

function secondsOf([hours = '0', minutes, seconds, part = '']: (string | undefined)[]): number {
  return Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds) + Number(`0.${part || '0'}`);
}

const unescaped = (words: string) =>
  words.replace(/&(amp|lt|gt|nbsp|lrm|rlm);/g, (_, name: string) => NAMED[name] ?? '');
const NAMED: Record<string, string> = { amp: '&', lt: '<', gt: '>', nbsp: ' ' };

/** Captions as a file of WebVTT. */
export function writeCues(cues: readonly Cue[]): string {
  const escaped = (words: string) => words.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/-->/g, '--&gt;');
  return ['WEBVTT', ...cues.map(({ from, to, text }) => `${clock(from)} --> ${clock(to)}\n${escaped(text)}`), ''].join(
    '\n\n',
  );
}

/** A time as WebVTT writes it. */
function clock(seconds: number): string {
  const whole = Math.round(seconds * 1000);
  const two = (value: number) => String(value).padStart(2, '0');
  const parts = [Math.floor(whole / 3_600_000), Math.floor(whole / 60_000) % 60, Math.floor(whole / 1000) % 60];
  return `${parts.map(two).join(':')}.${String(whole % 1000).padStart(3, '0')}`;
}

/** A time as people read it: 4:07, 1:04:07. */
export function timeOf(seconds: number): string {
  const whole = Math.floor(seconds);
  const hours = Math.floor(whole / 3600);
  const two = (value: number) => String(value).padStart(2, '0');
  const rest = Math.floor(whole / 60) % 60;
  return hours > 0 ? `${hours}:${two(rest)}:${two(whole % 60)}` : `${rest}:${two(whole % 60)}`;
}

/** Seconds of a time as people type it: 90, 1:30, 1:04:07.5; undefined for anything else. */
export function secondsTyped(words: string): number | undefined {
  const found = /^\s*(?:(?:(\d{1,3}):)?(\d{1,2}):)?(\d{1,6}(?:[.,]\d{1,3})?)\s*$/.exec(words);
  if (!found) return undefined;
  const [, hours = '0', minutes = '0', seconds] = found;
  return Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds.replace(',', '.'));
}
