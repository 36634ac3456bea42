import { defineEventHandler, getQuery, setResponseHeaders } from 'h3';
import { packageName, writePackage } from '../../../../../../core/exchange/package';
import { PACKAGE_FORMATS } from '../../../../../../core/learning/packages';
import { playerFiles } from '../../../../../player';
import { installation } from '../../../../../utils/installation';
import { answering, idOf, personOf, refuse } from '../../../../../utils/request';

/** A release as a package, to be taken without this app. */
export default defineEventHandler((event) =>
  answering(() => {
    const { releases, media, audit, now } = installation();
    const format =
      PACKAGE_FORMATS.find((each) => each === getQuery(event).format) ?? refuse({ code: 'bad-input', place: 'format' });
    const id = idOf(event, 'course');
    const row = releases.get(id, idOf(event, 'release'));
    const frozen = releases.frozen(row.id);
    const bytes = writePackage(
      { id: row.id, number: row.number, rules: row.rules, frozen },
      format,
      playerFiles(),
      media.bytesOf(id, frozen.view),
    );
    audit.note(now(), personOf(event).id, 'export', id, `release ${row.number} ${format}`);
    setResponseHeaders(event, {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${packageName(frozen.view.title, format)}"`,
    });
    return Buffer.from(bytes);
  }),
);
