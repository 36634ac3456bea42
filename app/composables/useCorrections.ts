import { computed, type Ref } from 'vue';
import { claimHash, correct, takeOver, uncorrect } from '~~/core/course/corrections';
import type { Correction } from '~~/core/course/course';
import { allSections, type Section, type Source } from '~~/core/source/source';
import { useCourse } from '~/stores/course';
import { CLAIMS } from '~/words/states';

/** What each correction is called once it is made. */
const MADE: Record<Correction['kind'], string> = {
  'leave-out': 'left out of this course',
  furniture: 'repeated words, left out wherever they stand',
  focus: 'in focus',
  'no-heading': 'no heading',
  heading: 'heading corrected',
  not: 'not so',
};

export function correctionWords({ kind, claim, title }: Correction): string {
  if (kind === 'not') return `not a ${CLAIMS[claim!]?.[0] ?? claim}`;
  return kind === 'heading' ? `heading is “${title}”` : MADE[kind];
}

/** How the course's author corrected the reading of a source, by place, and the ways to correct it. */
export function useCorrections(source: Ref<Source | undefined>) {
  const desk = useCourse();
  const own = computed(() => (desk.course?.corrections ?? []).filter((each) => each.sourceId === source.value?.id));
  /** Sections that a place lies in, itself first. */
  const above = computed(() => {
    const found = new Map<string, string[]>();
    const visit = (section: Section, path: string[]) => {
      const here = [section.id, ...path];
      found.set(section.id, here);
      for (const passage of section.passages) found.set(passage, [passage, ...here]);
      for (const child of section.sections) visit(child, here);
    };
    if (source.value) visit(source.value.root, []);
    return found;
  });
  const places = computed(() => new Set(above.value.keys()));
  const sections = computed(
    () => new Set(source.value ? allSections(source.value.root).map((section) => section.id) : []),
  );
  /** Whether a place is used otherwise than read: by what was said of it, or of what it lies in. */
  const useOf = (place: string): Correction | undefined => {
    for (const id of above.value.get(place) ?? []) {
      const found = own.value.find(
        (each) =>
          each.place === id && (each.kind === 'leave-out' || each.kind === 'furniture' || each.kind === 'focus'),
      );
      if (found) return found;
    }
    return undefined;
  };
  const add = (kind: Correction['kind'], place: string, more: Pick<Correction, 'title' | 'claim' | 'words'> = {}) =>
    desk.change('correction of a source', correct(desk.course!, { kind, sourceId: source.value!.id, place, ...more }));
  return {
    own,
    sections,
    places,
    useOf,
    add,
    at: (place: string) => own.value.filter((each) => each.place === place),
    notSo: (place: string, claim: { kind: string; text: string }) =>
      own.value.find(
        (each) =>
          each.kind === 'not' && each.place === place && each.claim === claim.kind && each.words === claimHash(claim),
      ),
    addNot: (place: string, claim: { kind: string; text: string }) =>
      add('not', place, { claim: claim.kind, words: claimHash(claim) }),
    takeOver: (theirs: readonly Correction[]) => desk.change('corrections taken over', takeOver(desk.course!, theirs)),
    back: (id: string) => desk.change('correction taken back', uncorrect(desk.course!, id)),
  };
}

export type Corrections = ReturnType<typeof useCorrections>;
