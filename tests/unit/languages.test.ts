import { describe, expect, it } from 'vitest';
import { allLessons } from '../../core/course/course';
import { blockTexts } from '../../core/blocks/forms';
import { textOf } from '../../core/document/rich-text';
import { draftCourse } from '../../core/draft';
import { understand } from '../../core/knowledge';
import { contradictionsIn } from '../../core/knowledge/contradictions';
import { isUnderstood } from '../../core/source/languages';
import { packFor } from '../../server/language/packs';
import { aBrief, fromMarkdown } from '../builders';

const facts = (language: string, sentence: string) => packFor(language).facts!(sentence, []);
/** A rule in short: strength, who, what, when. */
const rule = (language: string, sentence: string) => {
  const found = facts(language, sentence).rule;
  const cut = (range?: { from: number; to: number }) => (range ? sentence.slice(range.from, range.to) : '');
  return found
    ? [`${found.strength}${found.negative ? ' not' : ''}`, cut(found.subject), cut(found.action), cut(found.condition)]
    : undefined;
};

describe('rules', () => {
  it.each([
    [
      'de',
      'Der Fahrer muss die Lieferung vor der Abfahrt prüfen.',
      ['must', 'Der Fahrer', 'die Lieferung vor der Abfahrt prüfen', ''],
    ],
    [
      'de',
      'Wenn ein Werkzeug nass ist, muss der Freiwillige es trocknen.',
      ['must', 'der Freiwillige', 'es trocknen', 'Wenn ein Werkzeug nass ist'],
    ],
    [
      'de',
      'Besucher dürfen die Werkstatt nicht allein betreten.',
      ['must not', 'Besucher', 'die Werkstatt nicht allein betreten', ''],
    ],
    [
      'de',
      'Besucher dürfen nicht allein in die Werkstatt.',
      ['must not', 'Besucher', 'nicht allein in die Werkstatt', ''],
    ],
    ['de', 'Sie müssen das nicht tun.', undefined],
    ['de', 'Sie müssen nicht warten.', undefined],
    [
      'de',
      'Kollegen sollten jeden Schaden melden, weil er sonst vergessen wird.',
      ['should', 'Kollegen', 'jeden Schaden melden', ''],
    ],
    [
      'de',
      'Prüfen Sie den Stecker, bevor Sie das Gerät einschalten.',
      ['must', '', 'Prüfen Sie den Stecker', 'bevor Sie das Gerät einschalten'],
    ],
    ['de', 'Öffnen Sie das Gehäuse nicht.', ['must not', '', 'Öffnen Sie das Gehäuse nicht', '']],
    ['de', 'Es ist verboten, Leitern auf Tische zu stellen.', ['must not', '', 'Leitern auf Tische zu stellen', '']],
    ['de', 'Die Fristen sind einzuhalten.', ['must', 'Die Fristen', 'einzuhalten', '']],
    ['de', 'Was muss ich tun?', undefined],
    ['de', 'Die Bibliothek hat 640 Werkzeuge.', undefined],
    [
      'de',
      'Für jeden Schlüssel ist eine Kaution zu hinterlegen.',
      ['must', 'eine Kaution', 'zu hinterlegen', 'Für jeden Schlüssel'],
    ],
    [
      'de',
      'Bei Ratenkauf soll die Buchhaltung vorher informiert werden.',
      ['should', 'die Buchhaltung', 'vorher informiert werden', 'Bei Ratenkauf'],
    ],
    [
      'de',
      'Wer zuletzt geht, muss die Alarmanlage scharf schalten.',
      ['must', 'Wer zuletzt geht', 'die Alarmanlage scharf schalten', ''],
    ],
    [
      'de',
      'Wurde der Schlüssel gestohlen, muss außerdem Anzeige erstattet werden.',
      ['must', '', 'außerdem Anzeige erstattet werden', 'Wurde der Schlüssel gestohlen'],
    ],
    [
      'de',
      'Ist der Kunde laut, bitten Sie ihn in das Zimmer.',
      ['must', '', 'bitten Sie ihn in das Zimmer', 'Ist der Kunde laut'],
    ],
    ['de', 'Die Prüfung darf höchstens drei Tage dauern.', ['must', 'Die Prüfung', 'höchstens drei Tage dauern', '']],
    [
      'de',
      'Schlüssel dürfen nur an die Leitung, die Pfarrerin und den Vorstand gehen.',
      ['must', 'Schlüssel', 'nur an die Leitung, die Pfarrerin und den Vorstand gehen', ''],
    ],
    [
      'de',
      'Schlüssel niemals mit einem Namen versehen.',
      ['must not', '', 'Schlüssel niemals mit einem Namen versehen', ''],
    ],
    ['de', 'Niemand darf die Tür offen lassen.', ['must not', 'Niemand', 'die Tür offen lassen', '']],
    ['de', 'Niemand muss sich beleidigen lassen.', undefined],
    ['de', 'Wenn die Anlage piept, haben Sie 30 Sekunden Zeit.', undefined],
    ['de', 'Wie Sie die Nummer erhalten.', undefined],
    ['de', 'Am Telefon nennen Sie zuerst Ihren Namen.', ['must', '', 'Am Telefon nennen Sie zuerst Ihren Namen', '']],
    [
      'fr',
      'Après trois absences, le secrétariat doit écrire au patient.',
      ['must', 'le secrétariat', 'écrire au patient', 'Après trois absences'],
    ],
    ['fr', 'Passé ce délai, proposez un rappel.', ['must', '', 'proposez un rappel', 'Passé ce délai']],
    ['fr', 'Ne donnez aucun résultat par téléphone.', ['must not', '', 'Ne donnez aucun résultat par téléphone', '']],
    ['fr', 'Dites le nom du centre.', ['must', '', 'Dites le nom du centre', '']],
    ['fr', 'Les enfants ne peuvent venir qu’avec un adulte.', ['must', 'Les enfants', 'venir qu’avec un adulte', '']],
    ['fr', 'Personne ne doit utiliser la meuleuse.', ['must not', 'Personne ne', 'utiliser la meuleuse', '']],
    ['fr', 'Il vaut mieux arrondir les prix.', ['should', '', 'arrondir les prix', '']],
    ['fr', 'Le carnet donne la liste des pièces qui doivent être changées.', undefined],
    ['fr', 'Afficher toutes les options : outil --aide.', undefined],
    ['fr', 'Veuillez noter que la porte reste ouverte.', undefined],
    ['fr', 'Parfois il peut être difficile de trouver la clé.', undefined],
    [
      'fr',
      'Le responsable doit vérifier chaque outil avant le prêt.',
      ['must', 'Le responsable', 'vérifier chaque outil avant le prêt', ''],
    ],
    [
      'fr',
      'Si un outil est mouillé, le bénévole doit le sécher.',
      ['must', 'le bénévole', 'le sécher', 'Si un outil est mouillé'],
    ],
    ['fr', 'Les visiteurs ne doivent pas entrer seuls.', ['must not', 'Les visiteurs', 'entrer seuls', '']],
    ['fr', 'Il est interdit de fumer dans l’atelier.', ['must not', '', 'fumer dans l’atelier', '']],
    ['fr', 'Il faut fermer la porte chaque soir.', ['must', '', 'fermer la porte chaque soir', '']],
    [
      'fr',
      'Vérifiez la prise avant de brancher l’appareil.',
      ['must', '', 'Vérifiez la prise', 'avant de brancher l’appareil'],
    ],
    ['fr', 'N’ouvrez jamais le boîtier.', ['must not', '', 'N’ouvrez jamais le boîtier', '']],
    ['fr', 'Pour les membres, la bibliothèque est ouverte.', undefined],
    [
      'es',
      'El conductor debe revisar la entrega antes de salir.',
      ['must', 'El conductor', 'revisar la entrega', 'antes de salir'],
    ],
    [
      'es',
      'Si una herramienta está mojada, el voluntario debe secarla.',
      ['must', 'el voluntario', 'secarla', 'Si una herramienta está mojada'],
    ],
    ['es', 'Los visitantes no deben entrar solos.', ['must not', 'Los visitantes', 'entrar solos', '']],
    ['es', 'Hay que cerrar la puerta cada noche.', ['must', '', 'cerrar la puerta cada noche', '']],
    [
      'es',
      'Compruebe el enchufe cuando conecte el aparato.',
      ['must', '', 'Compruebe el enchufe', 'cuando conecte el aparato'],
    ],
    ['es', 'No abra nunca la caja.', ['must not', '', 'No abra nunca la caja', '']],
    ['es', 'Nadie puede entrar solo en la cámara.', ['must not', 'Nadie', 'entrar solo en la cámara', '']],
    [
      'es',
      'Los libros antiguos solo pueden consultarse en la sala.',
      ['must', 'Los libros antiguos', 'consultarse en la sala', ''],
    ],
    [
      'es',
      'Ante una amenaza, no discuta y llame a la policía.',
      ['must not', '', 'no discuta y llame a la policía', 'Ante una amenaza'],
    ],
    ['es', 'Pasado ese plazo, ofrézcalo a otra persona.', ['must', '', 'ofrézcalo a otra persona', 'Pasado ese plazo']],
    ['es', 'Por favor, compruebe la puerta.', ['must', '', 'compruebe la puerta', '']],
    ['es', 'Tampoco está permitido dejar la sesión abierta.', ['must not', '', 'dejar la sesión abierta', '']],
    ['es', 'No existen directorios para eso.', undefined],
    ['es', 'No es necesario firmar el papel.', undefined],
    ['es', 'Tenga en cuenta que la puerta pesa mucho.', undefined],
    ['es', 'Verificar la información es la mejor cura.', undefined],
    ['es', 'Vehículos ligeros entran por la izquierda.', undefined],
    ['es', 'No hay nada que hacer.', undefined],
    ['es', 'El usuario puede elegir otro color.', ['may', 'El usuario', 'elegir otro color', '']],
  ] as const)('%s: %s', (language, sentence, expected) => expect(rule(language, sentence)).toEqual(expected));
});

describe('terms, figures and the rest', () => {
  it.each([
    ['de', 'Ein Akku ist ein Speicher, der mehrmals geladen werden kann.', 'Akku'],
    ['de', 'Das Problem ist ein Fehler, der oft vorkommt.', undefined],
    ['fr', 'Un dépôt est une somme que le membre laisse en garantie.', 'dépôt'],
    ['fr', 'Il est une heure.', undefined],
    ['es', 'Un depósito es una suma que el socio deja en garantía.', 'depósito'],
    ['de', 'Kulanz nennen wir eine Leistung, auf die kein Anspruch besteht.', 'Kulanz'],
    ['fr', 'Le rappel est un appel que nous passons à un patient.', 'rappel'],
    ['fr', 'Le serveur est une chose étrange et chère.', undefined],
    ['es', 'El carné es una tarjeta que permite llevarse libros.', 'carné'],
  ] as const)('%s: %s', (language, sentence, term) => {
    const { definition } = facts(language, sentence);
    expect(definition && sentence.slice(definition.term.from, definition.term.to)).toBe(term);
  });
  it.each([
    ['de', 'Die Frist beträgt höchstens 1.500,5 kg.', 1500.5, 'kilogram', '1.500,5 kg'],
    ['de', 'Melden Sie sich innerhalb von zwei Arbeitstagen.', 2, 'workday', 'zwei Arbeitstagen'],
    ['fr', 'Rendez l’outil dans les 10 jours ouvrables.', 10, 'workday', '10 jours ouvrables'],
    ['fr', 'Le dépôt est de 1 200 € au maximum.', 1200, 'EUR', '1 200 €'],
    ['es', 'Devuelva la llave en un plazo de tres semanas.', 3, 'week', 'tres semanas'],
  ] as const)('%s: %s', (language, sentence, value, unit, text) => {
    const { quantities, limits } = facts(language, sentence);
    expect(limits).toBe(true);
    expect(quantities[0]).toMatchObject({ value, unit });
    expect(sentence.slice(quantities[0].from, quantities[0].to)).toBe(text);
  });
  it.each([
    ['de', 'Die Leitung ist verantwortlich für den Schlüssel.', 'role'],
    ['de', 'Die Leitung ist für die Auswertung zuständig.', 'role'],
    ['es', 'El vigilante se encarga de cerrar.', 'role'],
    ['de', 'Sonst besteht Brandgefahr.', 'warning'],
    ['de', 'Wir laden nachts, weil der Strom dann billiger ist.', 'reason'],
    ['de', 'Zum Beispiel kann der Akku heiß werden.', 'example'],
    ['fr', 'Attention, le câble est chaud.', 'warning'],
    ['fr', 'Le chef est responsable de la clé.', 'role'],
    ['fr', 'À la différence d’une pile, une batterie se recharge.', 'comparison'],
    ['es', 'El jefe está a cargo de la llave.', 'role'],
    ['es', 'Peligro: el cable está caliente.', 'warning'],
    ['es', 'Cargamos de noche porque la luz es más barata.', 'reason'],
  ] as const)('%s: %s', (language, sentence, kind) => expect(facts(language, sentence)[kind]).toBe(true));
  it.each([
    ['es', 'El programa se encarga de la descarga.', 'role'],
    ['fr', 'Le carnet est rangé ici.', 'reason'],
    ['es', 'La tabla tiene 20 páginas.', 'limits'],
    ['de', 'Der Laden hat 20 Seiten Papier.', 'limits'],
  ] as const)('%s: %s is none', (language, sentence, kind) => expect(facts(language, sentence)[kind]).toBe(false));
  it('keep German dates and ordinals whole', () => {
    expect(packFor('de').sentences('Ab dem 1. März gilt das. Am 3. Tag nicht mehr.')).toHaveLength(2);
  });
  it.each([
    ['de', 'Dabei ist Vorsicht geboten und Zeit nötig.', 'points-back'],
    ['de', 'Siehe Abschnitt 3 für mehr dazu.', 'points-elsewhere'],
    ['de', 'Außerdem muss der Fahrer unterschreiben.', 'joins-on'],
    ['de', 'Der Fahrer unterschreibt den Zettel am Ende.', undefined],
    ['fr', 'Cela prend une heure environ chaque soir.', 'points-back'],
    ['fr', 'Ce manuel décrit le prêt des outils.', 'about-document'],
    ['fr', 'Le bénévole signe le papier à la fin.', undefined],
    ['es', 'Sin embargo, el conductor firma el papel.', 'joins-on'],
    ['es', 'Esto tarda una hora cada noche más.', 'points-back'],
    ['es', 'El voluntario firma el papel al final.', undefined],
  ] as const)('%s: %s stands alone or not', (language, sentence, leaning) =>
    expect(facts(language, sentence).leaning).toBe(leaning),
  );
});

describe('a document', () => {
  it('of German gives steps, duties over their lead-in, and no word of another language', async () => {
    const knowledge = understand(
      await fromMarkdown(
        '# Ausleihe\n\nGehen Sie so vor:\n\n1. Prüfen Sie den Stecker.\n2. Schreiben Sie die Nummer auf.\n3. Geben Sie das Werkzeug aus.\n\nDer Fahrer muss:\n\n- Papiere mitführen\n- den Wagen abends abschließen\n',
      ),
      packFor('de'),
    );
    expect(knowledge.claims.filter((claim) => claim.kind === 'step')).toHaveLength(3);
    expect(knowledge.claims.filter((claim) => claim.kind === 'rule').map((claim) => claim.text)).toEqual([
      'Der Fahrer muss Papiere mitführen.',
      'Der Fahrer muss den Wagen abends abschließen.',
    ]);
  });
  it('contradicts another of its language', async () => {
    const one = understand(
      await fromMarkdown(
        'Ein reserviertes Werkzeug muss innerhalb von zwei Tagen beim Tresen abgeholt werden.',
        'a.md',
      ),
      packFor('de'),
    );
    const other = understand(
      await fromMarkdown(
        'Ein reserviertes Werkzeug muss innerhalb von drei Tagen beim Tresen abgeholt werden.',
        'b.md',
      ),
      packFor('de'),
    );
    expect(contradictionsIn([one, other])).toHaveLength(1);
  });
  it.each([
    [
      'de',
      'Ein Verlust muss innerhalb einer Woche im Büro gemeldet werden. Hunde sind im Büro erlaubt.',
      'Ein Verlust muss innerhalb von 14 Tagen im Büro gemeldet werden. Hunde sind im Büro verboten.',
    ],
    [
      'fr',
      'Le mot doit être rendu au bureau dans les deux jours. Les chiens sont permis dans le bureau.',
      'Le mot doit être rendu au bureau dans les quatre jours. Les chiens sont interdits dans le bureau.',
    ],
    [
      'es',
      'La llave debe devolverse a la oficina en dos días. Los perros están permitidos en la oficina.',
      'La llave debe devolverse a la oficina en cuatro días. Los perros están prohibidos en la oficina.',
    ],
  ])('contradicts in figures and in what it allows: %s', async (language, a, b) => {
    const [one, other] = await Promise.all(
      [a, b].map(async (text, at) => understand(await fromMarkdown(text, `${at}.md`), packFor(language))),
    );
    expect(
      contradictionsIn([one, other])
        .map(({ kind }) => kind)
        .sort(),
    ).toEqual(language === 'de' ? ['polarity'] : ['figure', 'polarity']);
  });
  it('is drafted by whole paragraphs, nothing of them lost, without points of what may lean on others', async () => {
    const NOUNS = ['Bohrer', 'Hobel', 'Leitern', 'Akkus', 'Sägen', 'Lampen', 'Hammer', 'Kabel', 'Pumpen'];
    const part = (noun: string) =>
      `Der Fahrer muss alle ${noun} vor der Abfahrt prüfen und den Zettel der ${noun} unterschreiben. Wer die ${noun} nicht prüft, darf nicht fahren, weil sonst niemand weiß, ob ${noun} im Wagen liegen und wem sie gehören.\n\nsind dann bei den ${noun} im Lager zu finden, und dort bleiben sie bis zum nächsten Morgen.\n`;
    const text = [0, 3, 6]
      .map(
        (at) =>
          `## ${NOUNS[at]} und mehr\n\n${NOUNS.slice(at, at + 3)
            .map(part)
            .join('\n')}`,
      )
      .join('\n');
    const knowledge = understand(await fromMarkdown(`# Fahren\n\n${text}`), packFor('de'));
    const { course } = draftCourse(aBrief({ language: 'de' }), [knowledge], 'Fahren');
    const blocks = allLessons(course).flatMap((lesson) => lesson.blocks);
    expect(blocks.filter((block) => block.kind === 'text').length).toBeGreaterThan(3);
    expect(blocks.some((block) => block.kind === 'summary')).toBe(false);
    const shown = blocks.flatMap((block) => blockTexts(block).map(textOf));
    for (const { text: words } of knowledge.source.passages) expect(shown).toContain(words);
  });
});

describe('languages', () => {
  it.each(['en', 'en-GB', 'de', 'fr-CA', 'es', 'nl', 'ja', 'und'])(
    '%s is called understood just where its pack finds facts',
    (language) => {
      expect(isUnderstood(language)).toBe(packFor(language).facts !== undefined);
    },
  );
});
