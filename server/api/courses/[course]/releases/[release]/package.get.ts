import { setResponseHeaders } from 'h3';
import { packageName, writePackage } from '../../../../../../core/exchange/package';
import { playerFiles } from '../../../../../player';
import { PackageQuery } from '../../../../../inputs/query';
import { route } from '../../../../../route';

/** A release as a package, to be taken without this app. */
export default route({
  right: 'author',
  query: PackageQuery,
  run({ event, me, query: { format }, ids, desks }) {
    const { releases, media, audit, now } = desks;
    const id = ids.course;
    const row = releases.get(id, ids.release);
    const frozen = releases.frozen(row.id);
    const bytes = writePackage(
      { id: row.id, number: row.number, rules: row.rules, frozen },
      format,
      playerFiles(),
      media.bytesOf(id, frozen.view),
    );
    audit.note(now(), me.id, 'export', id, `release ${row.number} ${format}`);
    setResponseHeaders(event, {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${packageName(frozen.view.title, format)}"`,
    });
    return Buffer.from(bytes);
  },
});
