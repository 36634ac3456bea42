import { defineStore } from 'pinia';
import { shallowRef, watch } from 'vue';
import type { LearnerLine } from '~~/core/learning/progress';
import type { Rules } from '~~/core/learning/rules';
import type { Access } from '~/words/releases';
import { useCourse } from './course';

export interface ReleaseLine {
  id: string;
  number: number;
  note: string;
  figures: { minutes: number; lessons: number; checks: number };
  rules: Rules;
  access: Access;
  made_at: number;
  withdrawn_at: number | null;
}

/** What a release made now would change against the newest one. */
export interface Meaning {
  since: number;
  lessons: { same: string[]; changed: string[]; added: string[]; gone: string[] };
  underWay: number;
}

/** Releases of the course at hand, and who learns by them. */
export const useReleases = defineStore('releases', () => {
  const desk = useCourse();
  const releases = shallowRef<ReleaseLine[]>();
  const link = shallowRef<string>();
  const meaning = shallowRef<Meaning>();
  const learners = shallowRef<LearnerLine[]>();
  watch(
    () => desk.course?.id,
    () => {
      releases.value = undefined;
      learners.value = undefined;
    },
  );
  const at = (path: string) => `/api/courses/${desk.course!.id}/${path}`;

  async function load() {
    await desk.settleAll();
    await desk.asking(async () => {
      const answer = await $fetch<{ releases: ReleaseLine[]; link?: string; meaning?: Meaning }>(at('releases'));
      releases.value = answer.releases;
      link.value = answer.link;
      meaning.value = answer.meaning;
    });
  }
  const loadLearners = () =>
    desk.asking(async () => void (learners.value = await $fetch<LearnerLine[]>(at('learners'))));

  /** Makes the course available as it stands; what is typed is saved first. */
  async function make(body: { note: string; access: Access; rules: object; move: boolean }): Promise<boolean> {
    await desk.settleAll();
    const made = await desk.asking(async () => void (await $fetch(at('releases'), { method: 'POST', body })));
    if (made) await load();
    return made;
  }
  async function setAccess(release: ReleaseLine, access: Access, withdrawn: boolean) {
    await desk.asking(
      async () => void (await $fetch(at(`releases/${release.id}`), { method: 'PUT', body: { access, withdrawn } })),
    );
    await load();
  }
  return { releases, link, meaning, learners, load, loadLearners, make, setAccess };
});
