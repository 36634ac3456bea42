/** What the bytes of a file were found to be, by its usual ending; `text`: words without any signature. */
type Found = string;

/**
 * Kinds of files that can be handed in: the endings each goes by, and what the bytes of a file of that ending are found
 * to be. Whatever else a file is, it is not taken: its name alone says nothing.
 */
export const FILE_TYPES = {
  documents: { pdf: ['pdf'], docx: ['docx'], odt: ['odt'], rtf: ['rtf'], txt: ['text'], md: ['text'] },
  tables: { xlsx: ['xlsx'], ods: ['ods'], csv: ['text'] },
  slides: { pptx: ['pptx'], odp: ['odp'] },
  pictures: { png: ['png', 'apng'], jpg: ['jpg'], jpeg: ['jpg'], webp: ['webp'], gif: ['gif'], heic: ['heic'] },
  sound: { mp3: ['mp3'], m4a: ['m4a', 'mp4'], wav: ['wav'], ogg: ['ogg', 'oga', 'opus'] },
  film: { mp4: ['mp4', 'm4v'], webm: ['webm', 'mkv'], mov: ['mov', 'mp4'] },
} as const satisfies Record<string, Record<string, readonly Found[]>>;

export type FileKind = keyof typeof FILE_TYPES;
export const FILE_KINDS = Object.keys(FILE_TYPES) as FileKind[];

/** What a file that is handed in may be at most, said before one is sent, in bytes. */
export const HANDED_BYTES = 32 * 1024 * 1024;

/** The endings of some kinds, as a field for files takes them. */
export const endingsOf = (kinds: readonly FileKind[]): string[] =>
  kinds.flatMap((kind) => Object.keys(FILE_TYPES[kind]));

/** What the bytes of a file of this name are to be; undefined where it is of none of the kinds. */
export function typesOf(name: string, kinds: readonly FileKind[]): readonly Found[] | undefined {
  const ending = /\.([a-z0-9]+)$/i.exec(name)?.[1].toLowerCase() ?? '';
  for (const kind of kinds) {
    const types: Readonly<Record<string, readonly Found[]>> = FILE_TYPES[kind];
    if (Object.hasOwn(types, ending)) return types[ending];
  }
  return undefined;
}
