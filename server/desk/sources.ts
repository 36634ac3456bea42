import { createHash } from 'node:crypto';
import { readFileSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { idFrom } from '../../core/document/id';
import { fail, type Problem } from '../../core/document/problem';
import type { Claim } from '../../core/knowledge';
import { contentVersion, renamedSource } from '../../core/source/assemble';
import { allSections, type Passage, type Source } from '../../core/source/source';
import { compareVersions, type VersionChange } from '../../core/source/versions';
import type { Db } from '../database/open';
import { sourcesIn, type SourceRow, type VersionLine } from '../database/sources';
import type { Drafter } from '../drafting/drafter';
import type { Came, FileStore } from '../files';
import { readInChild, readOutlineInChild, readQuestionsInChild, readTextInChild, withZip } from '../reading';
import { fairTurns } from '../reading/turns';
import { remembered, WORDS_HELD } from '../utils/remembered';
import { freshId } from '../ids';

/** Reading processes at a time, each of which may take a gigabyte; one person gets two of them at most. */
const READERS = 3;

/** The id of what a course's authors answered, as a source: it is the course's own. */
export const interviewId = (courseId: string): string => idFrom('s', courseId, 'interview');

/** What became of a source that was given. */
export type Added = { ok: true; source: SourceRow; same?: string } | { ok: false; problem: Problem };

/** What became of a zip of files, file by file. */
export type AddedZip = { ok: true; files: { name: string; added: Added }[] } | { ok: false; problem: Problem };

/** What a newer version of a source brought; `same`: nothing changed. */
export type Newer = { same: true } | { same: false; change: VersionChange };

/** A passage in its place, for the evidence pane. */
export interface PassageInContext {
  passage: Passage;
  source: { id: string; title: string; kind: string; language: string; address?: string };
  before: Passage[];
  after: Passage[];
  claims: Pick<Claim, 'id' | 'kind' | 'rule' | 'term'>[];
}

/**
 * The sources of a data folder: reading, keeping, showing. Files are kept under their SHA-256. `onAdded` hears of
 * whatever came in; `languageOf` is a course's language, for texts too short to tell theirs.
 */
export function sourceDesk(
  db: Db,
  folder: string,
  files: FileStore,
  drafter: Drafter,
  now: () => number,
  {
    onAdded = () => undefined,
    languageOf = () => 'und',
  }: { onAdded?: () => void; languageOf?: (courseId: string) => string } = {},
) {
  const sources = sourcesIn(db);
  const known = remembered<{ source: Source; claims: Claim[] }>({
    most: 12,
    weigh: ({ source }) => source.words,
    weight: WORDS_HELD,
  });
  const turn = fairTurns(READERS);

  const read = (id: string, version: string) => known.of(`${id}/${version}`, () => sources.read(id, version));

  const inCourse = (courseId: string, id: string) => sources.ofCourse(courseId).find((row) => row.id === id)!;

  /**
   * Takes in a file that lies at `path` under a name. The same file, or another with the same content, is not read
   * twice: the course gets the one on the shelf. `signal` stops it; then nothing of it is kept, and `stopped` is
   * thrown.
   */
  async function addFile(
    courseId: string,
    path: string,
    name: string,
    person: string,
    signal?: AbortSignal,
  ): Promise<Added> {
    const bytes = new Uint8Array(readFileSync(path));
    const hash = createHash('sha256').update(bytes).digest('hex');
    const same = sources.sameFile(hash, person);
    if (same) return attachKnown(courseId, same, person);
    const id = freshId('s');
    const result = await turn(person, () => readInChild(path, id, signal, name));
    if (!result.ok) return result;
    return keep(courseId, { ...result.source, id }, result.media, bytes, name, person, signal);
  }

  /** Reads an author's own outline, in turn with everybody's files. Throws the problem it met. */
  const readOwnOutline = (name: string, bytes: Uint8Array, title: string, person: string) =>
    turn(person, () => readOutlineInChild(name, bytes, title));

  /** Reads an author's own questions, likewise. */
  const readOwnQuestions = (name: string, bytes: Uint8Array, lesson: string, language: string, person: string) =>
    turn(person, () => readQuestionsInChild(name, bytes, lesson, language));

  /** Takes in every file of a zip as a source of its own; what cannot be read is told for each. */
  async function addZip(
    courseId: string,
    path: string,
    name: string,
    person: string,
    signal?: AbortSignal,
  ): Promise<AddedZip> {
    const done = await withZip(
      path,
      name,
      async (files): Promise<AddedZip> => {
        const all: { name: string; added: Added }[] = [];
        for (const file of files)
          all.push({ name: file.name, added: await addUnpacked(courseId, file, person, signal) });
        return { ok: true, files: all };
      },
      signal,
    );
    return 'files' in done && done.files.length === 0
      ? { ok: false, problem: { code: 'zip-empty', place: name } }
      : done;
  }

  async function addUnpacked(
    courseId: string,
    file: { name: string; path: string },
    person: string,
    signal?: AbortSignal,
  ): Promise<Added> {
    if (!statSync(file.path).isDirectory()) return addFile(courseId, file.path, file.name, person, signal);
    const id = freshId('s');
    const result = await turn(person, () => readInChild(file.path, id, signal, file.name));
    return result.ok
      ? keep(courseId, { ...result.source, id }, result.media, undefined, `${file.name}/`, person, signal)
      : result;
  }

  /** Takes in text that was pasted or typed. */
  async function addText(courseId: string, title: string, text: string, person: string): Promise<Added> {
    const bytes = new TextEncoder().encode(text);
    const result = await turn(person, () => readTextInChild(text, freshId('s'), 'notes.md'));
    if (!result.ok) return { ok: false, problem: { ...result.problem, place: title } };
    return keep(courseId, { ...result.source, title }, new Map(), bytes, `${title}.md`, person);
  }

  /** Keeps what was read. Without bytes of its own (a folder of pages), what was read is what is kept. */
  async function keep(
    courseId: string,
    read: Source,
    media: ReadonlyMap<string, Uint8Array>,
    bytes: Uint8Array | undefined,
    fileName: string,
    person: string,
    signal?: AbortSignal,
  ): Promise<Added> {
    const source = read.language === 'und' ? { ...read, language: languageOf(courseId) } : read;
    const alike = sources.sameContent(source.version, person);
    if (alike) return attachKnown(courseId, alike, person);
    const { claims } = await drafter.ask('understand', { source });
    if (signal?.aborted) fail('stopped');
    for (const picture of media.values()) files.keep(picture);
    const fileHash = bytes ? files.keep(bytes) : source.version;
    db.transaction(() => {
      sources.add(source, claims, { owner: person, by: person, fileHash, fileName, at: now() });
      sources.attach(courseId, source.id, source.version, person, now());
    })();
    onAdded();
    return { ok: true, source: inCourse(courseId, source.id) };
  }

  /** Takes in what was read elsewhere, from an address. */
  function keepRead(
    courseId: string,
    source: Source,
    media: ReadonlyMap<string, Uint8Array>,
    bytes: Uint8Array | undefined,
    name: string,
    person: string,
  ): Promise<Added> {
    return keep(courseId, source, media, bytes, name, person);
  }

  /** Only who owns a source, or was given it to change, may put a newer version of it. Throws `not-yours-to-change`. */
  function mustMayChange(id: string, person: string): void {
    const may = sources.mayOf(id, person);
    if (may !== 'own' && may !== 'change') fail('not-yours-to-change', undefined, id);
  }

  /** Takes in a newer version of a source, under the same id; its course uses it from then on. */
  async function keepVersion(
    courseId: string,
    held: Source,
    source: Source,
    bytes: Uint8Array | undefined,
    name: string,
    person: string,
  ): Promise<Newer> {
    if (source.version === held.version) return { same: true };
    const { claims } = await drafter.ask('understand', { source });
    const fileHash = bytes ? files.keep(bytes) : source.version;
    db.transaction(() => {
      sources.addVersion(source, claims, { fileHash, fileName: name, at: now(), by: person });
      sources.use(courseId, source.id, source.version);
    })();
    onAdded();
    return { same: false, change: compareVersions(held, source) };
  }

  /**
   * Takes in what an author answered, under an id of the course's own: the first time, or as a newer version. False:
   * nothing changed.
   */
  async function keepAnswers(courseId: string, source: Source, person: string): Promise<boolean> {
    const held = sources.versionIn(courseId, source.id);
    if (held !== undefined)
      return !(await keepVersion(courseId, read(source.id, held)!.source, source, undefined, source.title, person))
        .same;
    const { claims } = await drafter.ask('understand', { source });
    db.transaction(() => {
      const about = { owner: person, by: person, fileHash: source.version, fileName: source.title, at: now() };
      // Taken off the course before, it lies on the shelf still.
      if (sources.ownerOf(source.id)) sources.addVersion(source, claims, about);
      else sources.add(source, claims, about);
      sources.attach(courseId, source.id, source.version, person, now());
    })();
    onAdded();
    return true;
  }

  /** Takes in a file as a newer version of a source. Throws `no-such-source`, `not-yours-to-change`. */
  async function addNewer(
    courseId: string,
    id: string,
    path: string,
    name: string,
    person: string,
  ): Promise<Newer | { problem: Problem }> {
    mustMayChange(id, person);
    const version = sources.versionIn(courseId, id) ?? fail('no-such-source', undefined, id);
    const held = read(id, version)!.source;
    const result = await turn(person, () => readInChild(path, id, undefined, name));
    return result.ok
      ? keepVersion(
          courseId,
          held,
          { ...result.source, ...(held.address && { address: held.address }) },
          new Uint8Array(readFileSync(path)),
          name,
          person,
        )
      : { problem: result.problem };
  }

  /**
   * Takes sources from a person's shelf into a course; those they do not have, or may only read where a course uses
   * them, are left out. Gives those that came in.
   */
  function fromShelf(courseId: string, ids: readonly string[], person: string): string[] {
    const shelf = new Map(
      sources
        .shelf(person)
        .filter((row) => row.may !== 'read')
        .map((row) => [row.id, row]),
    );
    return ids.filter((id) => shelf.has(id) && sources.attach(courseId, id, shelf.get(id)!.version, person, now()));
  }

  function attachKnown(
    courseId: string,
    same: { source_id: string; version: string; title: string },
    person: string,
  ): Added {
    sources.attach(courseId, same.source_id, same.version, person, now());
    return { ok: true, source: inCourse(courseId, same.source_id), same: same.title };
  }

  /**
   * Takes in sources that came with an archive: each becomes one of the person's own, under an id of its own; what they
   * have already, word for word, is used as it is. Nothing that lies here of somebody else is touched or opened. Gives
   * what the ids in the archive became. `keepIds` is for our own demo alone.
   */
  function adopt(
    courseId: string,
    given: readonly { source: Source; claims: readonly Claim[] }[],
    media: ReadonlyMap<string, Came>,
    person: string,
    keepIds = false,
  ): Map<string, string> {
    const ids = new Map<string, string>();
    for (const { source: came, claims } of given) {
      const version = contentVersion(came);
      const alike = keepIds ? undefined : sources.sameContent(version, person);
      const held = alike && sources.read(alike.source_id, version)?.source;
      const made = renamedSource(
        came,
        held?.id ?? (keepIds ? came.id : came.kind === 'interview' ? interviewId(courseId) : freshId('s')),
      );
      if (held) {
        // The same words in the same order: passages and sections are known by their place.
        const pairs = (from: readonly { id: string }[], to: readonly { id: string }[]) =>
          from.forEach((each, at) => ids.set(each.id, to[at]?.id ?? each.id));
        pairs(came.passages, held.passages);
        pairs(allSections(came.root), allSections(held.root));
        ids.set(came.id, held.id);
        sources.attach(courseId, held.id, version, person, now());
        continue;
      }
      if (!keepIds) for (const [from, to] of made.ids) ids.set(from, to);
      const source = { ...(keepIds ? came : made.source), version };
      for (const { hash } of source.pictures) if (media.has(hash)) files.take(hash, media.get(hash)!);
      sources.add(source, keepIds ? claims : [], {
        owner: person,
        by: person,
        fileHash: version,
        fileName: source.title,
        at: now(),
        understoodElsewhere: true,
      });
      sources.attach(courseId, source.id, version, person, now());
    }
    return ids;
  }

  let renewing: Promise<void> | undefined;
  /**
   * One source after another, so that what others ask meanwhile waits for one at most. What cannot be understood keeps
   * what it had.
   */
  async function renewClaims(): Promise<void> {
    for (let key = sources.olderUnderstood(); key; key = db.open ? sources.olderUnderstood() : undefined) {
      const held = sources.read(key.id, key.version)!;
      const claims = await drafter.ask('understand', { source: held.source }).then(
        (made) => made.claims,
        () => held.claims,
      );
      if (!db.open) return;
      sources.setClaims(key, held.source, claims);
      known.forget(`${key.id}/${key.version}`);
    }
  }

  /** Passages of a course's sources with their neighbours; those that are gone are left out. */
  function passages(courseId: string, ids: readonly string[], around = 2): PassageInContext[] {
    const wanted = new Set(ids);
    return sources
      .ofCourse(courseId)
      .flatMap((row) => {
        const found = read(row.id, row.version);
        if (!found) return [];
        return found.source.passages.flatMap((passage, at) => {
          if (!wanted.has(passage.id)) return [];
          const all = found.source.passages;
          const claims = found.claims
            .filter((claim) => claim.ranges.some((range) => range.id === passage.id))
            .map(({ id, kind, rule, term }) => ({ id, kind, ...(rule && { rule }), ...(term && { term }) }));
          return [
            {
              passage,
              source: {
                id: row.id,
                title: row.title,
                kind: row.kind,
                language: row.language,
                ...(found.source.address && { address: found.source.address }),
              },
              before: all.slice(Math.max(0, at - around), at),
              after: all.slice(at + 1, at + 1 + around),
              claims,
            },
          ];
        });
      })
      .sort((a, b) => ids.indexOf(a.passage.id) - ids.indexOf(b.passage.id));
  }

  return {
    addFile,
    readOwnOutline,
    readOwnQuestions,
    addZip,
    addText,
    addNewer,
    keepAnswers,
    keepRead,
    keepVersion,
    mustMayChange,
    inTurn: turn,
    adopt,
    fromShelf,
    passages,
    read,
    hear: onAdded,
    ofCourse: (courseId: string) => sources.ofCourse(courseId),
    keys: (courseId: string) => sources.ofCourse(courseId).map(({ id, version }) => ({ id, version })),
    /**
     * Makes anew the claims of sources that were understood by an earlier state of this program; resolves when all are.
     */
    renewClaims: (): Promise<void> => (renewing ??= renewClaims().finally(() => (renewing = undefined))),
    /** A source as its course uses it, or undefined when it does not. */
    inCourse(courseId: string, id: string) {
      const version = sources.versionIn(courseId, id);
      return version === undefined ? undefined : read(id, version);
    },
    shelf: (person: string) => sources.shelf(person),
    usedIn: (person: string) => sources.usedIn(person),
    putAway: (id: string, person: string, away: boolean) => sources.putAway(id, person, away ? now() : null),
    detach: (courseId: string, id: string) => sources.detach(courseId, id),
    /** What a person may do with a source of a course they work on. */
    mayOf: (id: string, person: string) => sources.mayOf(id, person) ?? ('read' as const),
    /** The versions of a source, for those who may use it; others see the one their course uses. */
    versions(courseId: string, id: string, person: string): (VersionLine & { used: boolean })[] {
      const used = sources.versionIn(courseId, id) ?? fail('no-such-source', undefined, id);
      return sources
        .versions(id)
        .map((line) => ({ ...line, used: line.version === used }))
        .filter((line) => line.used || sources.mayOf(id, person) !== undefined);
    },
    /**
     * Makes a course use another version of a source that its person may use; gives what differs. Throws
     * `no-such-source`, `not-yours-to-change`.
     */
    useVersion(courseId: string, id: string, version: string, person: string): Newer {
      const used = sources.versionIn(courseId, id) ?? fail('no-such-source', undefined, id);
      if (sources.mayOf(id, person) === undefined) fail('not-yours-to-change', undefined, id);
      const [before, after] = [read(id, used)?.source, read(id, version)?.source];
      if (!before || !after) return fail('no-such-source', undefined, id);
      if (used === version) return { same: true };
      sources.use(courseId, id, version);
      return { same: false, change: compareVersions(before, after) };
    },
    givenTo: (id: string) => sources.givenTo(id),
    /** Lets somebody use or change a source, or (none) not any more; only its owner does. Throws `no-such-source`. */
    give(id: string, owner: string, person: string, may: 'use' | 'change' | 'none'): void {
      if (sources.mayOf(id, owner) !== 'own') fail('no-such-source', undefined, id);
      if (may === 'none') sources.takeBack(id, person);
      else sources.give(id, person, may, owner, now());
    },
    handOver: (from: string, to: string) => sources.handOver(from, to),
    temporaryPath: () => join(folder, 'files', `upload.${freshId('t')}`),
    discard: (path: string) => rmSync(path, { force: true }),
  };
}

export type SourceDesk = ReturnType<typeof sourceDesk>;
