import { takingBack } from '../../../utils/take-back';

/** Redoes the asker's last gesture in a course. */
export default takingBack('redo');
