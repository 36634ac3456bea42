import { defineEventHandler } from 'h3';
import { LinkInput } from '../../../inputs/course';
import { noted } from '../../../utils/noted';
import { installation } from '../../../utils/installation';
import { answering, bodyAs, idOf, personOf, refuse } from '../../../utils/request';

/** Takes in what lies at an address as a source. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { address, below } = await bodyAs(event, LinkInput);
    const added = await installation().links.add(idOf(event, 'course'), address, below, personOf(event).id);
    return added.ok ? noted(event, added) : refuse(added.problem);
  }),
);
