import { defineEventHandler } from 'h3';
import { usesOf } from '../../../../core/course/uses';
import { installation } from '../../../utils/installation';
import { answering, idOf, typedOf } from '../../../utils/request';

/** Searches the sources of a course; each passage found says which lessons stand on it. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { sources, search, courses } = installation();
    const id = idOf(event, 'course');
    const result = await search.find(typedOf(event), sources.keys(id));
    const uses = usesOf(courses.load(id).course);
    return {
      ...result,
      found: result.found.map((each) => ({
        ...each,
        lessons: [...new Set(uses.get(each.id)?.map((use) => use.lesson))],
      })),
    };
  }),
);
