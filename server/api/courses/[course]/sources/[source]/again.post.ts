import { defineEventHandler } from 'h3';
import { installation } from '../../../../../utils/installation';
import { answering, idOf, refuse } from '../../../../../utils/request';
import { meaningFor } from '../../../../../words/newer';

/** Fetches a link again; says what changed, and what of the course stood on it. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { links, courses } = installation();
    const id = idOf(event, 'course');
    const newer = await links.again(id, idOf(event, 'source'));
    return 'problem' in newer ? refuse(newer.problem) : meaningFor(courses.load(id).course, newer);
  }));
