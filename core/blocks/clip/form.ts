import { clipRef, pictureRef, sortOf, type ClipRef, type PictureRef } from '../../document/media';
import { always, list, number, object, string } from '../../document/shape';
import type { BlockForm } from '../form';
import type { Cue } from './cues';

/** A sound or a film, or a part of one, with what is said in it. */
export interface ClipBody {
  /** Absent until one is given. */
  clip?: ClipRef;
  title: string;
  /** What a film shows before it is started. */
  poster?: PictureRef;
  caption: string;
  /** The part that is played, in seconds from its beginning; whole where nothing is said. */
  from?: number;
  to?: number;
  /** What is said, in order, for who cannot hear it: seconds of the whole clip, whatever part is played. */
  cues: Cue[];
  /** Nothing is said in it that needs to be read. */
  wordless?: true;
}

const seconds = number({ min: 0, max: 360_000 });
/** An hour of one clip is an hour of study, and no more. */
const MOST_SECONDS = 3600;

/** Seconds from where to where a clip is played. */
export function playedPart({ clip, from = 0, to }: Pick<ClipBody, 'clip' | 'from' | 'to'>): {
  from: number;
  to: number;
} {
  const whole = clip?.seconds ?? 0;
  return { from: Math.min(from, whole), to: Math.min(to ?? whole, whole) };
}

/** Whether a clip is a film: there is something to see. */
export const isFilm = ({ clip }: Pick<ClipBody, 'clip'>): boolean => clip !== undefined && sortOf(clip) === 'film';

export const clip: BlockForm<ClipBody> = {
  body: object(
    { title: string({ max: 300 }), caption: string({ max: 1000 }), cues: list(cueShape()) },
    { clip: clipRef, poster: pictureRef, from: seconds, to: seconds, wordless: always },
  ),
  problems: ({ clip: file, from = 0, to, cues }) => [
    ...(file && (from >= (to ?? Infinity) || (to === undefined && from > 0 && from >= file.seconds))
      ? ['clip-part' as const]
      : []),
    ...(cues.some((cue, at) => cue.to <= cue.from || (at > 0 && cue.from < cues[at - 1].from))
      ? ['clip-cues' as const]
      : []),
  ],
  blank: (body) => body.clip === undefined,
  texts: () => [],
  mapTexts: (body) => body,
  plain: ({ title, caption, cues }) => [title, caption, ...cues.map((cue) => cue.text)],
  mapPlain: (body, change) => ({
    ...body,
    title: change(body.title),
    caption: change(body.caption),
    cues: body.cues.map((cue) => ({ ...cue, text: change(cue.text) })),
  }),
  text: ({ title, caption, cues }) =>
    [title, caption, cues.map((cue) => cue.text).join(' ')].filter(Boolean).join('\n') || '\u2013',
  study: {
    entries: (body) => {
      const { from, to } = playedPart(body);
      return Math.ceil(to - from);
    },
    most: MOST_SECONDS,
    minutes: 1 / 60,
  },
  evidence: 'none',
};

function cueShape() {
  return object({ from: seconds, to: seconds, text: string({ min: 1, max: 1000 }) });
}
