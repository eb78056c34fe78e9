// Figures of money as types: each says which side of money it is of, and a hidden one is no number.

export type MoneySide = "cost" | "bill" | "margin";

/** The sides of money that a user may see: cost, billing, and the margin between them. */
export type MoneyAccess = Readonly<Record<MoneySide, boolean>>;

export const FULL_ACCESS: MoneyAccess = { cost: true, bill: true, margin: true };

/** Exists for the type checker only: it tells a figure of money from any other number. */
declare const side: unique symbol;

/** A figure that shows something of one side of money: an amount, a rate, a margin. Calculations read it as a plain number. */
export type Money<Side extends MoneySide = MoneySide> = number & { readonly [side]?: Side };

/** A flag that depends on money; it is down for users who may not see that side. */
export type MoneyFlag<Side extends MoneySide> = boolean & { readonly [side]?: Side };

/** In the place of a figure that the user may not see. It is no number, so that nothing can be calculated with it, and it stays what
 * it is in messages between threads and in JSON. */
export interface Hidden {
  readonly isHidden: true;
}

export const HIDDEN: Hidden = { isHidden: true };

/** True of the figure of a side that the user may not see. */
export const isHidden = (figure: number | string | Hidden | null | undefined): figure is Hidden =>
  typeof figure === "object" && figure !== null;

/** A figure as a user sees it. */
export type Figure = number | Hidden;

/** The number of a figure, or `instead` where it is hidden: for sorting, drawing and spreadsheets. */
export const shownOr = <Instead>(figure: Figure | Instead, instead: Instead): number | Instead =>
  (isHidden(figure as Figure) ? instead : figure) as number | Instead;

/** A figure calculated from another one; hidden with it. */
export const figureFrom = (figure: Figure, calculate: (shown: number) => number): Figure => (isHidden(figure) ? HIDDEN : calculate(figure));

/** One figure less another; hidden if either is. */
export const lessFigure = (figure: Figure, less: Figure): Figure => (isHidden(figure) || isHidden(less) ? HIDDEN : figure - less);

/** Minor units as major units, for sorting, drawing and files; null where they are hidden. */
export const majorOf = (minor: Figure): number | null => (isHidden(minor) ? null : minor / 100);

/** Major units as minor units. */
export const minorOf = (major: Figure): Figure => figureFrom(major, (shown) => Math.round(shown * 100));

/** The sum of figures; hidden if any of them is. */
export const sumOfFigures = (figures: Iterable<Figure>): Figure => {
  let sum = 0;
  for (const figure of figures) {
    if (isHidden(figure)) return HIDDEN;
    sum += figure;
  }
  return sum;
};

/** True of a figure that is shown and below 0. */
export const isNegative = (figure: Figure): boolean => !isHidden(figure) && figure < 0;

/** Values without figures of money in them, and functions. */
type Whole =
  | string
  | null
  | undefined
  | ((...given: never[]) => unknown)
  | ArrayBufferView
  | ReadonlyMap<unknown, unknown>
  | ReadonlySet<unknown>;

/** An answer as users see it: every figure of money may be hidden. `Kept` are parts that are never redacted. */
export type Seen<Answer, Kept = never> = [NonNullable<Answer>] extends [Kept]
  ? Answer
  : Answer extends Whole | boolean
    ? Answer
    : Answer extends number
      ? typeof side extends keyof Answer
        ? Answer | Hidden
        : Answer
      : Answer extends object
        ? { [Key in keyof Answer]: Seen<Answer[Key], Kept> }
        : Answer;

/** The sides that decide whether a figure is shown: one, or several of which the user has to see every one. */
type Mark<Side extends MoneySide> = Side | readonly Side[];

/** The marks of an answer: the side of each of its figures of money, under the names of their fields. Members of a list share their
 * marks. A figure of money without a mark does not compile. */
export type MarksOf<Answer, Kept = never> = [NonNullable<Answer>] extends [Kept]
  ? never
  : Answer extends Whole
    ? never
    : Answer extends number | boolean
      ? typeof side extends keyof Answer
        ? Mark<NonNullable<Answer[typeof side] & MoneySide>>
        : never
      : Answer extends readonly (infer Member)[]
        ? MarksOf<Member, Kept>
        : Answer extends object
          ? FieldMarks<Answer, Kept>
          : never;

type MarkedKeys<Answer, Kept> = { [Key in keyof Answer]-?: [MarksOf<Answer[Key], Kept>] extends [never] ? never : Key }[keyof Answer];

type FieldMarks<Answer, Kept> = [MarkedKeys<Answer, Kept>] extends [never]
  ? never
  : { readonly [Key in MarkedKeys<Answer, Kept>]-?: MarksOf<Answer[Key], Kept> };

/** Marks of any answer, as the redaction reads them. */
export type Marks = MoneySide | readonly MoneySide[] | { readonly [field: string]: Marks };
