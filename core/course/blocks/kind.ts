import type { RichText } from '../rich-text';
import type { Shape } from '../shape';

/** What the course knows of a kind of block. Each kind stands in a folder of its own and in the one table beside it. */
export interface BlockKind<Body> {
  body: Shape;
  /** Every rich text of the body, in reading order. */
  texts(body: Body): RichText[];
  /** The same body with every rich text put through a function. */
  mapTexts(body: Body, change: (text: RichText) => RichText): Body;
  /** Kinds without rich text name their passages in `block.evidence`. */
  evidenceOnBlock?: boolean;
}
