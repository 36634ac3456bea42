import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf, personOf, refuse } from '../../../utils/request';

/** Leaves a course. The last author stays one. */
export default defineEventHandler((event) =>
  answering(() => {
    const { people, audit, now } = installation();
    const [course, { id }] = [idOf(event, 'course'), personOf(event)];
    const authors = people
      .membersOf(course)
      .filter((member) => member.role === 'author' && member.accepted_at !== null);
    if (authors.length === 1 && authors[0].id === id) refuse({ code: 'last-author' });
    people.removeRole(course, id);
    audit.note(now(), id, 'rights-left', course);
    return {};
  }),
);
