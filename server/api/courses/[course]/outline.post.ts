import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf, refuse } from '../../../utils/request';

/** Drafts an outline from brief and sources. It is a proposal: nothing of the course changes. */
export default defineEventHandler((event) =>
  answering(() => {
    const { courses, sources, drafter } = installation();
    const id = idOf(event, 'course');
    const keys = sources.keys(id);
    if (keys.length === 0) refuse({ code: 'no-sources' });
    return drafter.ask('outline', { course: courses.load(id).course, sources: keys });
  }),
);
