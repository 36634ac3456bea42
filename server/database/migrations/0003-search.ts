/**
 * Passages by themselves with their words, to be searched; what a source holds in figures; sources put away from the
 * shelf.
 */
export const sql = `
alter table source add column put_away_at integer;
alter table source_version add column holds text;
alter table source_version add column searchable integer not null default 0;
create table passage (
  serial integer primary key, source_id text not null, version text not null, id text not null, position integer not null, kind text not null,
  text text not null, locator text not null, foreign key (source_id, version) references source_version (source_id, version) on delete cascade
) strict;
create index passage_by_id on passage (id);
create index passage_by_version on passage (source_id, version, position);
create virtual table passage_words using fts5 (words, stems, headings, content = '', contentless_delete = 1, tokenize = "unicode61 remove_diacritics 0 categories 'L* N* Co M*'", prefix = '3 4');
`;
