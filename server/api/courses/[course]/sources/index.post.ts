import { defineEventHandler } from 'h3';
import { TextSourceInput } from '../../../../inputs/course';
import { noted } from '../../../../utils/noted';
import { installation } from '../../../../utils/installation';
import { answering, bodyAs, idOf, personOf, refuse } from '../../../../utils/request';

/** Takes in pasted text or typed notes. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { title, text } = await bodyAs(event, TextSourceInput);
    const added = await installation().sources.addText(idOf(event, 'course'), title, text, personOf(event).id);
    return added.ok ? noted(event, added) : refuse(added.problem);
  }),
);
