import { defineEventHandler, getQuery } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf } from '../../../utils/request';

/** Passages in their place: `ids`, commas between. */
export default defineEventHandler((event) =>
  answering(() => {
    const ids = String(getQuery(event).ids ?? '')
      .split(',')
      .filter((id) => /^[a-z][a-z0-9]{9,15}$/.test(id))
      .slice(0, 60);
    return installation().sources.passages(idOf(event, 'course'), ids);
  }),
);
