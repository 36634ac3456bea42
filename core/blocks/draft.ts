import type { Matter, Part } from '../lesson/parts';
import type { Block } from './forms';

/** How a part of a lesson's matter becomes blocks of a kind; `place` makes their ids. */
export type BlockDraft = (part: Part, place: string, matter: Matter) => Block[];
