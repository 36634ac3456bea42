import { escape } from '../../document/html';
import { creditHtml } from '../picture/page';
import type { BlockPage } from '../page';
import { timeOf } from './cues';
import { playedPart, type ClipBody } from './form';

/** A page without a script plays nothing: it says what there is, how long it is, and what is said in it. */
export const clip: BlockPage<ClipBody> = (body, view) => {
  const { from, to } = playedPart(body);
  const head = [body.title, timeOf(to - from)].filter(Boolean).join(', ');
  const said = body.cues.filter((cue) => cue.to > from && cue.from < to).map((cue) => escape(cue.text));
  return `<figure class="up-clip"><p class="up-clip-title">${escape(head)}</p>${
    said.length > 0
      ? `<details><summary>${escape(view.words.media.said)}</summary><p>${said.join(' ')}</p></details>`
      : ''
  }${body.caption ? `<figcaption>${escape(body.caption)}</figcaption>` : ''}${
    body.clip ? creditHtml(body.clip, view) : ''
  }</figure>`;
};
