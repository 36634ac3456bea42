import { route } from '../../../../../../route';

/** Takes out what somebody filled in with their name. */
export default route({
  right: 'author',
  run({ me, ids, desks }) {
    const { surveys, audit, now } = desks;
    surveys.drop(ids.course, ids.block, ids.sheet);
    audit.note(now(), me.id, 'sheet-taken-out', ids.course);
    return {};
  },
});
