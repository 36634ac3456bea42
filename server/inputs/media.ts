import { IsString, Length, Matches } from 'class-validator';
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

/** Where a file lies that is to be fetched. */
export class FetchedMediaInput {
  @IsString() @Length(8, 2000) address!: string;
}
