import type { Scene, SceneChoice, ScenarioCheck } from '~~/core/checks/scenario/form';
import { CHOICES_MOST, SCENES_MOST } from '~~/core/checks/scenario/form';
import { MORE_WORDS } from '~~/core/checks/fresh';
import { freshId } from '~/composables/useApi';
import { useCheckEditing } from '../editing';

type Texts<Of> = { [Key in keyof Of]: Of[Key] extends string ? Key : never }[keyof Of];

/** How a story is edited in place: every change starts from the story as it stands, and is a gesture of its own. */
export function useScenarioEditing(props: { check: ScenarioCheck; readonly?: boolean }) {
  const editing = useCheckEditing<ScenarioCheck>(props);
  const { desk, mayEdit, now, set, typeIn, change } = editing;
  const mapped = (scene: Scene, id: string, change: (choice: SceneChoice) => SceneChoice): Scene => ({
    ...scene,
    choices: scene.choices.map((choice) => (choice.id === id ? change(choice) : choice)),
  });
  /** What a field in place saves the words of a scene by. */
  const savesScene = (id: string, key: 'title' | 'text') => (words: string, was: string, group: string) =>
    typeIn(
      'scenes',
      id,
      key === 'title' ? 'name of a scene' : 'scene',
      group,
      (scene) => ({ ...scene, [key]: words }),
      (scene) => ({ ...scene, [key]: was }),
    );
  const savesChoice =
    (scene: string, id: string, key: Texts<SceneChoice> & ('text' | 'follows')) =>
    (words: string, was: string, group: string) =>
      typeIn(
        'scenes',
        scene,
        key === 'text' ? 'choice' : 'what follows',
        group,
        (each) => mapped(each, id, (choice) => ({ ...choice, [key]: words })),
        (each) => mapped(each, id, (choice) => ({ ...choice, [key]: was })),
      );
  const savesScore =
    (scene: string, id: string) => (value: number | undefined, was: number | undefined, group: string) =>
      typeIn(
        'scenes',
        scene,
        'points',
        group,
        (each) => mapped(each, id, (choice) => ({ ...choice, score: Math.round(value ?? 0) })),
        (each) => mapped(each, id, (choice) => ({ ...choice, score: Math.round(was ?? 0) })),
      );
  const blank = (): Scene => ({ id: freshId('s'), title: '', text: '', choices: [] });
  const has = (id: string) => now().scenes.some((scene) => scene.id === id);

  /** One more choice in a scene, behind another or at its end; its id, or nothing where a scene holds no more. */
  function addChoice(scene: string, after?: string): string | undefined {
    const found = now().scenes.find(({ id }) => id === scene);
    if (!mayEdit.value || !found || found.choices.length >= CHOICES_MOST) return undefined;
    const choice: SceneChoice = { id: freshId('a'), text: MORE_WORDS.choice, score: 0, follows: '', quotes: [] };
    change('scenes', scene, 'new choice', (each) => {
      const at = after === undefined ? each.choices.length : each.choices.findIndex(({ id }) => id === after) + 1;
      return { ...each, choices: each.choices.toSpliced(at, 0, choice) };
    });
    return choice.id;
  }
  const dropChoice = (scene: string, id: string) =>
    change('scenes', scene, 'choice deleted', (each) => ({
      ...each,
      choices: each.choices.filter((choice) => choice.id !== id),
    }));
  /** Where a choice leads: to a scene, to the end (nothing), or to a new scene behind its own, whose id is given. */
  function lead(scene: string, id: string, to: string | undefined | 'new'): string | undefined {
    desk.flushTyping();
    const { scenes } = now();
    const made = to === 'new' ? blank() : undefined;
    if (made && scenes.length >= SCENES_MOST) return undefined;
    const target = made?.id ?? to;
    if (target !== undefined && !made && !has(target)) return undefined;
    const led = scenes.map((each) => {
      if (each.id !== scene) return each;
      return mapped(each, id, (choice) => {
        const { id: own, text, score, follows, quotes } = choice;
        return { id: own, text, score, follows, quotes, ...(target !== undefined && { to: target }) };
      });
    });
    const at = led.findIndex((each) => each.id === scene);
    set(made ? 'new scene' : 'where a choice leads', 'scenes', made ? led.toSpliced(at + 1, 0, made) : led);
    return made?.id;
  }
  /** One more scene behind another, that nothing leads to yet. */
  function addScene(after: string): string | undefined {
    desk.flushTyping();
    const { scenes } = now();
    if (!mayEdit.value || scenes.length >= SCENES_MOST) return undefined;
    const made = blank();
    set('new scene', 'scenes', scenes.toSpliced(scenes.findIndex(({ id }) => id === after) + 1, 0, made));
    return made.id;
  }
  /** Takes a scene out; what led to it ends there. One stays at least: a story begins somewhere. */
  function dropScene(id: string) {
    desk.flushTyping();
    const { scenes } = now();
    if (scenes.length < 2) return;
    const left = scenes
      .filter((scene) => scene.id !== id)
      .map((scene) => ({
        ...scene,
        choices: scene.choices.map((choice) => {
          if (choice.to !== id) return choice;
          const { id: own, text, score, follows, quotes } = choice;
          return { id: own, text, score, follows, quotes };
        }),
      }));
    set('scene deleted', 'scenes', left);
  }
  return { ...editing, savesScene, savesChoice, savesScore, addChoice, dropChoice, lead, addScene, dropScene };
}
