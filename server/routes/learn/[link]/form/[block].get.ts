import { defineEventHandler, getRouterParam } from 'h3';
import { ID_PATTERN } from '../../../../../core/document/id';
import { playerPage } from '../../../../utils/player-page';

/** A feedback form by its own link; what it asks comes by the routes for learners. */
export default defineEventHandler((event) => {
  const named = (part: string) => {
    const id = getRouterParam(event, part) ?? '';
    return ID_PATTERN.test(id) ? id : 'wnosuchlink';
  };
  return playerPage(event, { link: named('link'), form: named('block') });
});
