import { defineEventHandler } from 'h3';
import { FromShelfInput } from '../../../../core/course/input';
import { installation } from '../../../utils/installation';
import { answering, bodyAs, idOf, personOf } from '../../../utils/request';

/** Takes sources from the author's shelf into a course. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { sources } = await bodyAs(event, FromShelfInput);
    return { added: installation().sources.fromShelf(idOf(event, 'course'), sources, personOf(event).id) };
  }));
