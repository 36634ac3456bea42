/** What the reading process is asked: a file, or a folder of HTML pages. */
export interface ReadingJob {
  /** The source's id for life. */
  id: string;
  path: string;
  name: string;
  /** Where it was fetched from. */
  address?: string;
  /** For a zip of files: the folder to unpack it into, instead of reading it. */
  into?: string;
}

/** What was unpacked: files under names of ours, in the order of the zip, with the names they had there. */
export interface Unpacked {
  files: { name: string; path: string }[];
}
