/** A figure that is looked into: of a row or of all, in a period or in all. */
export interface Opened {
  key: string | null;
  period: number | null;
}
