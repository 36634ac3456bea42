import type { Routes } from '~~/server/route-list';

type Key = keyof Routes;

/** What a route takes and answers, by its definition on the server. */
type Of<K extends Key> = NonNullable<Routes[K]['types']>;

/** The names of the parts of an address that are filled in. */
type Parts<Pattern extends string> = Pattern extends `${string}:${infer Name}/${infer Rest}`
  ? Name | Parts<`/${Rest}`>
  : Pattern extends `${string}:${infer Name}`
    ? Name
    : never;

type Ids<K extends Key> = Record<Parts<K>, string>;
type WithBody<Body> = Body extends undefined ? { body?: Uint8Array | Blob } : { body: Body };
type WithQuery<Query> = Query extends undefined
  ? object
  : Partial<Query> extends Query
    ? { query?: Query }
    : { query: Query };

/** What a call of a route is given: the parts of its address by name, `body` and `query` as its definition has them. */
export type Given<K extends Key> = Ids<K> & WithBody<Of<K>['body']> & WithQuery<Of<K>['query']>;

/** What a route answers. */
export type AnswerOf<K extends Key> = Of<K>['answer'];

/** Given, or nothing where nothing is asked. */
type Call<K extends Key> = object extends Given<K> ? [given?: Given<K>] : [given: Given<K>];

/** The address that a route has with its parts filled in. */
const pathOf = (route: string, ids: Readonly<Record<string, unknown>>): string =>
  route.slice(route.indexOf(' ') + 1).replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(String(ids[name])));

/** The address of a route, for links, pictures and streams. */
export function addressOf<K extends Key>(
  route: K,
  ...[given]: object extends Ids<K> & WithQuery<Of<K>['query']>
    ? [given?: Ids<K> & WithQuery<Of<K>['query']>]
    : [given: Ids<K> & WithQuery<Of<K>['query']>]
): string {
  const { query, ...ids } = (given ?? {}) as Record<string, unknown>;
  const path = pathOf(route, ids);
  const asked = new URLSearchParams(
    Object.entries((query ?? {}) as Record<string, unknown>).flatMap(([name, value]) =>
      value === undefined ? [] : [[name, String(value)]],
    ),
  ).toString();
  return asked ? `${path}?${asked}` : path;
}

/** Asks the server: what goes and what comes is typed by the route's definition. Throws as `$fetch` does. */
export function api<K extends Key>(route: K, ...given: Call<K>): Promise<AnswerOf<K>> {
  // All routes together are more than the compiler follows: here what is given is plain.
  const { body, query, ...ids } = ((given as unknown[])[0] ?? {}) as {
    body?: Record<string, unknown> | Uint8Array | Blob;
    query?: Record<string, unknown>;
  };
  return $fetch<AnswerOf<K>>(pathOf(route, ids), {
    method: route.slice(0, route.indexOf(' ')) as 'GET',
    ...(query && { query }),
    ...(body !== undefined && {
      body,
      ...((body instanceof Uint8Array || body instanceof Blob) && {
        headers: { 'content-type': 'application/octet-stream' },
      }),
    }),
  }) as Promise<AnswerOf<K>>;
}
