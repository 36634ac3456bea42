import { TextSourceInput } from '../../../../inputs/course';
import { noted } from '../../../../utils/noted';
import { refuse } from '../../../../utils/request';
import { route } from '../../../../route';

/** Takes in pasted text or typed notes. */
export default route({
  right: 'author',
  body: TextSourceInput,
  carries: 'text',
  async run({ me, ids, body, desks }) {
    const { title, text } = body;
    const added = await desks.sources.addText(ids.course, title, text, me.id);
    return added.ok ? noted({ me, ids, desks }, added) : refuse(added.problem);
  },
});
