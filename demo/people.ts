/**
 * The people of the demo, all invented. Their password is for trying the sign-in form; in the demo one click does as
 * well.
 */
export const DEMO_PEOPLE = [
  { id: 'pinesmarlowa', name: 'Ines Marlow', login: 'ines', role: 'owner', course: 'author' },
  { id: 'ptomashbyaaa', name: 'Tom Ashby', login: 'tom', role: 'member', course: 'reviewer' },
] as const;

export const DEMO_PASSWORD = 'fernhollow-desk';
