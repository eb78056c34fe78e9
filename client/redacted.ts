// The exit of the core: every answer for a screen or a file passes here, with the money that the user may see.

import { redactMoney } from "../core/cost/redactMoney.ts";
import type { Model } from "../core/model.ts";
import type { Marks, MoneyAccess, Seen } from "../core/plan/moneySides.ts";
import type { Plan } from "../core/plan/schema.ts";
import type { Proposal } from "../core/staffing/proposal.ts";
import type { TableKind } from "../core/tables/table.ts";
import type { ToldCause } from "./messages.ts";
import { moneyIn, moneyInCauses, moneyInNews, moneyInPlan, moneyInProposal } from "./moneyIn.ts";
import { type AnswerOf, type QueryOf, type Question, questions, type WholeAnswerOf } from "./questions.ts";
import { type Search, type SearchKind, type SearchNews, type SearchQuery, searches, type WholeNews } from "./searches.ts";
import type { Redacted } from "./seen.ts";

/** The same functions, by what their questions ask and are answered. */
const answers: { [Q in Question]: (model: Model, query: QueryOf<Q>) => WholeAnswerOf<Q> } = questions;
const beginnings: { [K in SearchKind]: (model: Model, query: SearchQuery<K>) => Search<WholeNews<K>> } = searches;

const marksOf: { readonly [Q in Question]?: Marks | ((query: QueryOf<Q>) => Marks) } = moneyIn;

/** Answers one question about a plan. */
export function answer<Q extends Question>(model: Model, question: Q, query: QueryOf<Q>, access: MoneyAccess): AnswerOf<Q> {
  const marks = marksOf[question];
  return redactMoney(answers[question](model, query), typeof marks === "function" ? marks(query) : marks, access) as AnswerOf<Q>;
}

/** Begins a search over a plan. */
export function search<K extends SearchKind>(model: Model, kind: K, query: SearchQuery<K>, access: MoneyAccess): Search<SearchNews<K>> {
  const begun = beginnings[kind](model, query);
  return { ...begun, news: () => redactMoney(begun.news(), moneyInNews[kind], access) as SearchNews<K> };
}

/** The rows of a table of the plan, as it is exported. */
export const tableRows = (plan: Plan, { rows }: TableKind, access: MoneyAccess): string[][] =>
  rows(redactMoney(plan, moneyInPlan, access) as Seen<Plan>);

/** The causes of a deviation. */
export const redactedCauses = (causes: readonly ToldCause[], access: MoneyAccess): Redacted<ToldCause>[] =>
  redactMoney(causes, moneyInCauses, access) as Redacted<ToldCause>[];

/** A proposal for openings. */
export const proposed = (proposal: Proposal, access: MoneyAccess): Redacted<Proposal> =>
  redactMoney(proposal, moneyInProposal, access) as Redacted<Proposal>;
