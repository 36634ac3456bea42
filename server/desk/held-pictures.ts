import type { PassageRange } from '../../core/document/rich-text';
import type { SourceDesk } from './sources';

/** A picture that a source holds, with what stands under it and the passage it is of. */
export interface HeldPicture {
  source: string;
  title: string;
  hash: string;
  alt: string;
  caption?: string;
  evidence?: PassageRange[];
}

/**
 * The pictures that a course's sources hold, in their order; the same one twice in a source once, where it is first.
 */
export function heldPictures(sources: SourceDesk, course: string): HeldPicture[] {
  return sources.keys(course).flatMap(({ id, version }) => {
    const source = sources.read(id, version)?.source;
    const passages = new Map(source?.passages.map((passage) => [passage.id, passage]));
    const pictures = new Map(source?.pictures.toReversed().map((picture) => [picture.hash, picture]));
    return [...pictures.values()].toReversed().map(({ hash, alt, caption, near }): HeldPicture => {
      // What it stands on: its caption, or the passage it stands by.
      const passage = passages.get(caption ?? near ?? '');
      return {
        source: id,
        title: source!.title,
        hash,
        alt,
        ...(caption && passage && { caption: passage.text }),
        ...(passage && { evidence: [{ id: passage.id, from: 0, to: passage.text.length }] }),
      };
    });
  });
}
