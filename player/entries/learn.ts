// What runs where our server is behind: a released course taken by a learner, or an author's look at a draft.
import '../styles/colours.css';
import '../styles/page.css';
import '../styles/player.css';
import { followColours, pageData, show } from './page';
import Learn from './Learn.vue';
import Preview from './Preview.vue';

const data = pageData<{ link?: string }>();
if (data.link) {
  followColours();
  show(Learn, { link: data.link });
} else show(Preview);
