import type { Rules } from '../../learning/rules';
import { lomOf, type Announced } from './lom';
import { element, writeXml, type Element } from '../../document/xml';

export type Edition = '1.2' | '2004';

/** What a manifest says. */
export interface ManifestMatter extends Announced {
  /** Id of the course, valid as an XML id. */
  id: string;
  rules: Rules;
  /** Every file of the package but the manifest. */
  files: readonly string[];
}

const XSI = 'http://www.w3.org/2001/XMLSchema-instance';

/**
 * The manifest of a package of one unit (SCORM 1.2: IMS Content Packaging 1.1.2 with ADL's extensions of 2001; SCORM
 * 2004 4th Edition: IMS Content Packaging 1.1.4 with ADL's of 2009 and IMS Simple Sequencing). The pass mark is told to
 * the platform too.
 */
export function writeManifest(edition: Edition, matter: ManifestMatter): string {
  const { id, title, rules, files } = matter;
  const share = rules.course.kind === 'passed' ? rules.course.share : undefined;
  const listed = [...files].sort((a, b) => (a < b ? -1 : 1)).map((href) => element('file', { href }));
  const lom = lomOf(edition, matter);
  return writeXml((edition === '1.2' ? manifest12 : manifest2004)(id, title, share, listed, lom));
}

function manifest12(id: string, title: string, share: number | undefined, files: Element[], lom: Element[]): Element {
  return element(
    'manifest',
    {
      identifier: id,
      version: '1',
      xmlns: 'http://www.imsproject.org/xsd/imscp_rootv1p1p2',
      'xmlns:adlcp': 'http://www.adlnet.org/xsd/adlcp_rootv1p2',
      'xmlns:xsi': XSI,
      'xsi:schemaLocation':
        'http://www.imsproject.org/xsd/imscp_rootv1p1p2 imscp_rootv1p1p2.xsd http://www.adlnet.org/xsd/adlcp_rootv1p2 adlcp_rootv1p2.xsd',
    },
    [
      element('metadata', {}, [element('schema', {}, ['ADL SCORM']), element('schemaversion', {}, ['1.2']), ...lom]),
      element('organizations', { default: `${id}-org` }, [
        element('organization', { identifier: `${id}-org` }, [
          element('title', {}, [title]),
          element('item', { identifier: `${id}-item`, identifierref: `${id}-res`, isvisible: 'true' }, [
            element('title', {}, [title]),
            ...(share === undefined ? [] : [element('adlcp:masteryscore', {}, [String(Math.round(share * 100))])]),
          ]),
        ]),
      ]),
      element('resources', {}, [
        element(
          'resource',
          { identifier: `${id}-res`, type: 'webcontent', 'adlcp:scormtype': 'sco', href: 'index.html' },
          files,
        ),
      ]),
    ],
  );
}

function manifest2004(id: string, title: string, share: number | undefined, files: Element[], lom: Element[]): Element {
  const objective =
    share === undefined
      ? element('imsss:primaryObjective', { objectiveID: `${id}-aim`, satisfiedByMeasure: 'false' })
      : element('imsss:primaryObjective', { objectiveID: `${id}-aim`, satisfiedByMeasure: 'true' }, [
          element('imsss:minNormalizedMeasure', {}, [String(share)]),
        ]);
  return element(
    'manifest',
    {
      identifier: id,
      version: '1',
      xmlns: 'http://www.imsglobal.org/xsd/imscp_v1p1',
      'xmlns:adlcp': 'http://www.adlnet.org/xsd/adlcp_v1p3',
      'xmlns:adlseq': 'http://www.adlnet.org/xsd/adlseq_v1p3',
      'xmlns:adlnav': 'http://www.adlnet.org/xsd/adlnav_v1p3',
      'xmlns:imsss': 'http://www.imsglobal.org/xsd/imsss',
      'xmlns:xsi': XSI,
      'xsi:schemaLocation':
        'http://www.imsglobal.org/xsd/imscp_v1p1 imscp_v1p1.xsd http://www.adlnet.org/xsd/adlcp_v1p3 adlcp_v1p3.xsd http://www.adlnet.org/xsd/adlseq_v1p3 adlseq_v1p3.xsd http://www.adlnet.org/xsd/adlnav_v1p3 adlnav_v1p3.xsd http://www.imsglobal.org/xsd/imsss imsss_v1p0.xsd',
    },
    [
      element('metadata', {}, [
        element('schema', {}, ['ADL SCORM']),
        element('schemaversion', {}, ['2004 4th Edition']),
        ...lom,
      ]),
      element('organizations', { default: `${id}-org` }, [
        element('organization', { identifier: `${id}-org` }, [
          element('title', {}, [title]),
          element('item', { identifier: `${id}-item`, identifierref: `${id}-res`, isvisible: 'true' }, [
            element('title', {}, [title]),
            element('adlcp:completionThreshold', { completedByMeasure: 'false' }),
            element('imsss:sequencing', {}, [
              element('imsss:objectives', {}, [objective]),
              element('imsss:deliveryControls', { completionSetByContent: 'true', objectiveSetByContent: 'true' }),
            ]),
          ]),
          element('imsss:sequencing', {}, [element('imsss:controlMode', { choice: 'true', flow: 'true' })]),
        ]),
      ]),
      element('resources', {}, [
        element(
          'resource',
          { identifier: `${id}-res`, type: 'webcontent', 'adlcp:scormType': 'sco', href: 'index.html' },
          files,
        ),
      ]),
    ],
  );
}
