import type { CheckPicture } from '../check';
import type { CheckMarking } from '../marking';
import { several, severalSecret, type SeveralSecret } from '../several/marking';
import { asRead, type AreaCheck, type Box } from './form';

/** A picture's areas as a learner gets them, by rows as they are read; one of them is right, or several. */
export interface AreaView {
  options: { id: string; text: string; box: Box }[];
  one?: true;
  /** The picture that is answered in: it is shown once, with its areas. */
  ground?: CheckPicture;
  picture?: undefined;
}

/** The response is the ids of what was chosen; it is marked as several right answers are. */
export const area: CheckMarking<AreaCheck, AreaView, SeveralSecret, string[]> = {
  ...several,
  view: ({ options, keys, picture }, mix) => ({
    options: asRead(options).map(({ id, text, box }) => ({ id: mix(id), text, box })),
    ...(keys.length === 1 && { one: true as const }),
    ...(picture && { ground: picture, picture: undefined }),
  }),
  reordered: (view) => view,
  secret: severalSecret,
};
