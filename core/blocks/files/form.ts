import { ID_PATTERN } from '../../document/id';
import { fileRef, sortOf, type FileRef } from '../../document/media';
import { always, list, object, string } from '../../document/shape';
import type { BlockForm } from '../form';

/** Files to be read on the page or taken along. */
export interface FilesBody {
  files: CourseFile[];
}

export interface CourseFile {
  id: string;
  file: FileRef;
  /** What it is for. */
  text: string;
  /** Its pages are shown on the page. */
  shown?: true;
  /** It is shown and not given away. */
  kept?: true;
}

/** Whether a file's pages can be shown by a browser. */
export const canBeShown = ({ file }: Pick<CourseFile, 'file'>): boolean => sortOf(file) === 'pages';

const MINUTES_READ = 1;

export const files: BlockForm<FilesBody> = {
  body: object({
    files: list(
      object(
        { id: string({ pattern: ID_PATTERN }), file: fileRef, text: string({ max: 1000 }) },
        { shown: always, kept: always },
      ),
    ),
  }),
  problems: ({ files: given }) =>
    given.some((each) => (each.shown && !canBeShown(each)) || (each.kept && !each.shown)) ? ['file-not-shown'] : [],
  blank: ({ files: given }) => given.length === 0,
  texts: () => [],
  mapTexts: (body) => body,
  plain: ({ files: given }) => given.map((each) => each.text),
  mapPlain: (body, change) => ({ files: body.files.map((each) => ({ ...each, text: change(each.text) })) }),
  text: ({ files: given }) =>
    given.map(({ file, text }) => [file.name, text].filter(Boolean).join(': ')).join('\n') || '\u2013',
  study: { entries: ({ files: given }) => given.filter((each) => each.shown).length, most: 10, minutes: MINUTES_READ },
  evidence: 'none',
};
