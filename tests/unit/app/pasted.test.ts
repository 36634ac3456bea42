import { DOMParser, parseHTML } from 'linkedom';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { readEmbed } from '../../../app/blocks/embed/code';
import { zonedTime } from '../../../app/blocks/event/zoned';
import { cleanHtml } from '../../../app/editor/clean';

beforeAll(() => vi.stubGlobal('DOMParser', DOMParser));
const page = (body: string) => `<html><head><style>p{}</style></head><body>${body}</body></html>`;
const shape = (html: string) => cleanHtml(page(html)).replace(/\s+/g, ' ').trim();

describe('what is pasted', () => {
  it('comes without code, style, deleted and hidden words', () => {
    const html = '<script>x()</script><p>Kept<del> gone</del><span style="display: none">hid</span></p><p> </p>';
    expect(shape(html)).toBe('<p>Kept</p>');
  });

  it('keeps bold and italics that are only styled', () => {
    const html = '<p><span style="font-weight:700">A</span> <span style="font-style: italic">B</span></p>';
    const { document } = parseHTML(page(shape(html)));
    expect(document.querySelector('strong')?.textContent).toBe('A');
    expect(document.querySelector('em')?.textContent).toBe('B');
    expect(shape('<b style="font-weight:normal"><p>Plain</p></b>')).toBe('<p>Plain</p>');
  });

  it('makes lists of what a word processor draws as such, at their depth', () => {
    const item = (level: number, mark: string, words: string) =>
      `<p class="MsoListParagraph" style="mso-list:l0 level${level} lfo1"><span style="mso-list:Ignore">${mark}</span>${words}</p>`;
    const html = `<p>You need:</p>${item(1, '·', 'a key')}${item(2, 'o', 'the big one')}${item(1, '·', 'a lamp')}<p>Go.</p>`;
    expect(shape(html)).toBe(
      '<p>You need:</p><ul><li>a key<ul><li>the big one</li></ul></li><li>a lamp</li></ul><p>Go.</p>',
    );
    const numbered = `${item(1, '1.', 'Open')}${item(1, '2.', 'Close')}`;
    expect(shape(numbered)).toBe('<ol><li>Open</li><li>Close</li></ol>');
    const drawn = '<p class="MsoListParagraphCxSpFirst">·  a key</p><p class="MsoListParagraphCxSpLast">·  a lamp</p>';
    expect(shape(drawn)).toBe('<ul><li>a key</li><li>a lamp</li></ul>');
  });

  it('is left alone where it comes from a page of ours', () => {
    const own = '<p data-pm-slice="0 0 []" style="display:none">Ours</p>';
    expect(cleanHtml(own)).toBe(own);
  });
});

describe('embed code', () => {
  it('gives its address, title and shape, and nothing else of it', () => {
    const code =
      '<div><iframe width="560" height="315px" src="//maps.fernhollow.example/a" title="The yard" onload="x()"></iframe></div>';
    expect(readEmbed(page(code))).toEqual({
      address: 'https://maps.fernhollow.example/a',
      title: 'The yard',
      width: 560,
      height: 315,
    });
    expect(readEmbed(page('<iframe width="100%" height="300" src="https://a.example/x"></iframe>'))).toEqual({
      address: 'https://a.example/x',
    });
  });

  it('is no embed code where it leads elsewhere than to a safe page', () => {
    for (const src of ['http://a.example', 'javascript:alert(1)', 'data:text/html,x', '/local', ''])
      expect(readEmbed(page(`<iframe src="${src}"></iframe>`)), src).toBeUndefined();
    expect(readEmbed('Just words about an address')).toBeUndefined();
    expect(readEmbed(' https://a.example/x ')).toEqual({ address: 'https://a.example/x' });
  });
});

describe('a time in a zone', () => {
  it('says what its clock is ahead of UTC on that day', () => {
    expect(zonedTime('2027-02-03T18:30', 'Europe/Berlin')).toBe('2027-02-03T18:30+01:00');
    expect(zonedTime('2027-07-03T18:30', 'Europe/Berlin')).toBe('2027-07-03T18:30+02:00');
    expect(zonedTime('2027-02-03T18:30', 'America/St_Johns')).toBe('2027-02-03T18:30-03:30');
    expect(zonedTime('2027-02-31T18:30', 'Europe/Berlin')).toBeUndefined();
    expect(zonedTime('2027-02-03T18:30', 'Nowhere/Here')).toBeUndefined();
  });
});
