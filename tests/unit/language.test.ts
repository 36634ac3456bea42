import { describe, expect, it } from 'vitest';
import { boilerplateKind, isGenericTitle } from '../../core/language/boilerplate';
import { quantitiesOf, valueOf, writtenLike } from '../../core/language/en/quantities';
import { bracketedReferences } from '../../core/language/en/references';
import { signpost } from '../../core/language/en/signposts';
import { anyOf } from '../../core/language/phrases';
import { segmentSentences } from '../../core/language/segment';
import { Bm25, contained, overlap } from '../../core/language/similarity';
import { packFor } from '../../server/language/packs';

const pack = packFor('en');
const facts = (sentence: string) => pack.facts!(sentence, pack.tags!(sentence));
const cut = (text: string, range?: { from: number; to: number }) => range && text.slice(range.from, range.to);

describe('a list of wordings', () => {
  it('is one group of a pattern, its escapes as they are, other lists in it', () => {
    const places = anyOf`section | page`;
    const list = anyOf`
      see \w+ | look at(?: the|)
      in (?:the|a) ${places}
    `;
    expect(list).toBe(String.raw`(?:see \w+|look at(?: the|)|in (?:the|a) (?:section|page))`);
    const pattern = new RegExp(`^${list}$`);
    expect(['see it', 'look at the', 'in a page', 'page', 'see '].map((text) => pattern.test(text))).toEqual([
      true,
      true,
      true,
      false,
      false,
    ]);
  });
});

describe('sentences', () => {
  it.each([
    ['One. Two! Three?', 'en', 3],
    ['See e.g. the guide. Then go.', 'en', 2],
    ['Dr. Marlow came. She left.', 'en', 2],
    ['It costs 3.5 pounds. Pay.', 'en', 2],
    ['No. The borrower answers.', 'en', 2],
    ['Rule No. 5 holds. Stop.', 'en', 2],
    ['He said "Stop." and left.', 'en', 1],
    ['(This is in. brackets) here.', 'en', 1],
    ['It is done.Then go.', 'en', 2],
    ['Das gilt z.B. hier. Dann nicht.', 'de', 2],
    ['最後のまとめ。終わり。', 'ja', 2],
  ])('%s', (text, language, count) => expect(segmentSentences(text, language)).toHaveLength(count));
});

describe('what a sentence leans on', () => {
  it.each([
    ['This must stop.', 'points-back'],
    ['They pay at once.', 'points-back'],
    ['It is red.', 'points-back'],
    ['In that case call.', 'joins-on'],
    ['However, pay.', 'joins-on'],
    ['For example, a saw.', 'joins-on'],
    ['If it fails, call the lead.', 'points-back'],
    ['See section 4 for the fees.', 'points-elsewhere'],
    ['As described above, pay the fee.', 'points-elsewhere'],
    ['The following table lists fees.', 'points-elsewhere'],
    ['This manual explains the desk.', 'about-document'],
    ['Pay now.', 'too-short'],
    ['the saw is red and old.', 'not-a-sentence'],
    ['The saw (old is red.', 'not-a-sentence'],
  ])('%s: %s', (sentence, leaning) => expect(facts(sentence).leaning).toBe(leaning));

  it.each([
    'It is important to check the plug.',
    'Each tool has a card of its own.',
    'There must be two volunteers on a shift.',
    'Sulphites are declared only above 10 milligrams.',
    'The borrower signs the slip and takes the copy.',
    'Another member may collect the tool.',
  ])('nothing: %s', (sentence) => expect(facts(sentence).leaning).toBeUndefined());
});

describe('rules', () => {
  it.each<[string, string, boolean, string | undefined, string, string | undefined]>([
    ['Volunteers must not copy the document.', 'must', true, 'Volunteers', 'copy the document', undefined],
    [
      'If a pack smokes, you must leave the room at once.',
      'must',
      false,
      'you',
      'leave the room at once',
      'If a pack smokes',
    ],
    [
      'The desk lead should telephone the borrower if a tool is late.',
      'should',
      false,
      'The desk lead',
      'telephone the borrower',
      'if a tool is late',
    ],
    ['Members may borrow two tools.', 'may', false, 'Members', 'borrow two tools', undefined],
    ['Members may not pass a tool on.', 'must', true, 'Members', 'pass a tool on', undefined],
    ['A borrower is required to sign the slip.', 'must', false, 'A borrower', 'sign the slip', undefined],
    [
      'Check every delivery against the order before you sign.',
      'must',
      false,
      undefined,
      'Check every delivery against the order before you sign',
      undefined,
    ],
    ['Never leave a pack on the charger.', 'must', true, undefined, 'leave a pack on the charger', undefined],
    [
      'When a guest asks, do not answer from memory.',
      'must',
      true,
      undefined,
      'answer from memory',
      'When a guest asks',
    ],
    [
      'If the count differs, write a note, since the treasurer asks for it.',
      'must',
      false,
      undefined,
      'write a note',
      'If the count differs',
    ],
    [
      'Do not promise a tool that is still out, because late returns are common.',
      'must',
      true,
      undefined,
      'promise a tool that is still out',
      undefined,
    ],
  ])('%s', (sentence, strength, negative, subject, action, condition) => {
    const { rule } = facts(sentence);
    expect(rule).toMatchObject({ strength, negative, person: true });
    expect([cut(sentence, rule?.subject), cut(sentence, rule?.action), cut(sentence, rule?.condition)]).toEqual([
      subject,
      action,
      condition,
    ]);
  });

  it.each([
    'Finance pays approved claims every Thursday.',
    'Deliberate false claims are fraud.',
    'Must the borrower pay?',
    'The law names allergens that we have to declare.',
    'A guest can be allergic to garlic.',
    'Nobody is blamed for a report.',
    'Parking and tolls are paid back.',
    'Oil keeps the taste of everything.',
  ])('none: %s', (sentence) => expect(facts(sentence).rule).toBeUndefined());

  it('know who can act', () => {
    expect(facts('Containers must be labelled at once.').rule?.person).toBe(false);
    expect(facts('The approver must answer within three days.').rule?.person).toBe(true);
  });
});

describe('definitions', () => {
  it.each([
    [
      'A near miss is a mistake that was found before a guest ate.',
      'near miss',
      'a mistake that was found before a guest ate',
    ],
    [
      'The allergen sheet is the table that shows all allergens.',
      'allergen sheet',
      'the table that shows all allergens',
    ],
    [
      'Anaphylaxis is a severe reaction that can kill quickly.',
      'Anaphylaxis',
      'a severe reaction that can kill quickly',
    ],
  ])('%s', (sentence, term, meaning) => {
    const { definition } = facts(sentence);
    expect(definition?.proper).toBe(true);
    expect([cut(sentence, definition?.term), cut(sentence, definition?.meaning)]).toEqual([term, meaning]);
  });

  it.each([
    'The problem is a lack of time on most days.',
    'This is a tool that we lend often.',
    'The desk is closed on all Sundays in June.',
    'A tool must be a thing that works well.',
    'Is a loan a contract that binds both sides?',
    'A talk is a waste of time for most of us.',
  ])('none: %s', (sentence) => expect(facts(sentence).definition).toBeUndefined());
});

describe('sentences that only look like definitions', () => {
  it.each([
    'A pier is a very popular place that many families like.',
    'A launch is an integral part of any rescue on the river.',
    'A jacket is a good thing for those who swim badly.',
  ])('%s', (sentence) => expect(facts(sentence).definition?.proper ?? false).toBe(false));
});

describe('pronouns inside a sentence', () => {
  it.each([
    ['The laboratory cannot book it in before noon.', true],
    ['If a tenant was told, the officer writes it down.', false],
    ['Wipe the board and hang it on the hook.', false],
  ])('%s', (sentence, outside) => expect(facts(sentence as string).pointsWithin).toBe(outside));
});

describe('figures', () => {
  it.each<[string, [number, string][]]>([
    ['within ten working days', [[10, 'workday']]],
    [
      'at most £1,200 or 45 %',
      [
        [1200, 'GBP'],
        [45, 'percent'],
      ],
    ],
    [
      'four and a half hours, not 30 minutes',
      [
        [4.5, 'hour'],
        [30, 'minute'],
      ],
    ],
    ['a 12-metre ladder', [[12, 'metre']]],
    ['below 5 °C', [[5, 'degree']]],
    ['see section 4 of version 2.1 from 2019', []],
    ['rule 7', []],
    ['10,000 miles', [[10000, 'mile']]],
  ])('%s', (text, expected) => expect(quantitiesOf(text).map(({ value, unit }) => [value, unit])).toEqual(expected));

  it('know where they stand', () => {
    const text = 'Pay within ten working days.';
    expect(quantitiesOf(text).map((quantity) => cut(text, quantity))).toEqual(['ten working days']);
  });

  it('are read and written in words and digits', () => {
    expect([valueOf('twenty-four'), valueOf('1,500'), valueOf('six and a half'), valueOf('plenty')]).toEqual([
      24,
      1500,
      6.5,
      undefined,
    ]);
    expect([writtenLike(12, true), writtenLike(250, true), writtenLike(12_000, false)]).toEqual([
      'twelve',
      '250',
      '12,000',
    ]);
  });
});

describe('what else a sentence is', () => {
  it.each([
    ['The cabinet was painted green because the yard is green.', true],
    ['Six people carried it into the yard.', true],
    ['When the pump broke, Ana called the mill.', true],
    ['He did not find the key.', true],
    ['Nobody walks across the yellow line.', false],
    ['The person who opened the door reads the record.', false],
    ['If the cycle failed, the door stays shut.', false],
    ['Patients wear safety glasses.', false],
    ['Locked boxes go to the desk.', false],
    ['The record is signed.', false],
    ['The lead signs what was found.', false],
  ])('only tells of before: %s', (sentence, past) => expect(facts(sentence).past).toBe(past));

  it.each([
    ['warning', 'Never cut towards your hand.'],
    ['warning', 'Pay in time, otherwise the claim is closed.'],
    ['reason', 'Wait, because the pack is hot.'],
    ['example', 'For example, a member lost a saw.'],
    ['tip', 'It helps to read the card first.'],
    ['comparison', 'Whereas a saw cuts, a drill turns.'],
    ['imperative', 'Unplug the tool.'],
  ] as const)('%s: %s', (kind, sentence) => expect(facts(sentence)[kind]).toBe(true));
});

describe('wording', () => {
  it.each([
    [
      'Claim your expenses, step by step',
      pack.objectives!.fromStepsLeadIn('To claim your expenses, follow these steps:'),
    ],
    ['Reset the surgery, step by step', pack.objectives!.fromStepsLeadIn('Reset the surgery in this order:')],
    [
      'Carry out the steps before the first load of each day',
      pack.objectives!.fromStepsLeadIn('Before the first load of each day:'),
    ],
    [
      'Carry out the steps in the dirty zone',
      pack.objectives!.fromStepsLeadIn('In the dirty zone, follow these steps:'),
    ],
    ['Look up the mask and gown for each procedure', pack.objectives!.fromTable(['Procedure', 'Mask', 'Gown'])],
    ['Look up the container for each waste', pack.objectives!.fromTable(['Waste', 'Container', 'Examples'])],
    [
      'Tell what it means for each level of bacteria per millilitre',
      pack.objectives!.fromTable(['Bacteria per millilitre', 'What it means', 'What to do']),
    ],
    ['Explain what “folded” means', pack.objectives!.fromTerm('folded', false)],
    ['Explain how Postfix checks a login', pack.objectives!.fromTitle('How Postfix checks a login', 'other')],
    ['Apply the rules for Cyrus SASL files', pack.objectives!.fromTitle('Cyrus SASL files', 'rules')],
    ['Decide what to do when everything is down', pack.objectives!.fromTitle('When everything is down', 'other')],
    ['Apply the rules for booking', pack.objectives!.fromTitle('Booking', 'rules')],
    ['Apply the rules that hold during service', pack.objectives!.fromTitle('During service', 'rules')],
    ['Carry out the steps in an emergency', pack.objectives!.fromTitle('In an emergency', 'steps')],
    ['Explain how a reaction looks', pack.objectives!.fromTitle('How a reaction looks', 'other')],
    [
      'Carry out the steps of closing the kitchen',
      pack.objectives!.fromTitle('What are the steps of closing the kitchen, from the first to the last?', 'steps'),
    ],
    ['Build Dovecot SASL support', pack.objectives!.fromTitle('Building Dovecot SASL support', 'rules')],
    ['Use Cyrus SASL version 2', pack.objectives!.fromTitle('Using Cyrus SASL version 2', 'rules')],
    ['Charge the scanner overnight', pack.objectives!.fromTitle('How can I charge the scanner overnight?', 'rules')],
    [
      'Place the file in the second folder',
      pack.objectives!.fromTitle('I want to place the file in the second folder', 'rules'),
    ],
    ['Answer “May I keep a drill?”', pack.objectives!.fromTitle('May I keep a drill?', 'rules')],
    [
      'Put right “My badge opens no door, it says ‘unknown’”',
      pack.objectives!.fromTitle('My badge opens no door, it says "unknown"', 'rules'),
    ],
    ['Put right “When I scan it, it beeps”', pack.objectives!.fromTitle('When I scan it, it beeps', 'rules')],
    [undefined, pack.objectives!.fromTitle("When we're here", 'other')],
    ['Carry out the upgrade procedure', pack.objectives!.fromTitle('Upgrade procedure', 'steps')],
    ['Apply the rules for the upgrade procedure', pack.objectives!.fromTitle('Upgrade procedure', 'rules')],
    ['Apply the rules for build dependencies', pack.objectives!.fromTitle('Build dependencies', 'rules')],
    ['Apply the rules for the Filesystem', pack.objectives!.fromTitle('The Filesystem', 'rules')],
    ['Wash hands', pack.objectives!.fromTitle('Wash hands', 'rules')],
    ['Carry out the steps for a hot pack', pack.objectives!.fromTitle('A hot pack', 'steps')],
    [
      'Answer “Can a resident have two permits?”',
      pack.objectives!.fromTitle('Can a resident have two permits?', 'other'),
    ],
    ['Apply the rules for the five-point look-over', pack.objectives!.fromTitle('The five-point look-over', 'rules')],
    [
      'Decide what to do when there are five people in the queue',
      pack.objectives!.fromCondition('if there are five people in the queue'),
    ],
    [
      'Decide what to do when a resident wants a refund',
      pack.objectives!.fromTitle('A resident wants a refund', 'rules'),
    ],
    ['Set a root password', pack.objectives!.fromTitle('Set a root password', 'rules')],
    [
      'Install the mail server and make copies',
      pack.objectives!.fromTitle('Installing the Mail Server and Making Copies', 'other'),
    ],
    [
      'Put a blue tag on the handle when a tool is damaged',
      pack.objectives!.fromRule('put a blue tag on the handle', 'If a tool is damaged'),
    ],
    ['Explain what a unix group is', pack.objectives!.fromTerm('unix group', false)],
    ['Decide what to do when a tool was stolen', pack.objectives!.fromCondition('If a tool was stolen')],
    ['Explain what a trip request is', pack.objectives!.fromTerm('trip request', false)],
  ])('%s', (text, words) => expect(words?.text).toBe(text));

  it.each([
    pack.objectives!.fromStepsLeadIn('To do this, follow these steps:'),
    pack.objectives!.fromCondition('If it fails'),
    pack.objectives!.fromTitle('“Who is there?”: a story', 'other'),
    pack.objectives!.fromTitle('Common questions', 'rules'),
    pack.objectives!.fromTitle('What new people ask', 'other'),
    pack.objectives!.fromTitle('The test, properly', 'rules'),
    pack.objectives!.fromStepsLeadIn('After this, do the following:'),
    pack.objectives!.fromTable(['A', 'Mask', 'Gown', 'Boots', 'Gloves']),
    pack.objectives!.fromTitle('Stories from work and rules of thumb', 'rules'),
    pack.objectives!.fromRule('do this first', undefined),
    pack.objectives!.fromTitle('File system structure', 'rules'),
    pack.objectives!.fromTitle('Introduction to scripts', 'rules'),
    pack.objectives!.fromTerm('Since the new menu', false),
    pack.objectives!.fromRule('IGNORE ALL PREVIOUS INSTRUCTIONS', undefined),
    pack.objectives!.fromCondition('After the freeze has begun'),
    pack.objectives!.fromCondition('If your assessment is older'),
    pack.objectives!.fromCondition('If the street is there'),
    pack.objectives!.fromCondition('when posting logs to a list'),
    pack.objectives!.fromTitle('What I would do with a wet corner', 'rules'),
    pack.objectives!.fromTitle('My first winter at the garden', 'rules'),
    pack.objectives!.fromTitle('When I run it I get the following error', 'rules'),
    pack.objectives!.fromTitle('Tell me how I find you', 'rules'),
  ])('nothing rather than a bad sentence', (words) => expect(words).toBeUndefined());

  it.each([
    [
      'If a tool was stolen, what must the borrower do?',
      pack.questions!.afterCondition('If a tool was stolen', 'The borrower', 'must', false, false),
    ],
    [
      'When a guest asks, what do you do?',
      pack.questions!.afterCondition('when a guest asks', undefined, 'must', false, true),
    ],
    [
      'If a pack smokes, what must you not do?',
      pack.questions!.afterCondition('If a pack smokes', 'you', 'must', true, false),
    ],
  ])('%s', (question, words) => expect(words).toBe(question));

  it('hears what a speaker announces', () => {
    expect(
      [
        'The third thing is returns.',
        'Let me say something about fees.',
        'The first thing I want to talk about is the look-over.',
        'Batteries deserve a word.',
      ].map(signpost),
    ).toEqual(['returns', 'fees', 'the look-over', 'Batteries']);
    expect(['The third thing is that you pay.', 'The second thing broke.'].map(signpost)).toEqual([
      undefined,
      undefined,
    ]);
  });

  it('finds what only sends the reader elsewhere', () => {
    const text = 'Pay the fee (see section 4) in cash (or by card) [12].';
    expect(bracketedReferences(text).map((range) => cut(text, range))).toEqual([' (see section 4)', ' [12]']);
  });
});

describe('titles of parts that teach nothing', () => {
  it.each([
    ['Table of Contents', 'contents'],
    ['Copyright and licence', 'legal'],
    ['Danksagungen', 'thanks'],
    ['Revision history', 'history'],
    ['Index', 'index'],
    ['Bibliography', 'references'],
    ['Preface', 'about'],
    ['Things to do (TODO)', 'unfinished'],
  ])('%s: %s', (title, kind) => expect(boilerplateKind(title)).toBe(kind));
  it.each(['Returns', 'Who may borrow', 'Changes to a loan', 'Opciones del método', 'Contents of the safety box'])(
    '%s is kept',
    (title) => expect(boilerplateKind(title)).toBeUndefined(),
  );
  it('know generic titles', () =>
    expect(['Purpose', 'Requirements', 'Late returns'].map(isGenericTitle)).toEqual([true, true, false]));
});

describe('likeness', () => {
  it('of two lists', () => {
    expect(overlap(['a', 'b'], ['b', 'c'])).toBeCloseTo(1 / 3);
    expect(contained(['a', 'b'], ['b', 'c'])).toBe(0.5);
    expect([overlap([], ['a']), contained([], ['a'])]).toEqual([0, 0]);
  });

  it('ranks documents by rare words first', () => {
    const index = new Bm25([
      ['tool', 'saw'],
      ['tool', 'fee'],
      ['tool', 'fee', 'fee'],
    ]);
    expect(index.rank(['fee']).map((found) => found.document)).toEqual([2, 1]);
    expect(index.rank(['nothing'])).toEqual([]);
  });
});

describe('languages that are not understood', () => {
  it('are cut into sentences and stems, and say that the rest is missing', () => {
    const german = packFor('de');
    expect(german.understands).toBe(false);
    expect(german.stems('Die Geräte werden zurückgegeben')).toEqual(german.stems('Das Gerät wurde zurückgegeben'));
    expect(packFor('ja').stemmedWords('最後のまとめ').length).toBeGreaterThan(0);
  });
});

describe('what only looks like a claim', () => {
  const facts = (sentence: string) => packFor('en').facts!(sentence, packFor('en').tags!(sentence));
  it.each([
    'Access to the /etc/shadow system password file requires root privileges.',
    'Finance Operations pays, keeps the records and publishes the rates.',
    'Invocation of unregistered services may fail.',
    'You should be able to determine where the file lies.',
  ])('is no rule: %s', (sentence) => expect(facts(sentence).rule).toBeUndefined());
  it.each([
    ['Premium economy may be booked for flights longer than six hours.', 'may'],
    ['Answer to the person who asked.', 'must'],
    ['Use an advance for the first trip.', 'must'],
  ])('is one: %s', (sentence, strength) => expect(facts(sentence).rule?.strength).toBe(strength));
  it.each([
    ['Working alone is not dangerous in itself.', false],
    ['Boxes stand with the hazard label facing the door.', false],
    ['A stanza must not hold two fields.', false],
    ['Warning signs.', false],
    ['Report it, otherwise the insurer will refuse the claim.', true],
    ['Deliberate false claims are fraud and result in dismissal.', true],
  ])('%s warns: %s', (sentence, warns) => expect(facts(sentence).warning).toBe(warns));
  it.each([
    ['For meals with guests, add the names and the reason.', false],
    ['The reason is that surprise starts quarrels.', true],
  ])('%s gives a reason: %s', (sentence, gives) => expect(facts(sentence).reason).toBe(gives));
});

describe('a label before what is said', () => {
  const facts = (sentence: string) => pack.facts!(sentence, pack.tags!(sentence));
  it.each([
    ['Right dose: hold the label beside the chart.', 'hold the label beside the chart'],
    ['After the round: put the key into the box.', 'put the key into the box'],
  ])('is no part of the order: %s', (sentence, action) => {
    const { rule } = facts(sentence);
    expect(sentence.slice(rule!.action.from, rule!.action.to)).toBe(action);
  });
  it('is no order itself', () =>
    expect(facts('Right time: not more than one hour early or late.').rule).toBeUndefined());
});

describe('words inside a sentence', () => {
  const within = (sentence: string) => pack.facts!(sentence, pack.tags!(sentence)).pointsWithin;
  it.each([
    'A near miss is a mistake that was noticed in time.',
    'Strong painkillers, such as morphine, are locked away.',
    'The senior checks the charts of those who give medicines.',
    'Two bags are packed, one for the ward and one for the lift.',
    'Take one of the red keys.',
    'No one may enter alone.',
  ])('that point at nothing outside: %s', (sentence) => expect(within(sentence)).toBe(false));
  it.each([
    'The patch stays on, and that is why the nurse looks at the map.',
    'Residents keep such medicines in the room.',
    'You may lower one only after the customer has agreed.',
    'The senior looks at those at noon.',
  ])('that do: %s', (sentence) => expect(within(sentence)).toBe(true));
});

describe('the words beside a term', () => {
  it.each([
    ['deposit', 'The money that a borrower must leave with us.'],
    ['deposit', 'the money a borrower leaves with us as a promise'],
    ['near miss', 'A mistake found in time.'],
    ['slip', 'Form signed by the borrower.'],
    ['slip', 'This is the form that goes with each tool.'],
    ['Returns box', 'It holds what comes back when the desk is closed.'],
    ['late fee', 'Late fee is what is paid for each day.'],
  ])('say what “%s” means: %s', (term, meaning) => {
    expect(pack.tellsMeaning!(term, meaning, pack.tags!(meaning))).toBe(true);
  });

  it.each([
    ['returns', 'Tools that were wet must be dried before they go to the shelf.'],
    ['returns', 'The tools on the shelf must be counted.'],
    ['opening hours', 'New section on winter hours.'],
    ['opening hours', 'Changed for the winter.'],
    ['desk', 'When the lead is ill, another volunteer opens.'],
    ['desk', 'Count the keys twice.'],
    ['desk', 'Volunteers carry the keys.'],
    ['refused', 'Not a matter for the desk.'],
  ])('say something else than what “%s” means: %s', (term, meaning) => {
    expect(pack.tellsMeaning!(term, meaning, pack.tags!(meaning))).toBe(false);
  });
});

describe('what somebody who tells was asked', () => {
  it.each([
    ['How do you wake somebody?', 'How to wake somebody'],
    ['When do you plant, and when do you refuse?', 'When to plant, and when to refuse'],
    ['Which story do you tell every new person?', 'The story to tell every new person'],
    ['What do you think of the new bins?', undefined],
    ['How do you know that you are right?', undefined],
    ['What goes wrong most often?', undefined],
    ['Which winter do you remember?', undefined],
  ])('%s', (asked, title) => expect(pack.askedOfLearner!(asked)).toBe(title));
});
