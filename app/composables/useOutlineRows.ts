import { keptRows, rowAt, rowsOf, type Row } from '~/components/outline/rows';
import { provideNear } from '~/composables/useNear';
import { useCourse } from '~/stores/course';

/** The rows of the outline on the screen: which are folded, which are chosen, and where the cursor is. */
export function useOutlineRows(body: Ref<HTMLElement | null>) {
  const desk = useCourse();
  const folded = ref(new Set<string>());
  const withChecks = ref(false);
  const current = ref<string | null>(null);
  /** Where choosing several rows began. */
  const anchor = ref<string | null>(null);
  const rows = computed<Row[]>((before) =>
    keptRows(before ?? [], rowsOf(desk.course!, folded.value, withChecks.value)),
  );
  provideNear(
    body,
    rows.value.map(({ id }) => id),
  );
  const places = computed(() => rows.value.filter((row) => row.kind !== 'check').map((row) => row.id));
  const selected = computed(() => {
    if (!current.value) return new Set<string>();
    const [a, b] = [places.value.indexOf(anchor.value ?? current.value), places.value.indexOf(current.value)].sort(
      (x, y) => x - y,
    ) as [number, number];
    return new Set(a < 0 ? [current.value] : places.value.slice(a, b + 1));
  });
  const chosenLesson = computed(() => desk.lessons.find((lesson) => lesson.id === current.value));
  const chosenModule = computed(() => desk.course!.modules.find(({ id }) => id === current.value));
  /** The module of the chosen row, whether the row is it or lies in it. */
  const homeModule = computed(
    () =>
      chosenModule.value ??
      desk.course!.modules.find((module) => module.lessons.some(({ id }) => id === current.value)) ??
      desk.course!.modules[0],
  );
  /** The chosen lessons, and those of chosen modules. */
  const chosenLessons = computed(() => {
    const modules = desk.course!.modules.filter(({ id }) => selected.value.has(id));
    const within = new Set(modules.flatMap((module) => module.lessons));
    return desk.lessons.filter((lesson) => selected.value.has(lesson.id) || within.has(lesson));
  });

  async function focus(id: string | null, part = 'title') {
    current.value = id;
    await nextTick();
    body.value?.querySelector<HTMLElement>(`[data-row="${id}"] [data-part="${part}"]`)?.focus();
  }
  async function select(id: string, extend = false) {
    if (!extend) anchor.value = id;
    current.value = id;
  }
  function reached(event: FocusEvent) {
    const id = rowAt(event, places.value);
    if (id !== undefined && id !== current.value) void select(id);
  }
  function pressed(event: MouseEvent) {
    const id = rowAt(event, places.value);
    if (id !== undefined) void select(id, event.shiftKey);
  }
  /** To the next or the one before, in the same column. */
  function step(by: number, extend: boolean) {
    const at = places.value.indexOf(current.value ?? '');
    const next = places.value[Math.min(places.value.length - 1, Math.max(0, at + by))];
    if (!next) return;
    if (!extend) anchor.value = next;
    const part = document.activeElement?.getAttribute('data-part') ?? 'title';
    const says = rows.value.find((row) => row.id === next)?.kind === 'module' ? 'purpose' : 'can';
    void focus(next, part === 'can' || part === 'purpose' ? says : 'title');
  }
  const fold = (id: string) =>
    void (folded.value = new Set(
      folded.value.has(id) ? [...folded.value].filter((each) => each !== id) : [...folded.value, id],
    ));
  const foldAll = () =>
    void (folded.value = folded.value.size > 0 ? new Set() : new Set(desk.course!.modules.map((module) => module.id)));
  /** Comes to a row, wherever it is folded away. */
  function reveal(id: string, part = 'title') {
    const home = desk.course!.modules.find((module) => module.lessons.some((lesson) => lesson.id === id));
    if (home && folded.value.has(home.id)) fold(home.id);
    anchor.value = id;
    const isModule = desk.course!.modules.some((module) => module.id === id);
    void focus(id, part === 'can' && isModule ? 'purpose' : part);
  }
  /** Comes to a row just made with its title marked: what is typed next is its name. */
  async function name(id: string) {
    anchor.value = id;
    await focus(id);
    await nextTick();
    (document.activeElement as HTMLInputElement | null)?.select?.();
  }
  return {
    rows,
    places,
    folded,
    withChecks,
    current,
    anchor,
    selected,
    chosenLesson,
    chosenLessons,
    chosenModule,
    homeModule,
    focus,
    select,
    reached,
    pressed,
    step,
    fold,
    foldAll,
    reveal,
    name,
  };
}
