import { route } from '../../../../route';

/** The pictures that a course's sources hold, in their order, each with its caption. */
export default route({
  right: 'reader',
  run({ ids, desks }) {
    const { sources } = desks;
    return sources.keys(ids.course).flatMap(({ id, version }) => {
      const source = sources.read(id, version)?.source;
      const passages = new Map(source?.passages.map((passage) => [passage.id, passage]));
      // The same picture may stand in a source often; it is offered once, as it stands there first.
      const pictures = new Map(source?.pictures.toReversed().map((picture) => [picture.hash, picture]));
      return [...pictures.values()].toReversed().map(({ hash, alt, caption, near }) => {
        // What it stands on: its caption, or the passage it stands by.
        const passage = passages.get(caption ?? near ?? '');
        return {
          source: id,
          title: source!.title,
          hash,
          alt,
          ...(caption && passage && { caption: passage.text }),
          ...(passage && { evidence: [{ id: passage.id, from: 0, to: passage.text.length }] }),
        };
      });
    });
  },
});
