/** What a package is by: where its player keeps what a learner did, and whom it tells. */
export interface PackageKind {
  /** What authors call it. */
  label: string;
  /** The edition of SCORM it speaks; none: it runs by itself and keeps everything in the browser. */
  scorm?: '1.2' | '2004';
}

/**
 * The packages there are, by the name of their format: writer, player, desk and command line read this one list. An
 * archive is no package: it holds the course for authors, not for learners.
 */
export const PACKAGES = {
  html: { label: 'Site' },
  scorm12: { label: 'SCORM 1.2', scorm: '1.2' },
  scorm2004: { label: 'SCORM 2004', scorm: '2004' },
} as const satisfies Record<string, PackageKind>;

export type PackageFormat = keyof typeof PACKAGES;

export const PACKAGE_FORMATS = Object.keys(PACKAGES) as PackageFormat[];

/** What is known of a format. */
export const packageKind = (format: PackageFormat): PackageKind => PACKAGES[format];
