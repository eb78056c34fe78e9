// The limits of plans and files, and their reasons: a plan and a file within them are computed and shown in moments, and nobody
// can block the others with one that is not.

/** Years from the first to the last day of a plan: boards and pages carry every period of it. */
export const MOST_PLAN_YEARS = 30;

/** Rows of one list of a plan, twenty times a large plan. */
export const MOST_ROWS_OF_LIST = 100_000;

/** Letters of an id: as many as a readable name has. */
export const MOST_ID_LETTERS = 120;

/** Levels of an outline, or of teams within teams: deeper ones cannot be read on a screen. */
export const MOST_LEVELS = 20;

/** Entries of a list within a row. */
export const MOST_WITHIN = {
  /** Skills of a person or a task, roles of a person, tags of a task: more are not kept apart. */
  marks: 200,
  /** Working weeks, time off and overtime of one person: some for every week of a working life. */
  spans: 3_000,
  /** Days of a calendar that are not as its week says: all days of a plan. */
  days: 12_000,
  /** Periods with typed hours of one assignment: all days of a plan. */
  periods: 12_000,
  /** Members of one team. */
  members: 10_000,
  /** Changes of one sketch: more are no longer looked through one by one. */
  edits: 500,
  /** Fields of one change of a sketch whose former values are kept. */
  seen: 200,
  /** Rates of one table: some hundred people with dozens of rates each. */
  rates: 50_000,
} as const;

/** Letters of one change of a sketch: some hundred rows. */
export const MOST_EDIT_LETTERS = 400_000;

/** Brackets within brackets of a JSON text: a plan has seven levels. */
export const MOST_NESTING = 40;

/** Faults to which the word that was meant is looked for: it is looked for among all ids. */
export const MOST_SUGGESTIONS = 20;

/** Faults of a file that are reported one by one. */
export const MOST_FAULTS_TOLD = 200;

/** The limits of a file that is read as a table. */
export const FILE_LIMITS = {
  bytes: 20_000_000,
  /** Rows below the header: one edit brings them in and one undo takes them back. */
  rows: 50_000,
  /** A table of the application has twenty columns at most; people's spreadsheets have many more. */
  columns: 500,
  /** Cells in total, some hundred megabytes of texts. */
  cells: 2_000_000,
  /** Letters of one cell: as many as notes may have, ten times over. */
  cellLetters: 200_000,
  /** Sheets of a workbook. */
  sheets: 50,
  /** Bytes that a packed workbook may unpack to. */
  unpackedBytes: 150_000_000,
  /** Events of a calendar, and how often and for how many years a repeating one is followed. */
  events: 50_000,
  repeats: 400,
  repeatYears: 5,
} as const;

/** The limits of reading or writing one file, next to everything else that runs. */
export const WORK_LIMITS = {
  milliseconds: 20_000,
  megabytes: 768,
  /** Files that are worked on at once, and as many that wait. */
  atOnce: 2,
  waiting: 8,
} as const;

/** The most bytes of a request, by what it brings. */
export const MOST_BYTES = {
  /** Room for bringing in some ten thousand rows; other edits are a thousandth of it. */
  edit: 16_000_000,
  /** Ten times the largest plan that is measured. */
  plan: 48_000_000,
  file: FILE_LIMITS.bytes,
} as const;
