/** What the reading process is asked: a file, or a folder of HTML pages. */
export interface ReadingJob {
  /** The source's id for life. */
  id: string;
  path: string;
  name: string;
}
