// The one interface through which the store speaks to a database.

export type Sql = { query<T = Record<string, unknown>>(text: string, params?: unknown[]): Promise<T[]> };

/** A database that speaks PostgreSQL's SQL. */
export interface Database extends Sql {
  /** Runs several statements without parameters. */
  run(text: string): Promise<void>;
  /** Runs `work` in one transaction: all of it is kept, or none. */
  transaction<T>(work: (sql: Sql) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}
