import type { Feedback } from '../../core/checks/markings';
import type { PartView } from '../blocks/part';

/** What the part of a check is given that takes and shows a response; the response itself is its model. */
export interface CheckPartProps<View, Response> {
  check: View & { id: string; stem: string };
  /** Whether it may be answered now. */
  open: boolean;
  /** The right response, once nothing can be won by knowing it. */
  solution?: Response;
  /** Whether the response that is shown was marked and is not all right. */
  wrong: boolean;
  /** What is said to the response; of a story, how far it was gone. */
  feedback?: Feedback;
  view: PartView;
}
