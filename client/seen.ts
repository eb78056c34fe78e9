// What leaves the core for a screen or a file: all of it passes here, with as much of its money as may be seen.
import { asSeen, type MoneySight } from "../core/cost/sight.ts";
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
export function answer<Q extends Question>(model: Model, question: Q, query: QueryOf<Q>, sight: MoneySight): AnswerOf<Q> {
  const places = moneyIn[question];
  return asSeen(answers[question](model, query), typeof places === "function" ? places(query) : places, sight);
}

/** Begins a search over a plan. */
export function search<K extends SearchKind>(model: Model, kind: K, query: SearchQuery<K>, sight: MoneySight): Search<SearchNews<K>> {
  const begun = beginnings[kind](model, query);
  return { ...begun, news: () => asSeen(begun.news(), moneyInNews[kind], sight) };
}

/** The rows of a table of the plan, as it goes out. */
export const tableRows = (plan: Plan, { rows }: TableKind, sight: MoneySight): string[][] => rows(asSeen(plan, moneyInPlan, sight));

/** A proposal for openings. */
export const proposed = (proposal: Proposal, sight: MoneySight): Proposal => asSeen(proposal, moneyInProposal, sight);
