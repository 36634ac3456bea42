import { defineEventHandler } from 'h3';
import { playerPage } from '../utils/player-page';

/** The frame an author looks at a draft in: empty until the desk around it gives it one. */
export default defineEventHandler((event) => {
  event.context.framed = true;
  return playerPage(event, {});
});
