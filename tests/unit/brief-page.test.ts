import { describe, expect, it } from 'vitest';
import { writeBriefPage } from '../../core/exchange/html/brief';
import { lomOf } from '../../core/exchange/scorm/lom';
import { writeXml } from '../../core/document/xml';
import { freezeCourse } from '../../core/learning/view';
import { aBrief, aCourse, aLesson, aModule } from '../builders';

const course = {
  ...aCourse(),
  title: 'Parcels <& keys>',
  brief: aBrief({
    promise: 'Every parcel reaches its owner',
    audience: { who: 'Porters', knows: ['post'], wrong: 'Parcels lie about', setting: 'A counter in a hall' },
    outcomes: ['Fewer are lost'],
    size: { minutes: 20, questionsPerLesson: 2, checkEvery: 3 },
  }),
  about: { description: 'How a parcel is taken in.', tags: ['post', 'desk'], code: 'PO-7', category: 'Front desk' },
  modules: [
    {
      ...aModule('Taking in', [aLesson('Weighing')]),
      purpose: 'Take in a parcel',
      brief: { result: 'Signed for within two hours', asked: ['Who pays?'] },
    },
  ],
};

describe('the brief as one page', () => {
  it('says all that was said, and nothing that was not', () => {
    const page = writeBriefPage(course, ['The hall book']);
    for (const words of [
      'Parcels &lt;&amp; keys&gt;',
      'Every parcel reaches its owner',
      'Porters',
      'Parcels lie about',
      'A counter in a hall',
      '<li>Fewer are lost</li>',
      '20 minutes',
      '2 in a lesson at most, one for every 3 minutes',
      '<li>The hall book</li>',
      'PO-7, Front desk, post, desk',
      'Afterwards: Signed for within two hours',
      '<li>Who pays?</li>',
      'Weighing',
      'Agreed by',
    ])
      expect(page).toContain(words);
    expect(page).not.toContain('Not for');
    expect(page).not.toContain('<script');
    expect(writeBriefPage({ ...aCourse(), modules: [] }, [])).not.toContain('Modules');
  });
});

describe('how a course is announced', () => {
  it('is read by learners before they begin; without it they read the promise', () => {
    expect(freezeCourse(course, 'secret').view.promise).toBe('How a parcel is taken in.');
    const plain = { ...aCourse(), brief: course.brief };
    expect(freezeCourse(plain, 'secret').view.promise).toBe('Every parcel reaches its owner');
  });

  it('goes along in packages as learning object metadata, in the binding of each edition', () => {
    const [old] = lomOf('1.2', { title: 'Parcels', language: 'en', about: course.about });
    const [young] = lomOf('2004', { title: 'Parcels', language: 'en', about: course.about });
    expect(writeXml(old).replace(/\n\s*/g, '')).toContain(
      '<catalogentry><catalog>code</catalog><entry><langstring xml:lang="en">PO-7</langstring></entry></catalogentry><language>en</language>',
    );
    expect(writeXml(young).replace(/\n\s*/g, '')).toContain(
      '<identifier><catalog>code</catalog><entry>PO-7</entry></identifier><title><string language="en">Parcels</string></title>',
    );
    expect(writeXml(young)).toContain('<string language="en">Front desk</string>');
    expect(lomOf('2004', { title: 'Parcels', language: 'en' })).toEqual([]);
  });
});
