import { defineEventHandler, getQuery } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf, refuse } from '../../../utils/request';

/** Two sources of a course side by side. */
export default defineEventHandler((event) =>
  answering(() => {
    const { drafter, sources, courses } = installation();
    const id = idOf(event, 'course');
    const { first, second } = getQuery(event);
    const keys = sources.keys(id);
    const [left, right] = [first, second].map((wanted) => keys.find((key) => key.id === wanted));
    if (!left || !right || left === right) refuse({ code: 'two-sources' });
    return drafter.ask('compare', { course: courses.load(id).course, sources: [left, right] });
  }),
);
