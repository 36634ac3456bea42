import type { CourseAbout } from '../../course/course';
import { element, type Element } from '../../document/xml';
import type { Edition } from './manifest';

/** What is said of a course where it is filed. */
export interface Announced {
  title: string;
  language: string;
  about?: CourseAbout;
}

/**
 * A course's metadata by IEEE 1484.12.1 (learning object metadata): for SCORM 1.2 in the binding of IMS of 2001, for
 * SCORM 2004 in that of IEEE 1484.12.3. None where nothing is said but the title, which the manifest has itself.
 */
export function lomOf(edition: Edition, { title, language, about }: Announced): Element[] {
  if (!about || Object.keys(about).length === 0) return [];
  const old = edition === '1.2';
  const words = (text: string): Element =>
    old ? element('langstring', { 'xml:lang': language }, [text]) : element('string', { language }, [text]);
  const { description, tags = [], code, category } = about;
  const catalog = [element('catalog', {}, ['code']), element('entry', {}, [old ? words(code ?? '') : (code ?? '')])];
  return [
    element('lom', { xmlns: old ? 'http://www.imsglobal.org/xsd/imsmd_rootv1p2p1' : 'http://ltsc.ieee.org/xsd/LOM' }, [
      element('general', {}, [
        ...(code && !old ? [element('identifier', {}, catalog)] : []),
        element('title', {}, [words(title)]),
        ...(code && old ? [element('catalogentry', {}, catalog)] : []),
        element('language', {}, [language]),
        ...(description ? [element('description', {}, [words(description)])] : []),
        ...[...(category ? [category] : []), ...tags].map((tag) => element('keyword', {}, [words(tag)])),
      ]),
    ]),
  ];
}
