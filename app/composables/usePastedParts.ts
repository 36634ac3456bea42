import type { Block } from '~~/core/blocks/forms';
import { ofEmbed, ofPicture } from '~/blocks';
import { readEmbed } from '~/blocks/embed/code';
import { freshId, troubleOf } from '~/composables/useApi';
import { giveMedia } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';

const ONLY_PICTURES = 'A page takes pictures. Documents are given to the course under Sources.';

/**
 * What is pasted or dropped on a page and is no running text: pictures, and embed code of web pages. `insert` puts
 * parts behind the cursor, `go` puts the cursor somewhere.
 */
export function usePastedParts({ insert, go }: { insert(blocks: Block[]): void; go(at: number): void }) {
  const desk = useCourse();
  /** How many pictures are on their way to the course. */
  const coming = ref(0);

  /**
   * Takes pictures in, one after another, each behind the one before: at a place of the page, or behind the cursor.
   * What cannot be taken is said, and nothing else is touched.
   */
  async function takePictures(files: readonly File[], at?: number) {
    if (at !== undefined) go(at);
    coming.value += files.length;
    for (const file of files) {
      try {
        const added = await giveMedia(desk.course!.id, file);
        insert([ofPicture(freshId('b'), added)]);
      } catch (error) {
        desk.trouble = troubleOf(error);
      }
      coming.value--;
    }
  }

  /** Pictures are taken in; where only a page's address of one came along, that is said. */
  function picturesIn(data: DataTransfer | null, at?: number): boolean {
    const files = [...(data?.files ?? [])];
    const pictures = files.filter((file) => file.type.startsWith('image/'));
    const html = data?.getData('text/html') ?? '';
    // What was copied from a page of ours brings its pictures along by themselves.
    if (pictures.length === 0 && /<img\b/i.test(html) && !html.includes('data-picture'))
      desk.trouble = {
        code: 'no-pictures',
        message:
          'The pictures of what you pasted stayed where they are. Copy or save them one by one, and add them here.',
      };
    if (files.length > pictures.length) desk.trouble = { code: 'no-documents', message: ONLY_PICTURES };
    // A file that is not taken must not be opened by the browser in place of the page.
    if (pictures.length === 0) return files.length > 0;
    void takePictures(pictures, at);
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
    takePictures,
    /** Whether what came is taken here, and not by the editor. */
    takesOver: (data: DataTransfer | null, at?: number): boolean => embedIn(data, at) || picturesIn(data, at),
  };
}
