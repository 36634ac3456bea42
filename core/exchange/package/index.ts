import type { QuestionFormat } from '../../questions/names';
import { strToU8 } from 'fflate';
import { mediaName, mediaRefs } from '../../document/media';
import { packageKind, type PackageFormat } from '../../learning/packages';
import { writeManifest } from '../scorm/manifest';
import { writeZip } from '../../document/zip';
import { packagePage, type Released } from './page';
import type { PlayerFiles } from './player';

export type { Released } from './page';
export type { PlayerFiles } from './player';

const ABOUT = (title: string, number: number) => `${title}, release ${number}

Open index.html. Everything it needs lies in this folder; nothing is fetched from elsewhere.

This package marks answers by itself, so it carries the right answers: whoever reads its files can find them. Of the sources the
course was made from it holds only what is quoted in what is said to an answer.

Licences: NOTICES.txt
`;

/**
 * Makes a package of a release: a site of one page that works from a file, or the same with a manifest for a learning
 * platform. `media` are the bytes of what its pages show, by hash. The same release and player give the same bytes.
 */
export function writePackage(
  released: Released,
  format: PackageFormat,
  player: PlayerFiles,
  media: ReadonlyMap<string, Uint8Array> = new Map(),
): Uint8Array {
  return writeZip(packageFiles(released, format, player, media));
}

/** The files of a package; `media` by hash, wherever they lie. */
export function packageFiles<File>(
  released: Released,
  format: PackageFormat,
  player: PlayerFiles,
  media: ReadonlyMap<string, File>,
): Map<string, Uint8Array | File> {
  const { view } = released.frozen;
  const { scorm } = packageKind(format);
  const files = new Map<string, Uint8Array | File>([
    ['index.html', strToU8(packagePage(released, scorm))],
    ['player.js', player.script],
    ['player.css', player.style],
    ['ABOUT.txt', strToU8(ABOUT(view.title, released.number))],
    ['NOTICES.txt', strToU8(player.notices)],
    ...[...player.faces].map(([name, bytes]): [string, Uint8Array] => [`fonts/${name}`, bytes]),
    ...mediaRefs(view).flatMap((ref): [string, File][] => {
      const bytes = media.get(ref.hash);
      return bytes ? [[`media/${mediaName(ref)}`, bytes]] : [];
    }),
  ]);
  if (scorm)
    files.set(
      'imsmanifest.xml',
      strToU8(
        writeManifest(scorm, {
          id: view.id,
          title: view.title,
          language: view.language,
          ...(view.about && { about: view.about }),
          rules: released.rules,
          files: [...files.keys()],
        }),
      ),
    );
  return files;
}

/** The file name of a package. */
export function packageName(title: string, format: PackageFormat | QuestionFormat | 'archive'): string {
  const name = fileName(title);
  return format === 'archive' ? `${name}.uplift.zip` : `${name}.${format}.zip`;
}

/** A title as the name of a file that every system takes. */
export function fileName(title: string): string {
  return (
    title
      .normalize('NFKD')
      .replace(/[^\w -]+/g, '')
      .trim()
      .replace(/\s+/g, '-')
      .toLowerCase() || 'course'
  );
}
