import { useSession } from '~/stores/session';

/** Whoever is not signed in meets the sign-in page first, and comes back to where they wanted to go. */
export default defineNuxtRouteMiddleware(async (to) => {
  const session = useSession();
  // Whoever comes by the link of a letter is let in there.
  if (to.path === '/welcome') return;
  if (!session.known) await session.start();
  if (session.trouble) return;
  if (!session.person && to.path !== '/sign-in')
    return navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { to: to.fullPath } });
  // A password that somebody else chose is replaced before anything else.
  if (session.person?.mustChange && to.path !== '/account')
    return navigateTo({ path: '/account', query: to.path === '/sign-in' ? to.query : { to: to.fullPath } });
  if (session.person && to.path === '/sign-in') return navigateTo('/');
});
