import type { Ref } from 'vue';
import { outlineFromText } from '~~/core/own/lines';
import { pasteRows } from '~~/core/own/pasted';
import { useCourse } from '~/stores/course';
import { freshId } from './useApi';

/**
 * Several lines pasted into a row of the outline become rows with their levels, behind it; points of lessons become
 * questions. One line is words, as ever. `then` hears of the first row made.
 */
export function usePastedRows(current: Ref<string | null>, then: (first: string) => void) {
  const desk = useCourse();
  return async (event: ClipboardEvent): Promise<void> => {
    const part = (event.target as HTMLElement | null)?.getAttribute('data-part');
    const plain = event.clipboardData?.getData('text/plain') ?? '';
    const html = event.clipboardData?.getData('text/html') ?? '';
    if (!desk.mayEdit || part !== 'title' || !/\S[^\S\n]*[\r\n]+\s*\S/.test(plain)) return;
    event.preventDefault();
    const text = /<(?:h[1-6]|li)[\s>]/i.test(html) ? (await import('~/words/pasted')).markdownOf(html) : plain;
    const own = outlineFromText(text, '');
    const flat = own.modules.length === 1 && own.modules[0]!.title === '';
    const titled = { ...own, modules: own.modules.map((each) => ({ ...each, title: each.title || 'New module' })) };
    desk.flushTyping();
    const { operations, first } = pasteRows(desk.course!, current.value, titled, flat, freshId('p'));
    const rows = operations.filter((each) => each.type === 'insert' && ['module', 'lesson'].includes(each.kind));
    if (first && desk.change(`${rows.length} rows pasted`, operations)) then(first);
  };
}
