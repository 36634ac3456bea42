import { packageFiles, packageName } from '../../../../../../core/exchange/package';
import { playerFiles } from '../../../../../player';
import { PackageQuery } from '../../../../../inputs/query';
import { sendZip } from '../../../../../utils/zip';
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
    const files = packageFiles(
      { id: row.id, number: row.number, rules: row.rules, frozen },
      format,
      playerFiles(),
      media.laidOf(id, frozen.view),
    );
    audit.note(now(), me.id, 'export', id, `release ${row.number} ${format}`);
    return sendZip(event, packageName(frozen.view.title, format), files);
  },
});
