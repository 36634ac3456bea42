import { setResponseHeaders } from 'h3';
import { fileName } from '../../../../core/exchange/package';
import { writeScriptDocx } from '../../../../core/exchange/script/docx';
import { scriptOf, scriptText } from '../../../../core/exchange/script/spoken';
import { ScriptQuery } from '../../../inputs/query';
import { route } from '../../../route';

const TYPES = {
  docx: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  txt: 'text/plain; charset=utf-8',
};

/** The course as what somebody says, lesson by lesson. */
export default route({
  right: 'reader',
  query: ScriptQuery,
  async run({ event, me, query: { as }, ids, desks }) {
    const { courses, audit, now } = desks;
    const { course } = courses.load(ids.course);
    const lessons = scriptOf(course);
    audit.note(now(), me.id, 'export', course.id, `script ${as}`);
    setResponseHeaders(event, {
      'content-type': TYPES[as],
      'content-disposition': `attachment; filename="${fileName(course.title)}-script.${as}"`,
    });
    return as === 'txt' ? scriptText(course.title, lessons) : Buffer.from(await writeScriptDocx(course.title, lessons));
  },
});
