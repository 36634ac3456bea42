import { createHash } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { commonTerms, understand, UNDERSTANDING } from '../../core/knowledge';
import { packFor } from '../../server/language/packs';
import { fromFile, fromMarkdown, knowing } from '../builders';

const POLICY = `# Policy

## Words

- **Borrower**: the member who signs for a tool.
- **Deposit**: the money that a borrower leaves with us.

A near miss is a mistake that was found in time. Each near miss is written down.

## At the desk

The desk lead must:

- carry the keys,
- count the till.

To close the desk, follow these steps:

1. Count the till.
2. Switch off the lights. They are beside the door.
3. Lock the door.

**Plug**: the light is on. Tools must come back within seven days, because others wait.

| Word | Meaning |
|---|---|
| Slip | The paper with the due date on it |
`;

describe('claims', () => {
  const claims = async (kind: string) => (await knowing(POLICY)).claims.filter((claim) => claim.kind === kind);

  it('join a list item with its lead-in to one rule over two passages', async () => {
    const rule = (await claims('rule')).find((claim) => claim.ranges.length === 2)!;
    expect(rule.text).toBe('The desk lead must carry the keys.');
    expect(rule.rule).toMatchObject({
      strength: 'must',
      subject: 'The desk lead',
      action: 'carry the keys',
      person: true,
    });
  });

  it('take the items of a list under a steps lead-in for steps, their further sentences not', async () => {
    expect((await claims('step')).map((claim) => claim.text)).toEqual([
      'Count the till.',
      'Switch off the lights.',
      'Lock the door.',
    ]);
  });

  it('find definitions in sentences, glossary lists and tables, each once', async () => {
    expect((await claims('definition')).map((claim) => [claim.term, claim.meaning])).toEqual([
      ['borrower', 'the member who signs for a tool'],
      ['deposit', 'the money that a borrower leaves with us'],
      ['near miss', 'a mistake that was found in time'],
      ['slip', 'The paper with the due date on it'],
    ]);
  });

  it('stand on ranges that give their words', async () => {
    const { claims: all, passages } = await knowing(POLICY);
    for (const claim of all.filter((each) => each.ranges.length === 1)) {
      const [{ id, from, to }] = claim.ranges;
      expect(passages.get(id)!.text.slice(from, to)).toBe(claim.text);
    }
  });

  it('carry figures with their places, and reasons', async () => {
    const [figure] = await claims('figure');
    expect(figure.quantity).toMatchObject({ value: 7, unit: 'day', text: 'seven days' });
    expect(figure.text.slice(figure.quantity!.from, figure.quantity!.to)).toBe('seven days');
    expect((await claims('reason')).map((claim) => claim.text)).toEqual([figure.text]);
  });

  it('take bold words in a list of points for no glossary', async () => {
    const { claims: all } = await knowing(
      '- **Plug**: no cuts.\n- **Guard**: moves freely.\n- **Switch**: the tool stops at once when you let go.\n',
    );
    expect(all.filter((claim) => claim.kind === 'definition')).toEqual([]);
  });

  it('of rules say by when, and where they do not hold', async () => {
    const { claims } = await knowing(
      'A reserved tool must be collected within two opening days of the reserved date. Members must not lend tools, except to their own household. If a member has two late returns within six months, the member must ask the desk lead.\n',
    );
    expect(claims.filter((claim) => claim.rule).map(({ rule }) => [rule!.deadline, rule!.exception])).toEqual([
      ['within two opening days', undefined],
      [undefined, 'except to their own household'],
      [undefined, undefined],
    ]);
  });
  it('are none in languages that are not understood, but for glossaries', async () => {
    const source = await fromMarkdown(
      'Het gereedschap moet meteen betaald worden. Leden mogen niets uitlenen.\n\n**Borg**: het geld dat een lid achterlaat.\n',
    );
    expect(understand(source, packFor('nl')).claims.filter((claim) => claim.kind !== 'definition')).toEqual([]);
  });
});

describe('terms', () => {
  it('are noun phrases, heaviest first, known with their definition', async () => {
    const terms = commonTerms([await knowing(POLICY)]);
    expect(terms.find((term) => term.label === 'near miss')).toMatchObject({ definition: expect.any(String) });
    expect(terms.map((term) => term.weight)).toEqual([...terms.map((term) => term.weight)].sort((a, b) => b - a));
    expect(commonTerms([])).toEqual([]);
  });
});

describe('understanding', () => {
  it('sees what a document defines: by a word that leaves no doubt, in quotes, by the noun of the term itself', async () => {
    const terms = async (text: string) =>
      (await knowing(`# A\n\n${text}\n`)).claims
        .filter((claim) => claim.kind === 'definition')
        .map((claim) => claim.term);
    expect(
      await terms(
        'Bather load means the number of people in one pool. "Duty operator" means the person whose name stands on the board.\n\nCombined chlorine is chlorine that has reacted with what bathers bring in.',
      ),
    ).toEqual(['bather load', 'duty operator', 'combined chlorine']);
    expect(await terms('The best way is the number of the house.\n\nWater is clear in the morning.')).toEqual([]);
  });

  it('is numbered, so that claims kept of an earlier one are made anew: when these change, raise UNDERSTANDING', async () => {
    const files = await Promise.all(
      [
        'coordinators-notes.md',
        'lending-policy.docx',
        'questions.html',
        'twelve-years-at-the-desk.vtt',
        'battery-guide.pdf',
      ].map((name) => fromFile(`demo/files/${name}`)),
    );
    const other = await Promise.all(
      [
        [
          'en',
          'Bather load means the number of people in one pool. "Duty operator" means the person whose name stands on the board. Combined chlorine is chlorine that has reacted with what bathers bring in.\n',
        ],
        [
          'de',
          'Vor dem Abschließen müssen Sie die Kasse zweimal zählen. Das Werkzeug muss innerhalb von drei Tagen zurückgebracht werden.\n',
        ],
        [
          'fr',
          'Avant de fermer, vous devez compter la caisse deux fois. Il est interdit de prêter un outil abîmé aux membres.\n',
        ],
        [
          'es',
          'Antes de cerrar, debe contar la caja dos veces. Las herramientas se devuelven en un plazo de tres días.\n',
        ],
      ].map(async ([language, text]) => ({ ...(await fromMarkdown(text)), language })),
    );
    expect(other.every((source) => understand(source, packFor(source.language)).claims.length > 0)).toBe(true);
    const claims = [...files, ...other].map((source) =>
      understand(source, packFor(source.language)).claims.map(({ kind, text, rule, term, leaning }) => ({
        kind,
        text,
        rule,
        term,
        leaning,
      })),
    );
    expect({
      understanding: UNDERSTANDING,
      claims: createHash('sha256').update(JSON.stringify(claims)).digest('hex').slice(0, 16),
    }).toEqual({ understanding: 3, claims: '998bf2cf8e4673df' });
  });
});
