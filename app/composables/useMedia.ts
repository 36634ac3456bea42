import type { Medium, ShelvedFile } from '~~/core/course/course';
import { layOnShelf } from '~~/core/course/media';
import type { MediaRef } from '~~/core/document/media';
import { addressOf } from '~/client';
import { sendFile } from '~/composables/sendFile';
import { freshId } from '~/composables/useApi';
import { useCourse } from '~/stores/course';

/** Where a file of media of a course is. */
export const mediaAddress = (course: string, { hash }: Pick<MediaRef, 'hash'>): string =>
  addressOf('GET /api/courses/:course/media/:hash', { course, hash });

/** Where the media of a course are, each under its hash: for the player, which knows no routes. */
export const mediaFolder = (course: string): string => mediaAddress(course, { hash: '' }).replace(/\/$/, '');

/** A file of media as the server took it in. */
export interface MediaAdded extends ShelvedFile {
  name: string;
}

/** What the server says of a file, without what only it needs. */
export const shelvedFile = ({ hash, type, bytes, width, height, seconds }: ShelvedFile): ShelvedFile => ({
  hash,
  type,
  ...(bytes !== undefined && { bytes }),
  ...(width !== undefined && { width }),
  ...(height !== undefined && { height }),
  ...(seconds !== undefined && { seconds }),
});

/** A file on its way to the course. */
export interface Coming {
  id: string;
  name: string;
  /** 0 to 1; then it is looked at. */
  share: number;
  stop: () => void;
}

/** Gives files to the course at hand: each is sent, told how far it is, and laid on the shelf. */
export function useGiving() {
  const desk = useCourse();
  const coming = ref<Coming[]>([]);

  /** Lays what the server took in on the shelf, under the name it came with. */
  function lay(added: MediaAdded, said: Partial<Medium> = {}): void {
    const node = { id: freshId('m'), file: shelvedFile(added), name: added.name.slice(0, 200), ...said };
    const operations = layOnShelf(desk.course!, node);
    if (operations.length > 0) desk.change(`“${node.name}” onto the shelf`, operations);
  }
  /** Gives one file; throws what the server says. Nothing comes of one that is stopped. */
  async function give(file: File): Promise<MediaAdded | undefined> {
    const course = desk.course!.id;
    const name = file.name || 'picture';
    const id = freshId('u');
    const at = addressOf('POST /api/courses/:course/media', { course, query: { name } });
    let stopped: () => void = () => undefined;
    const stop = new Promise<undefined>((resolve) => void (stopped = () => resolve(undefined)));
    const sending = sendFile<MediaAdded>('POST', at, file, (share) => {
      const one = coming.value.find((each) => each.id === id);
      if (one) one.share = share;
    });
    coming.value.push({ id, name, share: 0, stop: () => (sending.stop(), stopped()) });
    try {
      const added = await Promise.race([sending.done, stop]);
      if (!added) return undefined;
      // The same bytes may be known by another name: what they are called now is what their author calls them.
      const named = { ...added, name };
      if (desk.course?.id === course) lay(named);
      return named;
    } finally {
      coming.value = coming.value.filter((each) => each.id !== id);
    }
  }
  return { coming, give, lay };
}
