// What runs in a package: a course with its keys in the page, kept in this browser or in a learning platform.
import '../styles/colours.css';
import '../styles/page.css';
import '../styles/player.css';
import type { Marking } from '../../core/check/marking';
import type { Rules } from '../../core/learning/rules';
import type { LearnerCourse } from '../../core/learning/view';
import { browserStore, localCarrier } from '../carriers/local';
import { scormStore } from '../carriers/scorm';
import Player from '../components/Player.vue';
import { followColours, pageData, show } from './page';

/** What a package's page holds. */
export interface PackageData {
  course: LearnerCourse;
  rules: Rules;
  keys: Record<string, Marking>;
  /** Which release it is of: another one keeps its own progress. */
  release: string;
  carrier: 'browser' | 'scorm12' | 'scorm2004';
}

const { course, rules, keys, release, carrier } = pageData<PackageData>();
const store = carrier === 'browser' ? browserStore(`uplift/${course.id}/${release}`) : scormStore(carrier === 'scorm12' ? '1.2' : '2004', course, rules);
followColours();
show(Player, { course, rules, carrier: localCarrier(keys, rules, store) });
