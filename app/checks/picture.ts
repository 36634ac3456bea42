import type { CheckPicture } from '~~/core/checks/check';
import { giveMedia } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';

/** Takes a picture from a file field into the course, for a question or an answer. */
export function useGivenPicture(take: (picture: CheckPicture) => void) {
  const desk = useCourse();
  return async (event: Event) => {
    const input = event.target as HTMLInputElement;
    const given = input.files?.[0];
    input.value = '';
    if (!given) return;
    await desk.asking(async () => {
      const { hash, type, width, height } = await giveMedia(desk.course!.id, given);
      take({ media: { hash, type, width, height }, alt: '' });
    });
  };
}
