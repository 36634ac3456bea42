import { defineEventHandler, getRouterParam } from 'h3';
import { playerPage } from '../../utils/player-page';

/** Where a learner takes a course; all that is in it comes by the routes for learners. */
export default defineEventHandler((event) => {
  const link = getRouterParam(event, 'link') ?? '';
  return playerPage(event, { link: /^[a-z][a-z0-9]{9,15}$/.test(link) ? link : 'wnosuchlink' });
});
