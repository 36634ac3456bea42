/**
 * Goes to a page of the desk, also while it is on its way to another: the last wish wins. (Nuxt's own `navigateTo`
 * would take it for a redirect then, and lose it.)
 */
export function useGo(): (path: string) => void {
  const router = useRouter();
  return (path) => void router.push(path);
}
