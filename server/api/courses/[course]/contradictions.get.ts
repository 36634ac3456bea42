import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf } from '../../../utils/request';

/** Where the sources of a course contradict each other, or themselves. */
export default defineEventHandler((event) =>
  answering(() => {
    const { drafter, sources, courses } = installation();
    const id = idOf(event, 'course');
    const { corrections, supporting } = courses.load(id).course;
    return drafter.ask('contradictions', { course: { corrections, supporting }, sources: sources.keys(id) });
  }),
);
