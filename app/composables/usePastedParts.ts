import type { Block } from '~~/core/blocks/forms';
import { ofEmbed } from '~/blocks';
import { readEmbed } from '~/blocks/embed/code';
import { blockOfMedia } from '~/blocks/media';
import { freshId, troubleOf } from '~/composables/useApi';
import { shelvedFile, useGiving } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';

/**
 * What is pasted or dropped on a page and is no running text: files of media, and embed code of web pages. `insert`
 * puts parts behind the cursor, `go` puts the cursor somewhere.
 */
export function usePastedParts({
  insert,
  insertBehind,
  at: partAt,
  go,
}: {
  insert(blocks: Block[]): void;
  insertBehind(id: string | undefined, blocks: Block[]): void;
  /** The part that the cursor is in. */
  at(): string | undefined;
  go(at: number): void;
}) {
  const desk = useCourse();
  const { coming, give } = useGiving();

  /**
   * Takes files in, one after another, each behind the one before: at a place of the page, or behind the cursor.
   * What cannot be taken is said, and nothing else is touched.
   */
  async function takeFiles(files: readonly File[], at?: number) {
    if (at !== undefined) go(at);
    // A file is on its way for a while, in which its author goes on elsewhere: its place is settled now.
    let behind = partAt();
    for (const file of files) {
      try {
        const added = await give(file);
        if (!added) continue;
        const id = freshId('b');
        insertBehind(behind, [blockOfMedia(id, { file: shelvedFile(added), name: added.name })]);
        behind = id;
      } catch (error) {
        desk.trouble = troubleOf(error);
      }
    }
  }

  /** Files are taken in; where only a page's address of a picture came along, that is said. */
  function filesIn(data: DataTransfer | null, at?: number): boolean {
    const files = [...(data?.files ?? [])];
    const html = data?.getData('text/html') ?? '';
    // What was copied from a page of ours brings its pictures along by themselves.
    if (files.length === 0 && /<img\b/i.test(html) && !html.includes('data-picture'))
      desk.trouble = {
        code: 'no-pictures',
        message:
          'The pictures of what you pasted stayed where they are. Copy or save them one by one, and add them here.',
      };
    if (files.length === 0) return false;
    void takeFiles(files, at);
    // Words that came with a picture are taken, too.
    return (data?.getData('text/plain') ?? '') === '';
  }

  /** Embed code becomes the page it shows; of what else it would do, nothing comes along. */
  function embedIn(data: DataTransfer | null, at?: number): boolean {
    const code = data?.getData('text/plain') ?? '';
    const read = /<iframe\b/i.test(code) ? readEmbed(code) : undefined;
    if (!read) return false;
    if (at !== undefined) go(at);
    insert([ofEmbed(freshId('b'), read)]);
    return true;
  }

  return {
    coming,
    takeFiles,
    /** Whether what came is taken here, and not by the editor. */
    takesOver: (data: DataTransfer | null, at?: number): boolean => embedIn(data, at) || filesIn(data, at),
  };
}
