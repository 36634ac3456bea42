import { allLessons, type Course, type Take } from '../../course/course';
import { canonicalJson } from '../../document/canonical';
import { idFrom } from '../../document/id';
import type { Prepared } from '../from-course';
import { takesOfLesson } from './lesson';
import { takesOfModule } from './module';
import type { RowOffer } from './offer';

/** An offer with the id that a take of it has: the same offer has the same, whenever it is made. */
export type RowTake = RowOffer & Pick<Take, 'id'>;

/**
 * Other takes of a row of the outline that differ from what stands: of a lesson other titles, aims and cuts of its
 * matter; of a module other titles, groupings and orders of its lessons. Undefined where there is no such row.
 */
export function rowTakes(course: Course, row: string, prepared: Prepared): RowTake[] | undefined {
  const module = course.modules.find(({ id }) => id === row);
  const lesson = allLessons(course).find(({ id }) => id === row);
  const planned = prepared.plan.modules.flatMap(({ lessons }) => lessons).find((each) => each.lesson.id === row);
  if (!module && !lesson) return undefined;
  // A lesson without matter has nothing to be taken otherwise.
  const offers = module
    ? takesOfModule(course, module, prepared)
    : planned && planned.parts.length > 0
      ? takesOfLesson(course, lesson!, planned, prepared.context)
      : [];
  const takes = offers.map((offer) => ({
    ...offer,
    id: idFrom('t', 'row', offer.of, offer.field, canonicalJson(offer.value)),
  }));
  return takes.filter(({ id }, at) => takes.findIndex((each) => each.id === id) === at);
}
