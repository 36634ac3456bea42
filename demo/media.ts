import { readFileSync } from 'node:fs';
import type { Block } from '../core/blocks/forms';
import { allLessons, type Course, type Medium, type ShelvedFile } from '../core/course/course';
import { layOnShelf } from '../core/course/media';
import type { Operation } from '../core/course/operations';
import { putParts } from '../core/course/parts';
import { diagramsOf } from '../core/diagrams';
import { idFrom } from '../core/document/id';
import type { ClipRef, FileRef, PictureRef } from '../core/document/media';
import { inspectFile } from '../core/media/file';
import { packFor } from '../server/language/packs';
import { WORKSHOP } from './picture';

/** Files of the demo's shelf: pictures drawn in `demo/make/pictures`, the film in `demo/make/film.html`. */
const NAMES = [
  'workshop.png',
  'ladder.png',
  'tag.png',
  'charging.png',
  'setting-up-a-ladder.webm',
  'battery-guide.pdf',
];
const SAID: Record<string, Partial<Medium>> = {
  'workshop.png': { alt: 'The front desk seen from the street', credit: 'Drawn by Tessa Brand', licence: 'CC BY 4.0' },
  'ladder.png': {
    alt: 'A ladder on a wall: four up, one out',
    credit: 'Drawn by Tessa Brand',
    licence: 'CC BY 4.0',
    credited: true,
  },
  'tag.png': { alt: 'A drill on its shelf with a blue tag at its grip' },
  'charging.png': { alt: 'The charging shelf with a red bucket of sand beside it' },
};

export interface DemoMedia {
  bytes: Map<string, Uint8Array>;
  files: Map<string, ShelvedFile>;
}

/** The demo's media, by name, looked at as if they came from somebody. */
export async function demoMedia(): Promise<DemoMedia> {
  const bytes = new Map<string, Uint8Array>();
  const files = new Map<string, ShelvedFile>();
  for (const name of NAMES) {
    const given = name === 'workshop.png' ? WORKSHOP : new Uint8Array(readFileSync(`demo/files/${name}`));
    const { facts, kept } = await inspectFile(given, name);
    bytes.set(facts.hash, kept);
    files.set(name, facts);
  }
  return { bytes, files };
}

const id = (letter: string, name: string) => idFrom(letter, 'demo', 'media', name);
const picture = ({ hash, type, width, height }: ShelvedFile) => ({ hash, type, width, height }) as PictureRef;

/** What the coordinator shows: a film, a gallery and a file where ladders are, a diagram where the desk is opened. */
export function mediaEdits(course: Course, { files }: DemoMedia): Operation[] {
  const file = (name: string) => files.get(name)!;
  let shelf = course;
  const shelved = NAMES.flatMap((name) => {
    const node: Medium = { id: id('m', name), file: file(name), name, ...SAID[name] };
    const operations = layOnShelf(shelf, node);
    shelf = { ...shelf, media: [...(shelf.media ?? []), node] };
    return operations;
  });
  const lesson = (title: string) => allLessons(course).find((each) => each.title === title);
  const ladders = lesson('Ladders and towers');
  const opening = lesson('Opening the desk');
  const [drawn] = opening ? diagramsOf(opening, packFor('en'), counted()) : [];
  return [
    ...shelved,
    ...(ladders ? putParts(ladders, partsOfLadders(file)) : []),
    ...(opening && drawn
      ? putParts(opening, [{ id: id('b', 'diagram'), kind: 'diagram', body: drawn.body, evidence: drawn.evidence }], {
          before: drawn.before,
        })
      : []),
  ];
}

function counted(): () => string {
  let count = 0;
  return () => id('d', String(count++));
}

function partsOfLadders(file: (name: string) => ShelvedFile): Block[] {
  const { hash, type, seconds = 0, width, height } = file('setting-up-a-ladder.webm');
  const guide = file('battery-guide.pdf');
  return [
    {
      id: id('b', 'film'),
      kind: 'clip',
      body: {
        clip: { hash, type, seconds, width, height } as ClipRef,
        title: 'Setting up a ladder',
        caption: 'Show it to whoever borrows one for the first time.',
        poster: picture(file('ladder.png')),
        cues: [
          { from: 0, to: 3, text: 'Stand the ladder on firm ground.' },
          { from: 3, to: 6, text: 'For every four metres up …' },
          { from: 6, to: 9, text: '… one metre out.' },
          { from: 9, to: 12, text: 'Climb with both hands free.' },
        ],
      },
    },
    {
      id: id('b', 'gallery'),
      kind: 'gallery',
      body: {
        show: 'slides',
        pictures: [
          ['ladder.png', 'Four up, one out.'],
          ['tag.png', 'A blue tag: not to be lent until somebody has looked at it.'],
          ['charging.png', 'Packs charge on the shelf, with sand at hand.'],
        ].map(([name, caption]) => ({
          id: id('p', name!),
          picture: picture(file(name!)),
          alt: SAID[name!]!.alt!,
          caption: caption!,
        })),
      },
    },
    {
      id: id('b', 'files'),
      kind: 'files',
      body: {
        files: [
          {
            id: id('f', 'guide'),
            file: { hash: guide.hash, type: guide.type, name: 'battery-guide.pdf', bytes: guide.bytes } as FileRef,
            text: 'The guide that hangs beside the charging shelf, to take home.',
            shown: true,
          },
        ],
      },
    },
  ];
}
