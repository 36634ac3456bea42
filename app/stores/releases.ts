import { api, type AnswerOf, type Given } from '~/client';
import { defineStore } from 'pinia';
import { shallowRef, watch } from 'vue';
import type { LearnerLine } from '~~/core/learning/progress';
import type { Access } from '~/words/releases';
import { useCourse } from './course';

export type ReleaseLine = AnswerOf<'GET /api/courses/:course/releases'>['releases'][number];

/** What a release made now would change against the newest one. */
export type Meaning = NonNullable<AnswerOf<'GET /api/courses/:course/releases'>['meaning']>;

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

  async function load() {
    await desk.settleAll();
    await desk.asking(async () => {
      const answer = await api('GET /api/courses/:course/releases', { course: desk.course!.id });
      releases.value = answer.releases;
      link.value = answer.link;
      meaning.value = answer.meaning;
    });
  }
  const loadLearners = () =>
    desk.asking(
      async () => void (learners.value = await api('GET /api/courses/:course/learners', { course: desk.course!.id })),
    );

  /** Makes the course available as it stands; what is typed is saved first. */
  async function make(body: Given<'POST /api/courses/:course/releases'>['body']): Promise<boolean> {
    await desk.settleAll();
    const made = await desk.asking(
      async () => void (await api('POST /api/courses/:course/releases', { course: desk.course!.id, body })),
    );
    if (made) await load();
    return made;
  }
  async function setAccess(release: ReleaseLine, access: Access, withdrawn: boolean) {
    await desk.asking(
      async () =>
        void (await api('PUT /api/courses/:course/releases/:release', {
          course: desk.course!.id,
          release: release.id,
          body: { access, withdrawn },
        })),
    );
    await load();
  }
  return { releases, link, meaning, learners, load, loadLearners, make, setAccess };
});
