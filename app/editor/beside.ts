import { Extension } from '@tiptap/core';
import { Plugin, PluginKey } from '@tiptap/pm/state';
import { Decoration, DecorationSet } from '@tiptap/pm/view';

/** What stands under parts of the page and is none of it, by the part's id. */
export const besideParts = (places: () => ReadonlyMap<string, HTMLElement>) =>
  Extension.create({
    name: 'besideParts',
    addProseMirrorPlugins: () => [
      new Plugin({
        key: new PluginKey('beside'),
        props: {
          decorations(state) {
            const found = places();
            if (found.size === 0) return null;
            const widgets: Decoration[] = [];
            state.doc.forEach((node, at) => {
              const element = found.get(node.attrs.id as string);
              if (element)
                widgets.push(
                  Decoration.widget(at + node.nodeSize, element, {
                    side: 1,
                    key: `beside ${String(node.attrs.id)}`,
                    ignoreSelection: true,
                    stopEvent: () => true,
                  }),
                );
            });
            return DecorationSet.create(state.doc, widgets);
          },
        },
      }),
    ],
  });
