import { defineEventHandler } from 'h3';
import { VersionInput } from '../../../../inputs/course';
import { installation } from '../../../../utils/installation';
import { answering, bodyAs, idOf, personOf } from '../../../../utils/request';

/** Names the course as it stands. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { name } = await bodyAs(event, VersionInput);
    return { id: installation().courses.nameVersion(idOf(event, 'course'), name, personOf(event).id) };
  }),
);
