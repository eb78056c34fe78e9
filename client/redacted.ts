// The exit of the core: every answer for a screen or a file passes here, with the money that the user may see.
import { type MoneyAccess, redactMoney } from "../core/cost/redactMoney.ts";
import type { Model } from "../core/model.ts";
import type { Plan } from "../core/plan/schema.ts";
import type { Proposal } from "../core/staffing/proposal.ts";
import type { TableKind } from "../core/tables/table.ts";
import { moneyIn, moneyInNews, moneyInPlan, moneyInProposal } from "./moneyIn.ts";
import { type AnswerOf, type QueryOf, type Question, questions } from "./questions.ts";
import { type Search, type SearchKind, type SearchNews, type SearchQuery, searches } from "./searches.ts";

/** The same functions, by what their questions ask and are answered. */
const answers: { [Q in Question]: (model: Model, query: QueryOf<Q>) => AnswerOf<Q> } = questions;
const beginnings: { [K in SearchKind]: (model: Model, query: SearchQuery<K>) => Search<SearchNews<K>> } = searches;

/** Answers one question about a plan. */
export function answer<Q extends Question>(model: Model, question: Q, query: QueryOf<Q>, access: MoneyAccess): AnswerOf<Q> {
  const places = moneyIn[question];
  return redactMoney(answers[question](model, query), typeof places === "function" ? places(query) : places, access);
}

/** Begins a search over a plan. */
export function search<K extends SearchKind>(model: Model, kind: K, query: SearchQuery<K>, access: MoneyAccess): Search<SearchNews<K>> {
  const begun = beginnings[kind](model, query);
  return { ...begun, news: () => redactMoney(begun.news(), moneyInNews[kind], access) };
}

/** The rows of a table of the plan, as it is exported. */
export const tableRows = (plan: Plan, { rows }: TableKind, access: MoneyAccess): string[][] => rows(redactMoney(plan, moneyInPlan, access));

/** A proposal for openings. */
export const proposed = (proposal: Proposal, access: MoneyAccess): Proposal => redactMoney(proposal, moneyInProposal, access);
