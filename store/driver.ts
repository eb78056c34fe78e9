// The one interface through which the store speaks to a database.

export interface Sql {
  query<T = Record<string, unknown>>(text: string, params?: unknown[]): Promise<T[]>;
  /** Adds many rows to a table at once.
   * @param target The table and its columns: "tasks (id, name)".
   * @param rows In the text format of COPY. */
  load(target: string, rows: string): Promise<void>;
}

/** A database that speaks PostgreSQL's SQL. */
export interface Database extends Sql {
  /** Runs several statements without parameters. */
  run(text: string): Promise<void>;
  /** Runs `work` in one transaction: all of it is kept, or none. */
  transaction<T>(work: (sql: Sql) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}
