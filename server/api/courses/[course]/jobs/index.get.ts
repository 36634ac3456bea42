import { defineEventHandler } from 'h3';
import { installation } from '../../../../utils/installation';
import { answering, idOf } from '../../../../utils/request';
import { inWords } from '../../../../words/jobs';

/** Drafting under way in a course, and the last one that ended. */
export default defineEventHandler((event) =>
  answering(() => inWords(installation().jobs.ofCourse(idOf(event, 'course')))),
);
