import { defineEventHandler } from 'h3';
import { installation } from '../../utils/installation';
import { answering } from '../../utils/request';

/** Courses that nobody is an author of any more. */
export default defineEventHandler(() =>
  answering(() =>
    installation()
      .courses.orphaned()
      .map(({ id, title, changed_at }) => ({ id, title, changed_at })),
  ),
);
