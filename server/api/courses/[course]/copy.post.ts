import 'reflect-metadata';
import { IsString, MaxLength, MinLength } from 'class-validator';
import { defineEventHandler } from 'h3';
import { duplicate } from '../../../desk/archive';
import { installation } from '../../../utils/installation';
import { answering, bodyAs, idOf, personOf } from '../../../utils/request';

class CopyInput {
  @IsString() @MinLength(1) @MaxLength(400) title!: string;
}

/** Makes a course once more, for whoever asks. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { title } = await bodyAs(event, CopyInput);
    const desks = installation();
    const person = personOf(event).id;
    const made = duplicate(desks, idOf(event, 'course'), title, person);
    desks.audit.note(desks.now(), person, 'course-made', made.id, 'a copy');
    // What was copied is understood anew, as what comes with an archive is.
    desks.sources.renewClaims().catch((error: unknown) => console.error(error));
    return made;
  }),
);
