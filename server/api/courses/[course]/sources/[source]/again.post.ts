import { defineEventHandler } from 'h3';
import { standsOn } from '../../../../../../core/course/standing';
import { installation } from '../../../../../utils/installation';
import { answering, idOf, refuse } from '../../../../../utils/request';

/** Fetches a link again; says what changed, and how many sentences and questions of the course stood on what is gone. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { links, courses } = installation();
    const id = idOf(event, 'course');
    const again = await links.again(id, idOf(event, 'source'));
    if ('problem' in again) refuse(again.problem);
    if (again.same) return { same: true };
    return { same: false, kept: again.change.same, added: again.change.added.length, gone: again.change.gone.length, ...standsOn(courses.load(id).course, new Set(again.change.gone)) };
  }));
