import { escape } from '../../document/html';
import { say } from '../../words';
import type { BlockPage } from '../page';
import { calendarAddress } from './calendar';
import { timeOf, type EventBody } from './form';

export const event: BlockPage<EventBody> = (body, view) => {
  const { title, text, minutes, address } = body;
  const long = escape(say(view.words.minutes, { minutes }));
  const join = address ? `<a href="${escape(address)}">${escape(view.words.eventJoin)}</a> ` : '';
  const keep = `<a href="${escape(calendarAddress(body))}" download="event.ics">${escape(view.words.eventKeep)}</a>`;
  const said = text.length > 0 ? `<p>${view.rich(text)}</p>` : '';
  return (
    `<div class="up-event"><p class="up-side">${view.rich(title)}</p>` +
    `<p class="up-when"><time datetime="${escape(body.start)}">${escape(timeOf(body))}</time> ${long}</p>` +
    `${said}<p class="up-links">${join}${keep}</p></div>`
  );
};
