/** A column of a list. */
export interface ListColumn<Row> {
  key: string;
  label: string;
  /** What it is sorted and searched by, and shown as where no slot shows it; without it, it is not sorted. */
  value?: (row: Row) => string | number;
  /** Numbers stand on the right. */
  number?: boolean;
  /** Left out where there is little room. */
  roomy?: boolean;
  /** The first click sorts from the largest. */
  down?: boolean;
  /** Its name is for who does not see it. */
  hidden?: boolean;
}
