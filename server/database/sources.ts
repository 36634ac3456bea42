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

/** A source on the shelf: its newest version, and when it was put away. */
export interface ShelfRow extends Omit<SourceRow, 'position'> {
  owner_id: string;
  put_away_at: number | null;
}

/** Where a version comes from. */
interface VersionAbout {
  fileHash: string;
  fileName: string;
  at: number;
  /** Its claims were made by another installation, perhaps an older one: they hold until they are made anew. */
  understoodElsewhere?: boolean;
}

/** A row as the database has it: what it holds as text, null where it was read before that was kept. */
type Raw<Row> = Omit<Row, 'holds'> & { holds: string | null };

/** Sources, their versions, and which a course uses. A version holds what was read and what it claims. */
export function sourcesIn(db: Db) {
  const addSource = db.prepare('insert into source (id, owner_id, title, kind, created_at) values (?, ?, ?, ?, ?)');
  const addVersion = db.prepare(`insert or ignore into source_version (source_id, version, file_hash, file_name, language, words, read_at, document, claims, holds, understood)
    values (@id, @version, @fileHash, @fileName, @language, @words, @at, @document, @claims, @holds, @understood)`);
  const columns = 'source.id, source.title, source.kind, source_version.version, file_name, language, words, read_at, holds';
  const ofCourse = db.prepare<[string], Raw<SourceRow>>(`select ${columns}, position from course_source join source on source.id = course_source.source_id
    join source_version on source_version.source_id = source.id and source_version.version = course_source.version where course_id = ? order by position, source.id`);
  const document = db.prepare<[string, string], { document: string; claims: string }>('select document, claims from source_version where source_id = ? and version = ?');
  const sameFile = db.prepare<[string, string], { source_id: string; version: string; title: string }>(`select source_id, version, title from source_version
    join source on source.id = source_id where file_hash = ? and owner_id = ? order by created_at limit 1`);
  const sameContent = db.prepare<[string, string], { source_id: string; version: string; title: string }>(`select source_id, version, title from source_version
    join source on source.id = source_id where version = ? and owner_id = ? order by created_at limit 1`);
  const attach = db.prepare(`insert or ignore into course_source (course_id, source_id, version, position, added_by, added_at)
    values (@courseId, @sourceId, @version, (select coalesce(max(position), -1) + 1 from course_source where course_id = @courseId), @person, @at)`);
  const detach = db.prepare('delete from course_source where course_id = ? and source_id = ?');
  const uses = db.prepare<[string, string], { version: string }>('select version from course_source where course_id = ? and source_id = ?');
  const use = db.prepare('update course_source set version = ? where course_id = ? and source_id = ?');
  const owner = db.prepare<[string], { owner_id: string }>('select owner_id from source where id = ?');
  const rename = db.prepare('update source set title = ? where id = ?');
  const newest = '(select version from source_version as other where other.source_id = source.id order by read_at desc, version limit 1)';
  const reachable = `(owner_id = @person or exists (select 1 from course_source join course on course.id = course_source.course_id and removed_at is null
    join member on member.course_id = course.id and person_id = @person and member.role in ('author', 'reviewer') where course_source.source_id = source.id))`;
  const shelf = db.prepare<{ person: string }, Raw<ShelfRow>>(`select ${columns}, owner_id, put_away_at from source join source_version on source_version.source_id = source.id and source_version.version = ${newest}
    where ${reachable} order by title collate nocase, source.id`);
  const usedIn = db.prepare<{ person: string }, { source_id: string; id: string; title: string }>(`select source_id, course.id, course.title from course_source join course on course.id = course_source.course_id and removed_at is null
    join member on member.course_id = course.id and person_id = @person and member.role in ('author', 'reviewer') order by course.title collate nocase, course.id`);
  const putAway = db.prepare('update source set put_away_at = ? where id = ? and owner_id = ?');
  const setHolds = db.prepare('update source_version set holds = ? where source_id = ? and version = ?');
  const olderUnderstood = db.prepare<[], { id: string; version: string }>(`select source_id as id, version from source_version where understood < ${UNDERSTANDING} limit 1`);
  const setClaims = db.prepare(`update source_version set claims = ?, holds = ?, understood = ${UNDERSTANDING} where source_id = ? and version = ?`);
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
      addVersion.run({ id: source.id, version: source.version, understood: about.understoodElsewhere ? 0 : UNDERSTANDING, fileHash: about.fileHash, fileName: about.fileName, language: source.language, words: source.words, at: about.at, document: JSON.stringify(source), claims: JSON.stringify(claims), holds: JSON.stringify(holdsOf(source, claims)) });
    },
    /** Makes a course use another version of a source it uses. */
    use: (courseId: string, sourceId: string, version: string) => void use.run(version, courseId, sourceId),
    ofCourse: (courseId: string): SourceRow[] => ofCourse.all(courseId).map((row) => withHolds<SourceRow>(row)),
    /** Every source a person has, their own and those of courses they work on, in its newest version. */
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
    setClaims: (key: { id: string; version: string }, source: Source, claims: readonly Claim[]) => void setClaims.run(JSON.stringify(claims), JSON.stringify(holdsOf(source, claims)), key.id, key.version),
    ownerOf: (id: string) => owner.get(id)?.owner_id,
    sameFile: (hash: string, owner: string) => sameFile.get(hash, owner),
    sameContent: (version: string, owner: string) => sameContent.get(version, owner),
    /** Makes a course use a version; false when it does already. */
    attach: (courseId: string, sourceId: string, version: string, person: string, at: number) => attach.run({ courseId, sourceId, version, person, at }).changes > 0,
    detach: (courseId: string, sourceId: string) => detach.run(courseId, sourceId).changes > 0,
    versionIn: (courseId: string, sourceId: string) => uses.get(courseId, sourceId)?.version,
    rename: (id: string, title: string) => void rename.run(title, id),
  };
}
