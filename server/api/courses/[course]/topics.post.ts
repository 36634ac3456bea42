import { defineEventHandler } from 'h3';
import { FieldInput } from '../../../inputs/course';
import { installation } from '../../../utils/installation';
import { answering, bodyAs, idOf } from '../../../utils/request';

/** Topics of a field, with what the sources and answers hold on each. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { field } = await bodyAs(event, FieldInput);
    const { drafter, sources, courses } = installation();
    const id = idOf(event, 'course');
    return drafter.ask('topics', { course: courses.load(id).course, sources: sources.keys(id), field });
  }),
);
