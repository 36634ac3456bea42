import { defineEventHandler } from 'h3';
import { installation } from '../../../../utils/installation';
import { mediaHash, sendMedia } from '../../../../utils/media';
import { answering, idOf } from '../../../../utils/request';

/** A file of media that a course has. */
export default defineEventHandler((event) =>
  answering(() => sendMedia(event, installation().media.get(idOf(event, 'course'), mediaHash(event)))),
);
