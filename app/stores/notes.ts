import { defineStore } from 'pinia';
import { watchDebounced } from '@vueuse/core';
import { computed, shallowRef } from 'vue';
import { leaveNote, outlineNotes, type Note } from '~~/core/notes';
import { mendOperations } from '~~/core/notes/mend';
import { mendWords, noteSentence } from '~~/core/notes/words';
import { freshId } from '~/composables/useApi';
import { useCourse } from './course';
import { useFigures } from './figures';

/** Milliseconds of rest after which a changed course is looked through again: typing never waits for it. */
const REST = 400;

const freshIds = () => ({ lesson: freshId('l'), module: freshId('m'), objective: freshId('o') });

/** Notes on the outline at hand, with what mends them. */
export const useNotes = defineStore('notes', () => {
  const desk = useCourse();
  const figures = useFigures();
  const notes = shallowRef<Note[]>([]);
  /** Keeps them up to date while the component that asks for it lives: no other room waits for them. */
  function watchHere(): void {
    watchDebounced(
      () => [desk.course, figures.all] as const,
      () =>
        void (notes.value = desk.course ? outlineNotes(desk.course, (lesson) => figures.all.get(lesson)?.minutes) : []),
      { debounce: REST, immediate: true },
    );
  }
  /** How many there are of each row. */
  const counts = computed(() =>
    notes.value.reduce((map, { about }) => map.set(about, (map.get(about) ?? 0) + 1), new Map<string, number>()),
  );

  /** Does what mends a note; false where the author has to. */
  function mend(note: Note): boolean {
    if (!desk.course || !note.mend) return false;
    desk.flushTyping();
    const operations = mendOperations(desk.course, note.mend, freshIds());
    return (
      operations.length > 0 && desk.change(`${mendWords(note.mend).toLowerCase()}: ${noteSentence(note)}`, operations)
    );
  }
  /** Rows that can be reworded, since something above was. */
  const reworded = computed(() => notes.value.filter(({ mend: way }) => way?.kind === 'reword'));
  /** Rewords all of them as one gesture. */
  function rewordAll(): boolean {
    desk.flushTyping();
    const operations = reworded.value.flatMap((note) => mendOperations(desk.course!, note.mend!, freshIds()));
    return operations.length > 0 && desk.change(`${reworded.value.length} rows reworded`, operations);
  }
  const leave = (note: Note) => desk.course !== null && desk.change('note left', leaveNote(desk.course, note));
  return { notes, counts, reworded, watchHere, mend, rewordAll, leave };
});
