/** By which understanding the claims of a source's version were made: older ones are made anew. */
export const sql = `
alter table source_version add column understood integer not null default 0;
create index source_version_by_understanding on source_version (understood);
`;
