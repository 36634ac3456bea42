import { UNDERSTANDING, type Claim } from '../../core/knowledge';
import { holdsOf, type Holds } from '../../core/knowledge/holds';
import type { Source } from '../../core/source/source';
import type { Db } from './open';

/** A source as a course lists it. */
export interface SourceRow {
  id: string;
  title: string;
  kind: string;
  version: string;
  file_name: string;
  language: string;
  words: number;
  read_at: number;
  position: number;
  holds: Holds;
}

/**
 * What a person may do with a source: `own` it, `change` it (put newer versions), `use` it in courses of theirs, or
 * only `read` the version a course uses.
 */
export type SourceMay = 'own' | 'change' | 'use' | 'read';

/**
 * A source on a person's shelf: its newest version where they may use it, otherwise the one a course of theirs uses;
 * when it was put away.
 */
export interface ShelfRow extends Omit<SourceRow, 'position'> {
  owner_id: string;
  put_away_at: number | null;
  may: SourceMay;
}

/** A version of a source as its history lists it; `serial` counts them in the order they were put. */
export interface VersionLine {
  version: string;
  serial: number;
  file_name: string;
  words: number;
  read_at: number;
  by: string | null;
}

/** Where a version comes from. */
interface VersionAbout {
  fileHash: string;
  fileName: string;
  at: number;
  /** Who put it. */
  by: string;
  /** Its claims were made by another installation, perhaps an older one: they hold until they are made anew. */
  understoodElsewhere?: boolean;
}

/** A row as the database has it: what it holds as text, null where it was read before that was kept. */
type Raw<Row> = Omit<Row, 'holds'> & { holds: string | null };

/** Sources, their versions, and which a course uses. A version holds what was read and what it claims. */
export function sourcesIn(db: Db) {
  const addSource = db.prepare('insert into source (id, owner_id, title, kind, created_at) values (?, ?, ?, ?, ?)');
  const serialOf = '(select coalesce(max(serial), 0) + 1 from source_version other where other.source_id = @id)';
  // A version that was there before and is put again is the newest again.
  const addVersion =
    db.prepare(`insert into source_version (source_id, version, file_hash, file_name, language, words, read_at, document, claims, holds, understood, put_by, serial)
    values (@id, @version, @fileHash, @fileName, @language, @words, @at, @document, @claims, @holds, @understood, @by, ${serialOf})
    on conflict (source_id, version) do update set serial = excluded.serial, put_by = excluded.put_by, read_at = excluded.read_at, file_name = excluded.file_name`);
  const versions = db.prepare<
    [string],
    VersionLine
  >(`select version, serial, file_name, words, read_at, person.name as by from source_version left join person on person.id = put_by
    where source_id = ? order by serial desc`);
  const columns =
    'source.id, source.title, source.kind, source_version.version, file_name, language, words, read_at, holds';
  const ofCourse = db.prepare<
    [string],
    Raw<SourceRow>
  >(`select ${columns}, position from course_source join source on source.id = course_source.source_id
    join source_version on source_version.source_id = source.id and source_version.version = course_source.version where course_id = ? order by position, source.id`);
  const document = db.prepare<[string, string], { document: string; claims: string }>(
    'select document, claims from source_version where source_id = ? and version = ?',
  );
  const sameFile = db.prepare<
    [string, string],
    { source_id: string; version: string; title: string }
  >(`select source_id, version, title from source_version
    join source on source.id = source_id where file_hash = ? and owner_id = ? order by created_at limit 1`);
  const sameContent = db.prepare<
    [string, string],
    { source_id: string; version: string; title: string }
  >(`select source_id, version, title from source_version
    join source on source.id = source_id where version = ? and owner_id = ? order by created_at limit 1`);
  const attach =
    db.prepare(`insert or ignore into course_source (course_id, source_id, version, position, added_by, added_at)
    values (@courseId, @sourceId, @version, (select coalesce(max(position), -1) + 1 from course_source where course_id = @courseId), @person, @at)`);
  const detach = db.prepare('delete from course_source where course_id = ? and source_id = ?');
  const uses = db.prepare<[string, string], { version: string }>(
    'select version from course_source where course_id = ? and source_id = ?',
  );
  const use = db.prepare('update course_source set version = ? where course_id = ? and source_id = ?');
  const owner = db.prepare<[string], { owner_id: string }>('select owner_id from source where id = ?');
  const newest =
    '(select version from source_version as other where other.source_id = source.id order by serial desc limit 1)';
  const given = db.prepare<[string, string], { may: 'use' | 'change' }>(
    'select may from source_person where source_id = ? and person_id = ?',
  );
  const givenTo = db.prepare<[string], { id: string; name: string; may: 'use' | 'change' }>(
    'select person.id, person.name, may from source_person join person on person.id = person_id where source_id = ? and removed_at is null order by person.name, person.id',
  );
  const give = db.prepare(
    'insert into source_person (source_id, person_id, may, given_by, given_at) values (@source, @person, @may, @by, @at) on conflict do update set may = excluded.may, given_by = excluded.given_by, given_at = excluded.given_at',
  );
  const takeBack = db.prepare('delete from source_person where source_id = ? and person_id = ?');
  const handOver = db.prepare('update source set owner_id = ? where owner_id = ?');
  /** The version that one of a person's courses uses, the one put last where they use several. */
  const inTheirs = `(select used.version from course_source used join course on course.id = used.course_id and removed_at is null join member on member.course_id = course.id and member.person_id = @person
    and accepted_at is not null and member.role in ('author', 'reviewer', 'marker') join source_version put on put.source_id = used.source_id and put.version = used.version where used.source_id = source.id order by put.serial desc limit 1)`;
  const mayOf =
    "case when owner_id = @person then 'own' else coalesce((select may from source_person where source_person.source_id = source.id and person_id = @person), 'read') end";
  const shelf = db.prepare<
    { person: string },
    Raw<ShelfRow>
  >(`select ${columns}, owner_id, put_away_at, may from (select source.*, ${mayOf} as may from source) as source
    join source_version on source_version.source_id = source.id and source_version.version = case when may = 'read' then ${inTheirs} else ${newest} end
    order by title collate nocase, source.id`);
  const usedIn = db.prepare<
    { person: string },
    { source_id: string; id: string; title: string }
  >(`select source_id, course.id, course.title from course_source join course on course.id = course_source.course_id and removed_at is null
    join member on member.course_id = course.id and person_id = @person and accepted_at is not null and member.role in ('author', 'reviewer', 'marker') order by course.title collate nocase, course.id`);
  const putAway = db.prepare('update source set put_away_at = ? where id = ? and owner_id = ?');
  const setHolds = db.prepare('update source_version set holds = ? where source_id = ? and version = ?');
  const olderUnderstood = db.prepare<[], { id: string; version: string }>(
    `select source_id as id, version from source_version where understood < ${UNDERSTANDING} limit 1`,
  );
  const setClaims = db.prepare(
    `update source_version set claims = ?, holds = ?, understood = ${UNDERSTANDING} where source_id = ? and version = ?`,
  );
  /** A row with what it holds; rows of before that was kept are counted once. */
  function withHolds<Row extends { id: string; version: string }>(row: Raw<Row>): Row {
    if (row.holds !== null) return { ...row, holds: JSON.parse(row.holds) } as unknown as Row;
    const found = document.get(row.id, row.version)!;
    const holds = holdsOf(JSON.parse(found.document) as Source, JSON.parse(found.claims) as Claim[]);
    setHolds.run(JSON.stringify(holds), row.id, row.version);
    return { ...row, holds } as unknown as Row;
  }
  return {
    add(source: Source, claims: readonly Claim[], about: VersionAbout & { owner: string }) {
      addSource.run(source.id, about.owner, source.title, source.kind, about.at);
      this.addVersion(source, claims, about);
    },
    /** Another version of a source that is there. */
    addVersion(source: Source, claims: readonly Claim[], about: VersionAbout) {
      addVersion.run({
        id: source.id,
        version: source.version,
        understood: about.understoodElsewhere ? 0 : UNDERSTANDING,
        fileHash: about.fileHash,
        fileName: about.fileName,
        by: about.by,
        language: source.language,
        words: source.words,
        at: about.at,
        document: JSON.stringify(source),
        claims: JSON.stringify(claims),
        holds: JSON.stringify(holdsOf(source, claims)),
      });
    },
    /** Makes a course use another version of a source it uses. */
    use: (courseId: string, sourceId: string, version: string) => void use.run(version, courseId, sourceId),
    ofCourse: (courseId: string): SourceRow[] => ofCourse.all(courseId).map((row) => withHolds<SourceRow>(row)),
    /**
     * Every source a person has: their own and those given to them in the newest version, those of courses they work on
     * as used there.
     */
    shelf: (person: string): ShelfRow[] => shelf.all({ person }).map((row) => withHolds<ShelfRow>(row)),
    /** Which of a person's courses use which source. */
    usedIn: (person: string) => usedIn.all({ person }),
    /** Puts a source of a person's own away, or (null) back; false when it is not theirs. */
    putAway: (id: string, person: string, at: number | null) => putAway.run(at, id, person).changes > 0,
    read(id: string, version: string) {
      const found = document.get(id, version);
      return found && { source: JSON.parse(found.document) as Source, claims: JSON.parse(found.claims) as Claim[] };
    },
    /** A version whose claims an older understanding made. */
    olderUnderstood: () => olderUnderstood.get(),
    /** Keeps the claims of a version that is there, made anew. */
    setClaims: (key: { id: string; version: string }, source: Source, claims: readonly Claim[]) =>
      void setClaims.run(JSON.stringify(claims), JSON.stringify(holdsOf(source, claims)), key.id, key.version),
    ownerOf: (id: string) => owner.get(id)?.owner_id,
    sameFile: (hash: string, owner: string) => sameFile.get(hash, owner),
    sameContent: (version: string, owner: string) => sameContent.get(version, owner),
    /** Makes a course use a version; false when it does already. */
    attach: (courseId: string, sourceId: string, version: string, person: string, at: number) =>
      attach.run({ courseId, sourceId, version, person, at }).changes > 0,
    detach: (courseId: string, sourceId: string) => detach.run(courseId, sourceId).changes > 0,
    versionIn: (courseId: string, sourceId: string) => uses.get(courseId, sourceId)?.version,
    /** Versions of a source, the one put last first. */
    versions: (id: string) => versions.all(id),
    /** What somebody may do with a source beyond reading it where a course uses it; undefined: nothing. */
    mayOf(id: string, person: string): Exclude<SourceMay, 'read'> | undefined {
      return owner.get(id)?.owner_id === person ? 'own' : given.get(id, person)?.may;
    },
    givenTo: (id: string) => givenTo.all(id),
    give: (id: string, person: string, may: 'use' | 'change', by: string, at: number) =>
      void give.run({ source: id, person, may, by, at }),
    takeBack: (id: string, person: string) => void takeBack.run(id, person),
    /** Gives all sources of a person to another, as when they leave. */
    handOver: (from: string, to: string) => void handOver.run(to, from),
  };
}
