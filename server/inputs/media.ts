import { IsString, Matches } from 'class-validator';
import { ID_PATTERN } from '../../core/document/id';
import { MEDIA_HASH } from '../../core/document/media';

/** A picture of a source, wanted for a course's pages. */
export class PictureInput {
  @IsString() @Matches(ID_PATTERN) source!: string;
  @IsString() @Matches(MEDIA_HASH) hash!: string;
}

/** A file of another course. */
export class SharedMediaInput {
  @IsString() @Matches(ID_PATTERN) from!: string;
  @IsString() @Matches(MEDIA_HASH) hash!: string;
}
