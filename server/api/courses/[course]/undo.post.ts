import { takingBack } from '../../../utils/take-back';

/** Undoes the asker's last gesture in a course. */
export default takingBack('undo');
