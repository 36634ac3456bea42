import { useCourse } from '~/stores/course';

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** The fields of a kind that are lists of things with ids. */
type Lists<Kind> = {
  [Field in keyof Kind]: Kind[Field] extends { id: string }[] ? Field : never;
}[keyof Kind] &
  string;
type Item<Kind, Field extends keyof Kind> = Kind[Field] extends (infer Each)[] ? Each & { id: string } : never;

/**
 * Puts a value into a field of the thing that is edited; with a gesture it is typing, which may meet another's change.
 */
type Put<Kind> = <Field extends keyof Kind & string>(
  what: string,
  field: Field,
  value: Kind[Field] | undefined,
  was: Kind[Field] | undefined,
  group?: string,
) => boolean | void;

/**
 * How the fields and lists of a thing are edited in place: one field at a time, each change a gesture of its own. A
 * field that gives its words away late must not bring an older thing back, so everything starts from the thing as it
 * stands now (`now`); `put` gives a change to the course.
 */
export function useFieldEditing<Kind>(now: () => Kind, put: Put<Kind>) {
  const desk = useCourse();

  /** Puts a value into a field. Undefined takes an optional one away. */
  function set<Field extends keyof Kind & string>(what: string, field: Field, value: Kind[Field] | undefined) {
    desk.flushTyping();
    const was = now()[field];
    if (JSON.stringify(value) !== JSON.stringify(was)) put(what, field, value, was);
  }
  /** Takes in what is typed into a field; `was` is what stood there when typing began. */
  const type = <Field extends keyof Kind & string>(
    what: string,
    field: Field,
    value: Kind[Field] | undefined,
    was: Kind[Field] | undefined,
    group: string,
  ) => put(what, field, value, was, group);
  /**
   * Takes in what is typed into one thing of a list. `before` is the thing as it was when typing began: when somebody
   * else was quicker, both are kept.
   */
  function typeIn<Field extends Lists<Kind>>(
    field: Field,
    id: string,
    what: string,
    group: string,
    changed: (item: Item<Kind, Field>) => Item<Kind, Field>,
    before: (item: Item<Kind, Field>) => Item<Kind, Field>,
  ) {
    const list = now()[field] as unknown as Item<Kind, Field>[];
    const each = (change: typeof changed) => list.map((item) => (item.id === id ? change(plain(item)) : item));
    return type(what, field, each(changed) as Kind[Field], each(before) as Kind[Field], group);
  }
  /** Takes in what is typed as one text of a thing of a list: what a field in place saves by. */
  const saves =
    <Field extends Lists<Kind>>(field: Field, id: string, key: keyof Item<Kind, Field>, what: string) =>
    (text: string, was: string, group: string) =>
      typeIn(
        field,
        id,
        what,
        group,
        (item) => ({ ...item, [key]: text }),
        (item) => ({ ...item, [key]: was }),
      );
  /** Changes one thing of a list at once. */
  function change<Field extends Lists<Kind>>(
    field: Field,
    id: string,
    what: string,
    changed: (item: Item<Kind, Field>) => Item<Kind, Field>,
  ) {
    desk.flushTyping();
    const list = now()[field] as unknown as Item<Kind, Field>[];
    set(what, field, list.map((item) => (item.id === id ? changed(plain(item)) : item)) as Kind[Field]);
  }
  function add<Field extends Lists<Kind>>(field: Field, item: Item<Kind, Field>, what: string) {
    desk.flushTyping();
    set(what, field, [...(now()[field] as unknown as Item<Kind, Field>[]), item] as Kind[Field]);
  }
  function drop<Field extends Lists<Kind>>(field: Field, id: string, what: string) {
    desk.flushTyping();
    const list = now()[field] as unknown as Item<Kind, Field>[];
    set(what, field, list.filter((item) => item.id !== id) as Kind[Field]);
  }
  function move<Field extends Lists<Kind>>(field: Field, id: string, by: 1 | -1, what: string) {
    desk.flushTyping();
    const list = [...(now()[field] as unknown as Item<Kind, Field>[])];
    const at = list.findIndex((item) => item.id === id);
    if (at < 0 || at + by < 0 || at + by >= list.length) return;
    const [item] = list.splice(at, 1);
    list.splice(at + by, 0, item!);
    set(what, field, list as Kind[Field]);
  }
  return { desk, now, set, type, typeIn, saves, change, add, drop, move };
}
