/** What happened, as the audit says it. */
export const AUDIT: Record<string, string> = {
  'sign-in': 'signed in', 'sign-in-refused': 'sign-in refused', 'sign-out': 'signed out', 'sessions-ended': 'ended sign-ins', 'password-changed': 'changed their password', 'password-reset': 'set a new password for',
  'person-added': 'added a person', 'person-removed': 'took a person out', 'standing-changed': 'changed the standing of', 'rights-offered': 'offered a part in', 'rights-changed': 'changed a part in', 'rights-accepted': 'accepted a part in',
  'rights-left': 'left or declined', 'course-adopted': 'took on a course', 'course-made': 'made a course', 'course-removed': 'deleted a course', 'course-restored': 'brought a course back', 'course-imported': 'opened an archive as',
  'source-added': 'added a source', 'source-version': 'put a version of', 'source-removed': 'took a source off', 'source-given': 'shared a source', export: 'saved or packed', release: 'made available', 'release-access': 'changed who may take', 'release-withdrawn': 'withdrew',
  'learner-removed': 'took a learner out of', 'learner-unnamed': 'took a learner\'s name out of',
};
