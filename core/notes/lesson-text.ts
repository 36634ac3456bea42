import { plainText } from '../blocks/forms';
import type { Lesson } from '../course/course';

const texts = new WeakMap<Lesson, string>();

/** What a lesson says, in small letters. A lesson is never changed in place, so it is put together once. */
export function lessonText(lesson: Lesson): string {
  let text = texts.get(lesson);
  if (text === undefined) {
    text = [lesson.title, ...lesson.blocks.map(plainText)].join('\n').toLowerCase();
    texts.set(lesson, text);
  }
  return text;
}
