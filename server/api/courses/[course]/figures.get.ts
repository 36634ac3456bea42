import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf } from '../../../utils/request';

/** Reading grade of each lesson, and the minutes a blank one is planned for. */
export default defineEventHandler((event) =>
  answering(() => {
    const { courses, sources, drafter } = installation();
    const id = idOf(event, 'course');
    return drafter.ask('figures', { course: courses.load(id).course, sources: sources.keys(id) });
  }),
);
