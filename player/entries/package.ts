// What runs in a package: a course with its keys in the page, kept in this browser or in a learning platform.
import '../styles/colours.css';
import '../styles/page.css';
import '../styles/player.css';
import type { Secret } from '../../core/checks/markings';
import { mediaName, type MediaRef } from '../../core/document/media';
import type { PackageKind } from '../../core/learning/packages';
import type { Rules } from '../../core/learning/rules';
import type { LearnerCourse } from '../../core/learning/view';
import { browserStore, localCarrier } from '../carriers/local';
import { scormStore } from '../carriers/scorm';
import Player from '../components/Player.vue';
import { browserDrafts } from '../carriers/drafts';
import { followColours, pageData, show } from './page';

/** What a package's page holds. */
export interface PackageData {
  course: LearnerCourse;
  rules: Rules;
  keys: Record<string, Secret>;
  /** Which release it is of: another one keeps its own progress. */
  release: string;
  /** The edition of SCORM it speaks; none: it keeps everything in this browser. */
  scorm?: PackageKind['scorm'];
}

const { course, rules, keys, release, scorm } = pageData<PackageData>();
const store = scorm ? scormStore(scorm, course, rules) : browserStore(`uplift/${course.id}/${release}`);
followColours();
show(Player, {
  course,
  rules,
  carrier: localCarrier({ course, keys, rules }, store),
  media: (ref: MediaRef) => `media/${mediaName(ref)}`,
  drafts: browserDrafts(() => `uplift/${course.id}/${release}/${store.learner()}`),
});
