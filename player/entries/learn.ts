// What runs where our server is behind: a released course taken by a learner, or an author's look at a draft.
import '../styles/colours.css';
import '../styles/page.css';
import '../styles/player.css';
import { followColours, pageData, show } from './page';
import FormAlone from './FormAlone.vue';
import Learn from './Learn.vue';
import Preview from './Preview.vue';

const data = pageData<{ link?: string; form?: string }>();
if (data.link) {
  followColours();
  if (data.form) show(FormAlone, { link: data.link, form: data.form });
  else show(Learn, { link: data.link });
} else show(Preview);
