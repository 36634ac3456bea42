import { mediaName, mediaRefs } from '~~/core/document/media';
import { QUESTION_FORMATS, type QuestionFormat } from '~~/core/questions/names';
import { saveFile } from '~/composables/saving';
import { mediaAddress } from '~/composables/useMedia';
import { useCourse } from '~/stores/course';

/** The course's questions as a file for other programs, with the pictures they show. */
export function useQuestionFiles() {
  const desk = useCourse();
  return {
    saveQuestions: (format: QuestionFormat) =>
      desk.asking(async () => {
        const course = desk.course!;
        const [{ writeQti }, { writeZip }] = await Promise.all([
          import('~~/core/questions/write'),
          import('~~/core/document/zip'),
        ]);
        const files = writeQti(course, QUESTION_FORMATS[format]);
        const written = course.checks.filter(({ id }) => files.has(`items/${id}.xml`));
        for (const media of mediaRefs(written)) {
          const answer = await fetch(mediaAddress(course.id, media));
          if (answer.ok) files.set(`media/${mediaName(media)}`, new Uint8Array(await answer.arrayBuffer()));
        }
        saveFile(`questions.${format}.zip`, new Blob([writeZip(files) as BlobPart], { type: 'application/zip' }));
      }),
  };
}
