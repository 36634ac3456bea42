import { defineEventHandler } from 'h3';
import { installation } from '../../../../utils/installation';
import { answering, idOf } from '../../../../utils/request';

/** The releases of a course, its learners' address, and what a release made now would mean. */
export default defineEventHandler((event) =>
  answering(() => {
    const { releases } = installation();
    const id = idOf(event, 'course');
    return { releases: releases.list(id), link: releases.link(id), meaning: releases.meaning(id) };
  }),
);
