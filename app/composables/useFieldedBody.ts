import type { BlockBodies, BlockKind } from '~~/core/blocks/forms';
import { useCourse } from '~/stores/course';

/**
 * The body of a block whose fields are edited (`fieldedNode`), as it stands, and how they are. The course is looked
 * at first: the node follows it.
 */
export function useFieldedBody<Kind extends BlockKind>(
  kind: Kind,
  node: () => { attrs: Readonly<Record<string, unknown>> },
) {
  type Body = BlockBodies[Kind];
  const course = useCourse();
  const block = computed(() => String(node().attrs.id));
  const inCourse = (): Body | undefined => {
    const found = course.lessons.flatMap(({ blocks }) => blocks).find(({ id }) => id === block.value);
    return found?.kind === kind ? (found.body as Body) : undefined;
  };
  const stand = (): Body => inCourse() ?? (node().attrs.body as Body);
  const editing = useFieldEditing<Body>(stand, (what, field, value, was, group) => {
    const whole = (part: unknown) => {
      const rest: Partial<Body> = { ...stand() };
      delete rest[field];
      return { ...rest, ...(part !== undefined && { [field]: part }) };
    };
    const operation = { type: 'set' as const, id: block.value, field: 'body', value: whole(value), was: whole(was) };
    return group ? course.type(what, [operation], group) : course.change(what, [operation]);
  });
  /** Puts another body there at once. */
  const replace = (what: string, body: Body) => {
    course.flushTyping();
    course.change(what, [{ type: 'set', id: block.value, field: 'body', value: body, was: stand() }]);
  };
  return { course, block, body: computed(stand), stand, replace, ...editing };
}
