/** How much a file may hold. Bytes are bytes; a reader that meets more says so and reads nothing. */
export const LIMITS = {
  /** A file as given. */
  fileBytes: 64 * 1024 * 1024,
  /** All entries of a zip, unpacked; counted while unpacking, never believed from its directory. */
  zipBytes: 256 * 1024 * 1024,
  /** One text part (XML, HTML) of a zip, unpacked. */
  zipTextBytes: 48 * 1024 * 1024,
  zipEntries: 10_000,
  pages: 5_000,
  /** Characters of text in one source. */
  characters: 24_000_000,
} as const;
